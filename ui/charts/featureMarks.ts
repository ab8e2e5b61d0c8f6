import type { FeatureKind } from '@/core/water';

/** Where a mark is drawn: its middle and half its length and width, px; the width of the sheet. */
interface MarkBox {
  readonly x: number;
  readonly y: number;
  readonly l: number;
  readonly w: number;
  readonly sheetWidth: number;
}

/** One stroke of a mark: an SVG path, and in which of the theme's inks. */
export interface MarkStroke {
  readonly d: string;
  readonly ink: 'ink' | 'second ink' | 'bed' | 'flow' | 'caution';
  readonly width: number;
  readonly fill?: 'bed' | 'sand' | 'caution';
  readonly dash?: string;
}

const line = (d: string, o: Partial<MarkStroke> = {}): MarkStroke => ({ d, ink: 'ink', width: 1.5, ...o });
const ellipse = (x: number, y: number, rx: number, ry: number) =>
  `M${x - rx} ${y}a${rx} ${ry} 0 1 0 ${2 * rx} 0a${rx} ${ry} 0 1 0 ${-2 * rx} 0Z`;
const tufts = ({ x, y, l, w }: MarkBox): MarkStroke[] => {
  let d = '';
  for (let a = y - l + 4; a <= y + l - 2; a += 11)
    for (let b = x - w + 3; b <= x + w; b += 11) d += `M${b.toFixed(0)} ${a.toFixed(0)}l-3 -6m3 6v-7m0 7l3 -6`;
  return [line(d, { width: 1.2 })];
};

/** How each kind of feature is drawn on the sheet. */
export const FEATURE_MARKS: Readonly<Record<FeatureKind, (b: MarkBox) => readonly MarkStroke[]>> = {
  riffle: ({ x, y, l, w }) => {
    let d = '';
    const step = 16;
    for (let a = y - l + 4; a < y + l; a += step)
      for (let b = x - w + 4 + ((Math.round((a - y) / step) & 1) * step) / 2; b < x + w - 6; b += step)
        d += `M${b.toFixed(0)} ${a.toFixed(0)}q3 -4 6 0`;
    return [line(d, { width: 1.2 })];
  },
  // A ledge: a line with teeth that point down it.
  'drop-off': ({ x, y, w }) => {
    const n = Math.max(3, Math.round(w / 6));
    let d = `M${x - w} ${y}L${x + w} ${y}`;
    for (let i = 0; i < n; i++) {
      const a = x - w + ((i + 0.5) * 2 * w) / n;
      d += `M${a - 3} ${y}L${a} ${y + 6}L${a + 3} ${y}`;
    }
    return [line(d)];
  },
  // Water that falls: strokes that end in a ring.
  plunge: ({ x, y, w }) => [
    line([-0.6, 0, 0.6].map((k) => `M${x + k * w} ${y - 9}v10`).join(''), { width: 2 }),
    line(ellipse(x, y + 6, Math.max(6, w), 4)),
  ],
  boulder: ({ x, y, w }) => {
    const r = Math.max(4, w);
    const d = `M${x - r} ${y + 0.3 * r}L${x - 0.6 * r} ${y - 0.7 * r}L${x + 0.2 * r} ${y - r}L${x + 0.9 * r} ${y - 0.3 * r}L${x + 0.8 * r} ${y + 0.6 * r}L${x - 0.3 * r} ${y + 0.9 * r}Z`;
    return [line(d, { width: 1.2, fill: 'bed' })];
  },
  log: ({ x, y, l, w }) => {
    const d = `M${x - w} ${y - l}L${x + w} ${y + l}`;
    return [line(d, { width: 5 }), line(d, { width: 2.5, ink: 'bed' })];
  },
  brush: tufts,
  'cut bank': ({ x, y, l, sheetWidth }) => {
    let d = `M${x} ${y - l}L${x} ${y + l}`;
    for (let a = y - l; a <= y + l; a += 7) d += `M${x} ${a.toFixed(0)}l${x > sheetWidth / 2 ? -6 : 6} 3`;
    return [line(d, { width: 2 })];
  },
  eddy: ({ x, y }) => [line(`M${x} ${y}m-6 0a6 6 0 1 0 6 -6m0 0l-3 -3m3 3l-3 3`)],
  'foam line': ({ x, y, l }) => [line(`M${x} ${y - l}L${x} ${y + l}`, { ink: 'flow', width: 3, dash: '1 6' })],
  'level step': ({ x, y, l, w }) => [
    line(`M${x - w} ${y - l}L${x + w} ${y - l}M${x - w} ${y + l}L${x + w} ${y + l}`, { dash: '7 3' }),
  ],
  bar: ({ x, y, l, w }) => [line(ellipse(x, y, w, l), { ink: 'second ink', width: 1, fill: 'sand', dash: '2 3' })],
  weed: tufts,
  redd: ({ x, y, l, w }) => [line(ellipse(x, y, w, l), { ink: 'caution', width: 2, fill: 'caution', dash: '5 3' })],
  spring: ({ x, y }) => [line(ellipse(x, y, 5, 5))],
};
