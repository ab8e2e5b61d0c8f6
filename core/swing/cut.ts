import type { LineSection, Numerics } from './types';

/** Cuts of docs/swing.md: errors at lies of about 5 %, 2 % and 1 %. `coarse` ranks many rigs, `screen` is for comparisons, `full` is the default. */
export const NUMERICS = {
  coarse: {
    tipLinkM: 1.6,
    leaderLinkM: 1.5,
    floatLinkM: 0.5,
    floatLinkMaxM: 4,
    growth: 1.6,
    maxStepS: 1.5,
    acceptM: 2e-2,
  },
  screen: {
    tipLinkM: 1,
    leaderLinkM: 0.8,
    floatLinkM: 0.5,
    floatLinkMaxM: 3,
    growth: 1.25,
    maxStepS: 1,
    acceptM: 1e-3,
  },
  full: {
    tipLinkM: 0.4,
    leaderLinkM: 0.4,
    floatLinkM: 0.5,
    floatLinkMaxM: 2,
    growth: 1.25,
    maxStepS: 1,
    acceptM: 1e-3,
  },
  fine: {
    tipLinkM: 0.25,
    leaderLinkM: 0.25,
    floatLinkM: 0.5,
    floatLinkMaxM: 0.8,
    growth: 1.25,
    maxStepS: 0.5,
    acceptM: 1e-3,
  },
} as const satisfies Record<string, Numerics>;

/** Longest link within the two metres next to the rod, m: coarser there puts the deepest point wrong by a third. */
const ROD_LINK_M = 0.8;
/** A dense head longer than this is cut with growing links, too. */
const DENSE_FINE_M = 4;

/** A body may hang so far from a node, as a share of a leader's link; else the line is cut where it hangs. */
const OFF_NODE = 1 / 8;

/** The line cut where bodies hang that no node of it would be near to, so that each finds one there. */
export function cutAtBodies(
  line: readonly LineSection[],
  bodies: readonly { readonly fromEndM: number }[],
  num: Numerics,
): readonly LineSection[] {
  const nearM = OFF_NODE * num.leaderLinkM;
  let out = line;
  for (const { fromEndM } of bodies) {
    if (fromEndM === 0) continue; // the end of the line is a node
    let left = out.reduce((sum, s) => sum + s.lengthM, 0) - fromEndM;
    const off = cutLine(out, num).reduce(
      ({ atM, near }, l) => ({ atM: atM + l.lengthM, near: Math.min(near, Math.abs(atM + l.lengthM - left)) }),
      { atM: 0, near: Infinity },
    );
    if (off.near <= nearM) continue;
    const i = out.findIndex((s) => (left -= s.lengthM) < 0);
    const s = out[i]!;
    const parts = [s.lengthM + left, -left].map((lengthM) => ({ ...s, lengthM }));
    out = [...out.slice(0, i), ...parts, ...out.slice(i + 1)];
  }
  return out;
}

interface Link {
  readonly section: number;
  readonly lengthM: number;
}

/**
 * Cuts a line into links, from the rod tip outwards: fine at tip, leader and the joint, growing towards the rod.
 *
 * @param line sections from the rod tip outwards, lengths in m (> 0)
 * @returns links whose lengths add up to each section's length
 * @example cutLine([{ kind: 'leader', lengthM: 1.2, … }], NUMERICS.full) // three links of 0.4 m
 */
export function cutLine(line: readonly LineSection[], num: Numerics): Link[] {
  const out: Link[] = []; // from the fly inwards, reversed at the end
  let growing = num.floatLinkM;
  for (let s = line.length - 1; s >= 0; s--) {
    const { kind, lengthM } = line[s]!;
    const nearRodM = s === 0 ? 2 : 0;
    const even = kind === 'leader' ? num.leaderLinkM : num.tipLinkM;
    const lengths: number[] = [];
    let left = lengthM;
    while (left > 1e-9) {
      let want: number = even;
      if (kind === 'float' || lengthM - left >= DENSE_FINE_M) {
        want = growing;
        growing = Math.min(growing * num.growth, num.floatLinkMaxM);
      }
      if (left <= nearRodM + 1e-9) want = Math.min(want, ROD_LINK_M);
      else want = Math.min(want, Math.max(left - nearRodM, 0.3 * want));
      const take = left < 1.5 * want ? (left < 1.2 * want ? left : left / 2) : want;
      lengths.push(take);
      left -= take;
    }
    for (const l of lengths) out.push({ section: s, lengthM: l });
  }
  return out.reverse();
}
