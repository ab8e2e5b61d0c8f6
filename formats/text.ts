/** Marks at the beginning of a file that say its encoding (The Unicode Standard, 23.8). */
const MARKS = [
  { bytes: [0xef, 0xbb, 0xbf], encoding: 'utf-8' },
  { bytes: [0xff, 0xfe], encoding: 'utf-16le' },
  { bytes: [0xfe, 0xff], encoding: 'utf-16be' },
] as const;
const DECLARED = /^<\?xml[^>]*\sencoding\s*=\s*["']([^"']+)["']/;

/**
 * The text of a file: by its byte-order mark, by what XML declares (XML 1.0, 4.3.3), otherwise UTF-8.
 *
 * @throws RangeError when the encoding is not known, or the file does not keep to it
 */
export function decodeText(bytes: Uint8Array): string {
  const mark = MARKS.find((m) => m.bytes.every((b, i) => bytes[i] === b));
  const head = String.fromCharCode(...bytes.subarray(0, 200));
  const encoding = mark?.encoding ?? DECLARED.exec(head)?.[1] ?? 'utf-8';
  let decoder: TextDecoder;
  try {
    decoder = new TextDecoder(encoding, { fatal: true });
  } catch {
    throw new RangeError(`the file says that it is written in "${encoding}", which is not known. Save it as UTF-8.`);
  }
  try {
    return decoder.decode(bytes);
  } catch {
    throw new RangeError(`the file is not written in ${encoding.toUpperCase()} throughout. Save it as UTF-8.`);
  }
}
