import { expose } from 'comlink';
import { lineYear } from '../core/maintenance/due-on';

// A year of weather and the charges of a line: too long for the thread that paints.
expose(lineYear);
