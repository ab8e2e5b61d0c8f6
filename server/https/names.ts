import os from 'node:os';

/** The addresses of this machine in its networks, IPv4. */
export const addresses = (all = os.networkInterfaces()): string[] =>
  Object.values(all).flatMap((some) =>
    (some ?? []).filter((a) => a.family === 'IPv4' && !a.internal).map((a) => a.address),
  );

/** What this machine is called where names are told without a server (mDNS, RFC 6762): it stays when the address changes. */
export const localName = (host = os.hostname()): string => `${host.toLowerCase().split('.')[0]!}.local`;

/** All that this machine may be reached by, the name that stays first. */
export const allNames = (): string[] => [localName(), 'localhost', '127.0.0.1', ...addresses()];
