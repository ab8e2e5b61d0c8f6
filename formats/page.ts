const ESCAPES: Readonly<Record<string, string>> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
  "'": '&#39;',
};
/** Text as it may stand in a page. */
export const esc = (text: string): string => text.replace(/[&<>"']/g, (c) => ESCAPES[c]!);

/** As on the screen by daylight; ink on paper where it is printed. */
const STYLE = `body{font:16px/1.45 system-ui,sans-serif;color:#16211D;background:#FAF8F2;margin:0 auto;padding:24px;max-width:760px}
h1{font-size:28px;margin:0 0 4px}h2{font-size:19px;margin:28px 0 6px;border-top:1px solid #D9D5C8;padding-top:14px}
p{margin:4px 0}table{border-collapse:collapse;width:100%}td,th{text-align:left;vertical-align:top;padding:3px 12px 3px 0;border-bottom:1px solid #EFEADC}
td:first-child{white-space:nowrap;color:#43504A}.take{color:#8F2611;font-weight:700}.small{color:#43504A;font-size:14px}
svg{display:block;width:100%;height:auto;max-height:900px;margin:8px 0}@media print{body{background:#fff;padding:0}h2,tr,svg{break-inside:avoid}}`;

/** A page that is whole in itself, to print or to keep: it asks for nothing from anywhere. @param body HTML */
export const pageOf = (title: string, body: string): string => `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width,initial-scale=1">
<meta http-equiv="Content-Security-Policy" content="default-src 'none'; style-src 'unsafe-inline'">
<title>${esc(title)}</title><style>${STYLE}</style></head><body>
${body}
<p class="small">Written by Wanderung. Depths, places and casts are estimates.</p>
</body></html>
`;

/** A drawing, with what stands over it and under it. */
interface Drawn {
  readonly name: string;
  readonly said: readonly string[];
  /** Of our own making. */
  readonly svg: string;
}
/** Something that is told, with what was drawn of it. */
export interface ToldPage {
  readonly title: string;
  readonly lines: readonly string[];
  readonly drawn: readonly Drawn[];
  readonly after: readonly string[];
}

/** The same as a page. */
export function toldPage({ title, lines, drawn, after }: ToldPage): string {
  const said = (all: readonly string[]) => all.map((line) => `<p>${esc(line)}</p>`);
  const pictures = drawn.flatMap((d) => [...(d.name ? [`<h2>${esc(d.name)}</h2>`] : []), d.svg, ...said(d.said)]);
  return pageOf(title, [`<h1>${esc(title)}</h1>`, ...said(lines), ...pictures, ...said(after)].join('\n'));
}
