/** Banks are carried on above the water at the slope of their last metre, within these limits (rise over run). */
const BANK_SLOPE = { least: 0.15, most: 3 };

export interface Bank {
  readonly y: number[];
  /** Depth at the level it was read; negative above the water. */
  readonly d: number[];
}

/** The section as a line of bed depths with both banks carried on above the water. */
export function withBanks(s: Section): Bank {
  const p = s.points;
  const a = p[0]!;
  const z = p[p.length - 1]!;
  const slope = (from: typeof a, to: typeof a) =>
    Math.min(BANK_SLOPE.most, Math.max(BANK_SLOPE.least, Math.abs((to.depthM - from.depthM) / (to.yM - from.yM))));
  const rise = 3;
  return {
    y: [
      a.yM - (rise + a.depthM) / slope(a, p[1]!),
      ...p.map((q) => q.yM),
      z.yM + (rise + z.depthM) / slope(z, p[p.length - 2]!),
    ],
    d: [-rise, ...p.map((q) => q.depthM), -rise],
  };
}

export function depthOn(b: Bank, y: number): number {
  let i = 1;
  while (i < b.y.length - 1 && b.y[i]! < y) i++;
  const ya = b.y[i - 1]!;
  const f = (y - ya) / (b.y[i]! - ya);
  return b.d[i - 1]! + Math.min(1, Math.max(0, f)) * (b.d[i]! - b.d[i - 1]!);
}

/** First and last place under water when the level has changed by `rise`, or null when the section is dry. */
export function edges(b: Bank, rise: number): readonly [number, number] | null {
  const crossing = (i: number) => {
    const da = b.d[i - 1]! + rise;
    const db = b.d[i]! + rise;
    return b.y[i - 1]! + ((b.y[i]! - b.y[i - 1]!) * -da) / (db - da);
  };
  let near: number | null = null;
  let far: number | null = null;
  for (let i = 1; i < b.y.length; i++) {
    const a = b.d[i - 1]! + rise > 0;
    const z = b.d[i]! + rise > 0;
    if (!a && z) near ??= crossing(i);
    if (a && !z) far = crossing(i);
  }
  return near === null || far === null ? null : [near, far];
}

/** Width, area and mean depth of a section when the level has changed by `rise`.
 * @example sectionAt({ xM: 0, points: [{yM:0,depthM:0},{yM:10,depthM:1},{yM:20,depthM:0}] }, 0).areaM2 // 10 */
export function sectionAt(s: Section, rise: number): { widthM: number; areaM2: number; meanDepthM: number } {
  const b = withBanks(s);
  const e = edges(b, rise);
  if (!e) return { widthM: 0, areaM2: 0, meanDepthM: 0 };
  const ys = [e[0], ...b.y.filter((y) => y > e[0] && y < e[1]), e[1]];
  let area = 0;
  for (let i = 1; i < ys.length; i++) {
    const da = Math.max(0, depthOn(b, ys[i - 1]!) + rise);
    const db = Math.max(0, depthOn(b, ys[i]!) + rise);
    area += ((da + db) / 2) * (ys[i]! - ys[i - 1]!);
  }
  return { widthM: e[1] - e[0], areaM2: area, meanDepthM: area / (e[1] - e[0]) };
}

export type Ends = readonly (readonly [number, number])[];

/** Water's edges of every section when the level has changed by `rise`. */
export function endsAt(banks: readonly Bank[], rise: number): Ends {
  return banks.map((b) => {
    const e = edges(b, rise);
    if (!e) throw new RangeError('levelM: at this level the run would be dry');
    return e;
  });
}

export type Between = ReturnType<typeof between>;

export const edgesBetween = (ends: Ends, { a, b, f }: Between) => ({
  near: ends[a]![0] + f * (ends[b]![0] - ends[a]![0]),
  far: ends[a]![1] + f * (ends[b]![1] - ends[a]![1]),
});

/** Depths of a section at growing parts of its width, walked along without searching. */
export function cursor(b: Bank, [near, far]: readonly [number, number], rise: number): (part: number) => number {
  let i = 1;
  return (part) => {
    const y = near + part * (far - near);
    while (i < b.y.length - 1 && b.y[i]! < y) i++;
    const ya = b.y[i - 1]!;
    const f = Math.min(1, Math.max(0, (y - ya) / (b.y[i]! - ya)));
    return Math.max(0, b.d[i - 1]! + f * (b.d[i]! - b.d[i - 1]!) + rise);
  };
}

/** Depth at one place, as the grid has it. */
export function depthAt(
  sections: readonly Section[],
  banks: readonly Bank[],
  rise: number,
  x: number,
  y: number,
): number {
  const ends = endsAt(banks, rise);
  const at = between(sections, x);
  const { near, far } = edgesBetween(ends, at);
  const part = (y - near) / (far - near);
  if (part <= 0 || part >= 1) return 0;
  return (
    (1 - at.f) * cursor(banks[at.a]!, ends[at.a]!, rise)(part) + at.f * cursor(banks[at.b]!, ends[at.b]!, rise)(part)
  );
}

/** Sections on either side of x and how far x lies between them. */
export function between(sections: readonly Section[], x: number): { a: number; b: number; f: number } {
  let b = sections.findIndex((s) => s.xM >= x);
  if (b < 0) b = sections.length - 1;
  if (b === 0) return { a: 0, b: 0, f: 0 };
  const a = b - 1;
  const span = sections[b]!.xM - sections[a]!.xM;
  return { a, b, f: span > 0 ? Math.min(1, (x - sections[a]!.xM) / span) : 1 };
}

/** A cross-section: points from the described bank outwards; the first and last are the water's edges. */
export interface Section {
  readonly xM: number;
  readonly points: readonly { readonly yM: number; readonly depthM: number }[];
}
