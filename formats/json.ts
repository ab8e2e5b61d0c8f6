import { parse as parseWithFaults, type ParseError } from 'jsonc-parser';

/** Brackets within brackets: files of this program have some ten. */
const DEEPEST = 40;

/** The place at which more brackets than that are open, counted from 1; 0 when there is none. */
function tooDeep(text: string): number {
  let depth = 0;
  let quoted = false;
  for (let i = 0; i < text.length; i++) {
    const c = text[i];
    if (quoted) {
      if (c === '\\') i++;
      else if (c === '"') quoted = false;
    } else if (c === '"') quoted = true;
    else if (c === '[' || c === '{') {
      if (++depth > DEEPEST) return i + 1;
    } else if (c === ']' || c === '}') depth--;
  }
  return 0;
}

/** Where a text stops being JSON, line and column counted from 1. */
function placeOfFault(text: string, firstLine: number): string {
  if (text.trim() === '') return 'it is empty';
  const faults: ParseError[] = [];
  parseWithFaults(text, faults);
  const before = text.slice(0, faults[0]?.offset ?? text.length).split('\n');
  return `from line ${firstLine - 1 + before.length}, column ${before[before.length - 1]!.length + 1} on`;
}

/**
 * Parses JSON that begins in a line of a file. Throws RangeError that says from where on it is none, or that no file of ours is
 * nested so deeply.
 */
export function parseJson(text: string, firstLine = 1): unknown {
  const deep = tooDeep(text);
  if (deep > 0) throw new RangeError(`more than ${DEEPEST} brackets are open from character ${deep} on`);
  try {
    return JSON.parse(text) as unknown;
  } catch {
    throw new RangeError(`the JSON is cut off or damaged: ${placeOfFault(text, firstLine)}`);
  }
}
