import { isIP } from 'node:net';

/** Groups of addresses that have a name (Express, "trust proxy"). */
const NAMED = ['loopback', 'linklocal', 'uniquelocal'];
const isRange = (text: string): boolean => {
  const [address = '', bits, ...rest] = text.split('/');
  const most = isIP(address) === 4 ? 32 : 128;
  return isIP(address) > 0 && rest.length === 0 && (bits === undefined || (/^\d+$/.test(bits) && Number(bits) <= most));
};

/**
 * Proxies in front whose word about the caller is taken, as they were named: how many, or their addresses.
 *
 * @throws RangeError that says what may be named
 */
export function trustedProxies(named: string | undefined): number | string | undefined {
  if (named === undefined) return undefined;
  if (/^\d+$/.test(named.trim())) return Number(named);
  if (named.split(',').every((one) => NAMED.includes(one.trim()) || isRange(one.trim()))) return named;
  throw new RangeError(
    `TRUST_PROXY: "${named}" is no proxy. Say how many stand in front (TRUST_PROXY=1), or their addresses ("10.0.0.0/8, loopback").`,
  );
}
