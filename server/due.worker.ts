// What a page of due tasks waits for: in a thread of its own it keeps no other request waiting.
export { lineYear as default } from '../core/maintenance/due-on';
