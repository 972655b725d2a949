import { hostname, type NetworkInterfaceInfo, networkInterfaces } from 'node:os';

type Interfaces = NodeJS.Dict<NetworkInterfaceInfo[]>;

/** Names and addresses by which other devices of the local network reach this machine, the best first. */
export function ownAddresses(found: Interfaces = networkInterfaces(), name = hostname()): string[] {
  const outside = Object.values(found)
    .flatMap((all) => all ?? [])
    .filter((a) => !a.internal && a.family === 'IPv4') // a link-local IPv6 address needs the name of an interface besides
    .map((a) => a.address);
  const plain = name.toLowerCase().replace(/\.local$/, '');
  // Devices that speak mDNS find it as name.local.
  const names = /^[a-z0-9-]+$/.test(plain) && plain !== 'localhost' ? [`${plain}.local`, plain] : [];
  return [...outside, ...names];
}
