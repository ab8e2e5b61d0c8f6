/**
 * A stored string is eight hexadecimal digits (CRC-32 of the rest, ISO 3309) and JSON. What the seal covers was checked
 * by its schema when it was written, so reading it back needs the schemas only where the seal is broken or missing.
 */
const TABLE = Uint32Array.from({ length: 256 }, (_, n) => {
  let c = n;
  for (let k = 0; k < 8; k++) c = c & 1 ? 0xedb88320 ^ (c >>> 1) : c >>> 1;
  return c >>> 0;
});

/** CRC-32 of a string's UTF-16 code units, low byte first. */
export function crc32(text: string, from = 0): number {
  let c = 0xffffffff;
  for (let i = from; i < text.length; i++) {
    const u = text.charCodeAt(i);
    c = TABLE[(c ^ u) & 0xff]! ^ (c >>> 8);
    if (u > 0xff) c = TABLE[(c ^ (u >>> 8)) & 0xff]! ^ (c >>> 8);
  }
  return (c ^ 0xffffffff) >>> 0;
}

export const seal = (json: string): string => crc32(json).toString(16).padStart(8, '0') + json;

/** The value under a seal, and whether the seal holds. Throws SyntaxError when it is not JSON either. */
export function unseal(stored: string): { value: unknown; intact: boolean } {
  const sealed = /^[0-9a-f]{8}/.test(stored.slice(0, 8));
  const value: unknown = JSON.parse(sealed ? stored.slice(8) : stored);
  return { value, intact: sealed && crc32(stored, 8) === parseInt(stored.slice(0, 8), 16) };
}
