/** Name of the channel on which pages and the service worker tell each other of what was sent. */
export const CHANNEL = 'cool-dram.outbox';
