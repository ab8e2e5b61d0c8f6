import { buf } from 'crc-32';

/**
 * A stored string is eight hexadecimal digits (CRC-32 of the rest, ISO 3309) and JSON. What the seal covers was checked
 * by its schema when it was written, so reading it back needs the schemas only where the seal is broken or missing.
 */

/** CRC-32 of a string's UTF-16 code units, low byte first, a high byte of zero left out: as all seals were made. */
export function crc32(text: string, from = 0): number {
  const bytes = new Uint8Array(2 * (text.length - from));
  let n = 0;
  for (let i = from; i < text.length; i++) {
    const u = text.charCodeAt(i);
    bytes[n++] = u & 0xff;
    if (u > 0xff) bytes[n++] = u >>> 8;
  }
  return buf(bytes.subarray(0, n)) >>> 0;
}

export const seal = (json: string): string => crc32(json).toString(16).padStart(8, '0') + json;

/** The value under a seal, and whether the seal holds. Throws RangeError when it is not JSON either. */
export function unseal(stored: string): { value: unknown; intact: boolean } {
  const sealed = isSealed(stored);
  let value: unknown;
  try {
    value = JSON.parse(sealed ? stored.slice(8) : stored);
  } catch {
    throw new RangeError('part of it was cut off or overwritten');
  }
  return { value, intact: sealed && holds(stored) };
}

const isSealed = (stored: string): boolean => /^[0-9a-f]{8}/.test(stored.slice(0, 8));
const holds = (stored: string): boolean => crc32(stored, 8) === parseInt(stored.slice(0, 8), 16);

/** Whether a stored string is as it was written; what never had a seal is taken as it is. */
export const isWhole = (stored: string): boolean => !isSealed(stored) || holds(stored);
