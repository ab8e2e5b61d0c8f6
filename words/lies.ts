import type { BandBy, FishLie, LieReason, Shift, WillingMove } from '@/core/lies';
import { format, type UnitSystem } from './units';

const PART_WORDS: Record<Shift['part'], readonly [string, string]> = {
  depth: ['the depth suits less', 'the depth suits better'],
  speed: ['the current suits less', 'the current suits better'],
  seam: ['there is less fast water next door', 'there is more fast water next door'],
  cover: ['there is less cover', 'there is more cover'],
  edge: ['the water’s edge draws them less there', 'the water’s edge draws them there'],
  light: ['the light lies on it', 'it is darker there'],
  place: ['this part of the run draws them less', 'this part of the run draws them more'],
};
/** Where depth and current are as they were: what hides fish, and what they can hold in, has changed. */
const SAME_WORDS: Partial<typeof PART_WORDS> = {
  depth: ['the same depth hides them less', 'the same depth hides them better'],
  speed: ['the same current suits less', 'the same current suits better'],
};
const SAME = { depthM: 0.03, speedMps: 0.03 } as const;

/** Differences worth a word, m and m/s. */
const WORTH = { depthM: 0.15, speedMps: 0.12, outM: 3, alongM: 6 } as const;

/** Why fish hold there. */
const REASONS: Record<LieReason, string> = {
  riffle: 'air from the riffle',
  'drop-off': 'just over the drop-off',
  plunge: 'beside the plunge',
  boulder: 'soft water behind a boulder',
  log: 'beside sunken wood',
  brush: 'under the brush',
  'cut bank': 'the trough under the cut bank',
  eddy: 'the soft water of the eddy',
  'foam line': 'under the foam line',
  'level step': 'a level step in the fast water',
  bar: 'beside the bar',
  weed: 'beside the weed',
  redd: 'near a redd',
  spring: 'the spring keeps its temperature',
  'patrolled slack': 'large trout patrol this slack: one lane again and again, and wait',
  'tailout at dusk': 'the tailout fills in low light',
  'air at the head': 'air in the water of the head',
  'head in the warm': 'the head, in warm water',
  shade: 'in the shade of the bank',
  'inside of the bend': 'the soft inside of the bend',
  seam: 'slow water beside fast',
  'edge in dirty water': 'dirty water moves fish to the soft edge',
  'edge in low light': 'the edge in low light',
  'edge in high water': 'high water moves fish to the soft edge',
  'deep from the sun': 'deep, out of the high sun',
  'slow and deep in the cold': 'slow and deep in the cold',
  'slow in the cold': 'slow water in the cold',
  'best of poor water': 'poor water at this level, and the best of it',
  'good depth': 'even holding water of good depth',
  comfortable: 'comfortable depth and speed',
};
export const lieReasons = ({ reasons }: Pick<FishLie, 'reasons'>): string[] => reasons.map((r) => REASONS[r]);

const MOVED: Record<WillingMove, string> = {
  cold: 'lower in the cold',
  'warm water': 'higher in warm water',
  heat: 'lower in the heat',
  murk: 'lower in murk',
  'clear water': 'higher in clear water',
  'high sun': 'lower under a high sun',
  'low light': 'higher in low light',
  pressed: 'lower where flies were shown today',
  'own takes higher': 'higher by your own takes',
  'own takes lower': 'lower by your own takes',
};
const SHOWN = {
  'near the bed': 'near the bed',
  'upper to middle': 'above the fish, clear of the bed',
  'comes up': 'where fish come up to the fly',
} as const;
/** How deep a fly is shown, and why. @example bandWords({ school: 'near the bed', moved: ['cold'] }) // 'near the bed, lower in the cold' */
export const bandWords = ({ school, moved }: BandBy): string =>
  [SHOWN[school], ...moved.map((m) => MOVED[m])].join(', ');

/** Why fish lie there; where a better lie has the same reasons, what differs from it. */
export function lieReasonWords(lie: FishLie, lies: readonly FishLie[]): string {
  const words = lieReasons(lie).join('; ');
  const like = lies.find((l) => l.rank < lie.rank && lieReasons(l).join('; ') === words);
  if (!like) return words;
  const by: readonly (readonly [number, number, string, string])[] = [
    [lie.depthM - like.depthM, WORTH.depthM, 'deeper', 'thinner'],
    [lie.speedMps - like.speedMps, WORTH.speedMps, 'faster', 'slower'],
    [lie.yM - like.yM, WORTH.outM, 'further out', 'nearer your bank'],
    [lie.xM - like.xM, WORTH.alongM, 'further down', 'further up'],
  ];
  const differs = by.flatMap(([d, least, more, less]) => (Math.abs(d) < least ? [] : [d > 0 ? more : less]));
  return `like ${like.rank}${differs.length > 0 ? `, but ${differs.slice(0, 2).join(' and ')}` : ', close by'}`;
}

/** Found again under so many of the waters that the readings leave open a lie is sure, or likely. */
const [SURE, LIKELY] = [0.85, 0.5];

/** How sure a lie is, in words that the numbers bear. */
export function sureWords({ foundAgain, guess }: FishLie): string | null {
  if (guess === 'alike') return 'a guess: the water is much alike';
  if (guess === 'glance') return 'a guess: measure a depth there';
  if (!foundAgain) return null;
  const share = foundAgain.times / foundAgain.of;
  return share >= SURE ? 'sure' : share >= LIKELY ? 'likely' : 'a guess: a rough reading would move it';
}

/** Where a lie is; on a bank that is under water today it lies behind where the bank is else. */
export const placeWords = ({ xM, yM }: Pick<FishLie, 'xM' | 'yM'>, system: UnitSystem): string =>
  `${format('length', xM, system)} down, ${format('length', Math.abs(yM), system)} ${yM < 0 ? 'in over the flooded bank' : 'out'}`;

/** A part that changes by less explains nothing. */
const HARDLY = 0.03;
/** In no more than this is no fish, m. */
const DRY_M = 0.05;

/** What lies are called on both days: by the number of the first day, new ones by a letter. */
export function shiftNames(shifts: readonly Shift[]): string[] {
  let fresh = 0;
  return shifts.map((s) => (s.before ? String(s.before.rank) : String.fromCharCode(65 + fresh++)));
}

/** What became of a lie from one day to the other, and why. */
export function shiftWords(s: Shift, name: string, system: UnitSystem): string {
  const length = (m: number) => format('length', Math.abs(m), system);
  const [d0, d1] = s.depthM.map((d) => format('depth', d, system));
  const [u0, u1] = s.speedMps.map((u) => format('speed', u, system));
  const alike =
    Math.abs(s.depthM[1] - s.depthM[0]) < SAME.depthM && Math.abs(s.speedMps[1] - s.speedMps[0]) < SAME.speedMps;
  const told = (why: string) => `${why} (${alike ? `${d0}, ${u0}` : `${d0} to ${d1}, ${u0} to ${u1}`}).`;
  const [less, better] = (alike ? SAME_WORDS[s.part] : undefined) ?? PART_WORDS[s.part];
  const [wasDry, isDry] = s.depthM.map((d) => d < DRY_M);
  if (!s.before) {
    const why = wasDry ? 'it was dry' : s.byPart >= HARDLY ? better : 'others are no better any more';
    return `${name} is new, ${length(s.after!.xM)} down: ${told(why)}`;
  }
  if (s.held) return `${name} is as good as it was; others are better.`;
  if (!s.after) {
    const why = isDry ? 'it is dry' : s.byPart <= -HARDLY ? less : 'fish are better off elsewhere';
    return `${name} is gone: ${told(why)}`;
  }
  const dx = s.after.xM - s.before.xM;
  const dy = s.after.yM - s.before.yM;
  const moves = [
    ...(Math.abs(dx) >= 1 ? [`${length(dx)} ${dx > 0 ? 'down' : 'up'}`] : []),
    ...(Math.abs(dy) >= 1 ? [`${length(dy)} ${dy > 0 ? 'out' : 'in'}`] : []),
  ];
  const lost = s.after.rank - s.before.rank;
  const now = lost === 0 ? '' : `, now ranked ${s.after.rank}`;
  const why = Math.abs(s.byPart) < HARDLY ? 'it hardly changes where it was' : s.byPart > 0 ? better : less;
  // What changed there does not say why it ranks otherwise where that points the other way.
  const others =
    lost > 0 && s.byPart > -HARDLY
      ? ', and others gain more'
      : lost < 0 && s.byPart < HARDLY
        ? ', and others lose more'
        : '';
  return `${name} ${moves.length > 0 ? `moves ${moves.join(', ')}` : 'stays'}${now}: ${told(why + others)}`;
}
