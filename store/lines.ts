import { decodeText } from '@/formats/text';

/** Told the share of a file that is read; gives false to end the reading. */
export type Breathe = (share: number) => boolean | Promise<boolean>;
/** The reading was ended. */
export class Ended extends Error {}

const NOT_OPENED = 'This file can’t be opened: it may have been moved or changed. Choose it again.';
/** How a file begins that was packed by gzip (RFC 1952, 2.3.1). */
const isPacked = async (file: Blob): Promise<boolean> => {
  const [a, b] = new Uint8Array(await file.slice(0, 2).arrayBuffer());
  return a === 0x1f && b === 0x8b;
};

/** The bytes of a file, unpacked where it was packed, piece by piece. Throws RangeError that says why it cannot be read. */
async function* bytesOf(file: Blob, breathe: Breathe): AsyncGenerator<Uint8Array> {
  let packed = false;
  let read = 0;
  try {
    packed = await isPacked(file);
    const counted = file.stream().pipeThrough(
      new TransformStream<Uint8Array<ArrayBuffer>, Uint8Array<ArrayBuffer>>({
        transform(piece, out) {
          read += piece.length;
          out.enqueue(piece);
        },
      }),
    );
    const reader = (packed ? counted.pipeThrough(new DecompressionStream('gzip')) : counted).getReader();
    try {
      for (let next = await reader.read(); !next.done; next = await reader.read()) {
        yield next.value;
        if (!(await breathe(read / file.size))) throw new Ended();
      }
    } finally {
      void reader.cancel().catch(() => undefined);
    }
  } catch (error) {
    if (error instanceof Ended || error instanceof RangeError) throw error;
    throw new RangeError(
      packed ? 'This file cannot be unpacked: it is damaged or cut off. Choose another copy of it.' : NOT_OPENED,
    );
  }
}

/** The text of a file. @throws RangeError when it is longer than `most` characters, or cannot be read */
export async function textOf(file: Blob, most: number, tooLong: string, breathe: Breathe): Promise<string> {
  const pieces: Uint8Array<ArrayBuffer>[] = [];
  let size = 0;
  for await (const piece of bytesOf(file, breathe)) {
    size += piece.length;
    if (size > most) throw new RangeError(tooLong);
    pieces.push(new Uint8Array(piece));
  }
  return decodeText(new Uint8Array(await new Blob(pieces).arrayBuffer()));
}

/** The lines of a file in UTF-8, each with its number from 1 on, read piece by piece. */
export async function* linesOf(file: Blob, breathe: Breathe): AsyncGenerator<[line: string, number: number]> {
  const decoder = new TextDecoder('utf-8', { fatal: true });
  let begun: string[] = [];
  let number = 0;
  const decoded = (piece?: Uint8Array): string => {
    try {
      return decoder.decode(piece, { stream: piece !== undefined });
    } catch {
      throw new RangeError(`The file is not written in UTF-8 behind line ${number}. Choose another copy of it.`);
    }
  };
  for await (const piece of bytesOf(file, breathe)) {
    const [first, ...rest] = decoded(piece).split('\n');
    begun.push(first!);
    for (const next of rest) {
      yield [begun.join(''), ++number];
      begun = [next];
    }
  }
  begun.push(decoded());
  const last = begun.join('');
  if (last) yield [last, ++number];
}

/** From so many characters on a file is packed: that of a few seasons opens in any editor. */
const PACKED_FROM = 20e6;

/** A file of pieces of text: packed by gzip where it is long, and the browser can. */
export async function fileOf<T>(
  pieces: AsyncGenerator<string, T>,
  type: string,
): Promise<{ readonly file: Blob; readonly isPacked: boolean; readonly said: T }> {
  const begun: string[] = [];
  let size = 0;
  let step = await pieces.next();
  for (; !step.done && size < PACKED_FROM; step = await pieces.next()) {
    begun.push(step.value);
    size += step.value.length;
  }
  if (step.done) return { file: new Blob(begun, { type }), isPacked: false, said: step.value };
  let next: IteratorResult<string, T> = step;
  const rest = new ReadableStream<Uint8Array<ArrayBuffer>>({
    async pull(out) {
      if (begun.length > 0) return out.enqueue(new TextEncoder().encode(begun.shift()));
      if (next.done) return out.close();
      out.enqueue(new TextEncoder().encode(next.value));
      next = await pieces.next();
    },
  });
  const packed = rest.pipeThrough(new CompressionStream('gzip'));
  const file = await new Response(packed, { headers: { 'content-type': 'application/gzip' } }).blob();
  const end = next as IteratorResult<string, T>;
  if (!end.done) throw new Error('the file was not written to its end');
  return { file, isPacked: true, said: end.value };
}
