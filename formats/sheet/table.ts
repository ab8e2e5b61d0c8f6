import { parse } from 'papaparse';

/** A sheet as it stands in its file. */
export interface Sheet {
  readonly headings: readonly string[];
  /** Cells as text, trimmed, as many as there are headings. */
  readonly rows: readonly SheetRow[];
}
interface SheetRow {
  /** As a spreadsheet counts them: the first below headings in the first line is 2. */
  readonly line: number;
  readonly cells: readonly string[];
}

export const MOST_ROWS = 50_000;
/** Titles and empty lines may stand above the headings. */
const LOOKED_AT = 15;

const filled = (cells: readonly string[]) => cells.filter((c) => c !== '').length;

/** The line with the headings: the first as full as the fullest of the first lines, and with no number in it. */
function headingLine(lines: readonly (readonly string[])[]): number {
  const first = lines.slice(0, LOOKED_AT);
  const most = Math.max(0, ...first.map(filled));
  const at = first.findIndex(
    (cells) => filled(cells) >= Math.max(2, 0.6 * most) && cells.every((c) => c === '' || !/^[\d.,:/-]+$/.test(c)),
  );
  return at;
}

/**
 * Reads a spreadsheet that was saved as CSV: any separator, quotes, titles above the headings.
 *
 * @throws RangeError that says what is wrong and what to do
 */
export function readSheet(text: string, mostRows = MOST_ROWS): Sheet {
  const { data, errors } = parse<string[]>(text.replace(/^\ufeff/, ''), { skipEmptyLines: false });
  const quotes = errors.find((e) => e.type === 'Quotes');
  if (quotes)
    throw new RangeError(`line ${(quotes.row ?? 0) + 1}: a quotation mark is not closed. Save the sheet again as CSV.`);
  const lines = data.map((cells) => cells.map((c) => c.trim()));
  const top = headingLine(lines);
  if (top < 0 && lines.length > 1 && lines.every((cells) => filled(cells) <= 1))
    throw new RangeError(
      'its lines are not divided into columns: cells must be separated by commas, semicolons, tabs or bars. Save the sheet as CSV.',
    );
  if (top < 0)
    throw new RangeError(
      'no line of headings was found: the first line should name the columns (date, water, casts …). Save the sheet as CSV.',
    );
  const headings = [...lines[top]!];
  while (headings.at(-1) === '') headings.pop();
  const rows = lines
    .map((cells, i): SheetRow => ({ line: i + 1, cells: headings.map((_, c) => cells[c] ?? '') }))
    .slice(top + 1)
    .filter((r) => filled(r.cells) > 0);
  if (rows.length === 0) throw new RangeError('there are no rows below the headings');
  if (rows.length > mostRows)
    throw new RangeError(`it has ${rows.length} rows; ${mostRows} are read at once. Save it in two parts.`);
  return { headings: headings.map((h, i) => h || `column ${i + 1}`), rows };
}
