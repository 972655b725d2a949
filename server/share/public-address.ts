/** By what address other devices reach this server, where it is shared; bin/start says so. */
export const publicAddress = (): string | undefined => process.env.COOL_DRAM_ADDRESS || undefined;
