import { maintenanceExamples } from '../test/maintenance-examples';
import { testPage } from '../test/page-of-docs';

testPage('docs/maintenance-examples.md', maintenanceExamples());
