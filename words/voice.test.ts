import { LEVER_NAMES, type Risk } from '@/core/advice';
import type {
  Because,
  Caution,
  Check,
  Flip,
  FlipWhen,
  FlyCode,
  Lost,
  Mistake,
  Nothing,
  OtherSchool,
  Reason,
  SignCode,
  SignFact,
  Would,
} from '@/core/answer';
import { SIGNS } from '@/core/answer/methods';
import { SCHOOL_NAMES, SCHOOLS } from '@/core/answer/schools';
import { type Beyond, handsOf, WAYS, type WindAsks } from '@/core/cast';
import type { HourCaution, NextWhy } from '@/core/cover';
import type { ColourBecause } from '@/core/colour/forecast';
import type { Judged } from '@/core/colour/verdict';
import type { Hint } from '@/core/learn/hint';
import type { Odd } from '@/core/logbook/odd';
import type { DayCaution } from '@/core/plan/day';
import type { Barred, HoursBecause } from '@/core/plan/hours';
import type { Missing, PackItem } from '@/core/plan/packing';
import type { Reason as WaterReason } from '@/core/plan/waters';
import type { NotCast } from '@/core/refusal';
import type { Breach } from '@/core/rules';
import type { PhotoFault } from '@/core/sight/photo';
import type { Consequence } from '@/core/tackle';
import { PLAN, RIG } from '@/core/testing/fixtures';
import { leftWords, sureOfStand } from './answer';
import { beyondWords, openingWords, WAY_WORDS, windWords, worthLearning } from './cast';
import { cautionWords, mistakeWords } from './cautions';
import { changeWords } from './changes';
import { clearsWords, colourBecause, judgedWords } from './colour';
import { consequenceWords } from './consequences';
import { handsWords } from './hands';
import { hourCaution, nextWhy, strikeWords } from './cover';
import { feedNote, gaugeDoubt, levelRecordWords, noFeedWords } from './gauge';
import { HELP } from './help';
import { hintWords } from './learn';
import { bandWords, lieReasons } from './lies';
import { briefWords, oddWords } from './log';
import { missingWords, packWhat, packWhy } from './packing';
import { damWords, turnoverWords } from './dam';
import { dayCaution } from './day';
import {
  barredWords,
  goodWords,
  hoursBecause,
  hoursRecordWords,
  leftOutWords,
  temperatureWords,
  tideWords,
} from './hours';
import { restedSince, seasonWords } from './season';
import { behindWords, insteadWords, waterReason } from './waters';
import {
  bringWords,
  checkWords,
  flipWords,
  flyCodeWords,
  nothingWords,
  reasonWords,
  secondWords,
  signWords,
  toReadWords,
} from './reasons';
import { notCastWords } from './refusals';
import { breachWords } from './rules';
import { schoolSays, wouldToday } from './schools';
import { TOUR } from './tour';
import { photoFault } from './sight';
import { TERMS } from './terms';
import type { UnitSystem } from './units';

/** Every code of a union once: a code that is left out does not compile. */
const codes = <C extends string>(all: Record<C, true>): C[] => Object.keys(all) as C[];
type Says = (units: UnitSystem) => string;

const FLY = RIG.fly;
const BRIEF = {
  ...{ minutes: 200, taken: 2, takes: [{ place: 'dangle', takes: 2 }] as const },
  runs: [
    { name: 'Long Even', fromM: 12, toM: 60 },
    { name: 'The Step', fromM: 8, toM: 8.2 },
  ],
};
const finer = (would: Would): OtherSchool => ({ school: 'tippet', used: 'strong', others: [{ name: 'finer', would }] });
const WOULD: readonly Would[] = [
  ...[{ leader: '9 ft 4X' }, { fly: RIG.fly }, { tip: '10 ft fast' }, { lineM: 12 }],
  ...[0, 1, 2].map((mendM) => ({ mendM })),
  ...[1, 2, 4].map((times) => ({ times })),
];
const SIGN: Omit<SignFact, 'sign'> = {
  ...{ depthM: 1.2, speedMps: 0.6, visibilityM: 0.8, tempC: 6, quarry: 'steelhead' as const, low: false },
};
const sign = (code: SignCode): SignFact => ({ ...SIGN, sign: code });
const AT = Date.UTC(2026, 4, 4, 9);
const breach: Breach = { rule: 'closedRuns' };
const HOURS = { beforeSunriseMin: 60, afterSunsetMin: 0 };

const BREACHES: Breach[] = [
  { rule: 'season', from: '03-15', to: '09-30' },
  { rule: 'hours', hours: HOURS },
  ...(['closedRuns', 'barbless', 'noScent'] as const).map((rule) => ({ rule })),
  ...([1, 2, 3] as const).map((most) => ({ rule: 'maxFlies' as const, most })),
  ...(['fly', 'leader'] as const).map((on) => ({ rule: 'noAddedWeight' as const, on })),
];
const THROW = { line: 'head', headKg: 0.03, tipKg: 0.005, windowKg: [0.02, 0.04], fits: 'right' } as const;
const CONSEQUENCES: Consequence[] = [
  ...codes<
    Exclude<Consequence['code'], 'fine tippet' | 'stout tippet' | 'holds' | 'flies close' | 'head' | 'tip too heavy'>
  >({
    'long leader': true,
    'tip on mono': true,
    'larger dropper': true,
    nicked: true,
    'long arm': true,
    'many arms': true,
    'barbless bend': true,
    'free hook': true,
    'float drowns': true,
    'float deep': true,
    'float light': true,
    'fly above float': true,
    'float above leader': true,
    'tip under float': true,
    'fly above leader': true,
    'tip too light': true,
    'flies too heavy': true,
  }).map((code) => ({ of: 'tie' as const, level: 'care' as const, code })),
  { of: 'turnover', level: 'care', code: 'fine tippet', hook: '4' },
  { of: 'turnover', level: 'care', code: 'stout tippet', hook: '16' },
  ...(['enough', 'too little', 'not asked'] as const).map((byWood) => ({
    ...{ of: 'strength' as const, level: 'good' as const, code: 'holds' as const, n: 44, byWood, dragN: 15 },
  })),
  { of: 'tangles', level: 'care', code: 'flies close', apartM: 0.12 },
  { of: 'balance', level: 'good', code: 'head', ...THROW },
  { of: 'balance', level: 'care', code: 'head', ...THROW, line: 'line', tipKg: 0, fits: 'too heavy' },
  { of: 'balance', level: 'care', code: 'tip too heavy', tipKg: 0.02, line: 'line' },
];
const WIND: WindAsks[] = [
  { from: 'upstream', shoulder: 'left', ontoYou: true },
  { from: 'downstream', shoulder: 'right', ontoYou: false },
  { from: 'across', shoulder: null, ontoYou: false },
  { from: 'behind', shoulder: null, ontoYou: false },
];
const CAUTIONS: Caution[] = [
  { level: 'stop', code: 'too warm' },
  ...(['warm', 'rising', 'high water'] as const).map((code) => ({ level: 'care' as const, code })),
  { level: 'care', code: 'cold wading', tempC: 5 },
  { level: 'stop', code: 'closed', breach },
  ...WIND.map((asks) => ({ level: 'care' as const, code: 'wind' as const, asks })),
  { level: 'care', code: 'staged', lies: 'all' },
  { level: 'care', code: 'staged', lies: [2] },
  { level: 'care', code: 'staged', lies: [2, 4] },
  ...(['impossible water', 'juveniles', 'spawning fish', 'rises', 'redd', 'weighted fly', 'two flies'] as const).map(
    (code) => ({ level: 'care' as const, code }),
  ),
];
const MISTAKES: Mistake[] = [
  { code: 'breach', breach },
  { code: 'put together', consequence: CONSEQUENCES[0]! },
  ...(['too high', 'too thin', 'cast shorter', 'too heavy', 'too fast', 'over the redd'] as const).flatMap((code) => [
    { code, lies: [3, 1], of: 4 },
    { code, lies: [1], of: 1 },
  ]),
  { code: 'only a floating line' },
  { code: 'rises and a streamer' },
  { code: 'signs against', method: 'wake fly', signs: [sign('cold'), sign('not for waking')] },
];
const DEPTH = { code: 'depth', lie: 1, depthM: 1.2, speedMps: 0.5, topM: 0.6, bottomM: 1.1, passesM: 0.5 } as const;
const REASONS: Reason[] = [
  { code: 'no use', method: 'strip' },
  ...SIGNS.map(({ code }) => ({ code: 'sign' as const, ...sign(code) })),
  { ...DEPTH, tip: '10 ft fast', fit: 'too shallow', lighter: { tip: '10 ft slow', higherM: 0.2 } },
  { ...DEPTH, tip: null, fit: 'right', lighter: null },
  ...(
    [
      { code: 'speaks for it', codes: ['fry', 'murk'] },
      { code: 'on, another suits better', than: FLY },
      { code: 'fishes better on this rig', than: FLY },
      { code: 'nearest' },
      { code: 'carried by', by: 'sight', than: FLY },
    ] as const
  ).map((why) => ({ code: 'fly' as const, fly: FLY, why, visibilityM: 0.8 })),
  ...(['soft hackles', 'dirty', 'cold', 'clear and low', 'low light', 'between'] as const).map((rule) => ({
    ...{ code: 'opening' as const, rule },
  })),
];
const FLY_CODES = codes<FlyCode>({
  ...{
    method: true,
    fry: true,
    crayfish: true,
    hatch: true,
    'yellow light': true,
    'party ahead': true,
    cold: true,
    steelhead: true,
    'sea trout': true,
  },
  ...{ juveniles: true, size: true, murk: true, 'tan in yellow light': true, 'bright day': true, 'soft light': true },
  ...{ natural: true, contrast: true, sight: true, 'over stones': true, 'point up': true },
});
const LOST: Lost[] = [
  ...(['as good', 'finds less', 'little between', 'water speaks less', 'fly suits less'] as const).map((code) => ({
    code,
  })),
  { code: 'costs more', moreS: 90 },
  { code: 'sign', ...sign('slack') },
  ...(['outfit', 'light', 'turnsOver', 'leader'] as const).map((part) => ({ code: 'tackle' as const, part })),
];
const WHEN: FlipWhen[] = [
  ...(['deeper', 'shallower'] as const).map((code) => ({ code, byM: 0.15 })),
  ...(['clears', 'colours'] as const).map((code) => ({ code, toM: 0.5 })),
  { code: 'warms', toC: 10 },
  ...(['faster', 'slower', 'light goes', 'hatch', 'refusals', 'hatch stops'] as const).map((code) => ({ code })),
];
const THEN: Flip['then'][] = [
  { code: 'tip', tip: null },
  { code: 'tip', tip: '10 ft heavy' },
  { code: 'method', method: 'strip', fly: FLY, angleDeg: null },
  { code: 'method', method: 'streamer on the swing', fly: FLY, angleDeg: 60 },
];
const CHECKS: Check[] = [
  ...[0.5, 6].map((byS) => ({ code: 'tight' as const, byS })),
  ...[1, 3].map((times) => ({ code: 'touches' as const, times })),
  { code: 'out of sight', afterS: 4 },
  ...(['wake', 'float drift', 'drift', 'touch now and then', 'no touch'] as const).map((code) => ({ code })),
];
const NONE: Nothing[] = [
  ...(['no water', 'rig not allowed', 'no cast', 'no fly', 'bag not allowed'] as const).map((code) => ({ code })),
  { code: 'bag lacks', lacks: ['rod', 'head'] },
];
const BECAUSES = codes<Because>({
  ...{ 'out of reach': true, 'beyond the rod': true, 'short of it': true, 'not fishing': true, wood: true, redd: true },
  ...{ 'on the bed': true, 'line on the bed': true, 'too deep': true, 'too shallow': true, 'too fast': true },
  ...{ seldom: true, wakes: true },
});
const RISKS = codes<Risk>({ faster: true, slower: true, deeper: true, thinner: true, line: true });
const NOT_CAST: NotCast[] = [
  ...(['dry land', 'shorter than leader'] as const).map((code) => ({ code })),
  { code: 'on the bank', bank: 'far', byM: 1.5 },
  { code: 'blocked', by: 'log' },
  { code: 'trees behind', mostM: 14 },
];
const BEYOND: Beyond[] = [
  { code: 'never fished', line: 'short head' },
  ...(['head on two hands', 'trees behind', 'fine knots'] as const).map((code) => ({ code })),
  ...(['comfortable', 'rod carries', 'mono leads'] as const).map((what) => ({
    ...{ code: 'longer than' as const, what, lineNumber: 6 },
  })),
];
const WHYS: NextWhy[] = [
  ...(['same after', 'rest after'] as const).map((code) => ({ code, what: 'pluck' as const })),
  { code: 'fan', cast: 2, of: 5 },
  ...codes<Exclude<NextWhy['code'], 'same after' | 'rest after' | 'fan'>>({
    ...{ 'watch for it': true, rested: true, 'dropper over': true, 'new fly': true, smaller: true, higher: true },
    ...{ watch: true, 'clear the fly': true, 'check the hook': true, 'other turn': true, juveniles: true },
    ...{ cruises: true, over: true },
  }).map((code) => ({ code })),
];
const OF_HOUR: HourCaution[] = [
  { code: 'thunder', untilMin: 30 },
  { code: 'rising', byM: 0.07 },
  { code: 'dark', inMin: 12 },
];
const HINTS: Hint[] = [
  ...(['float', 'shot', 'tip', 'line', 'fly'] as const).map((first) => ({
    ...{ code: 'bed' as const, touches: 4, casts: 8, first },
  })),
  { code: 'hung', times: 2, casts: 20, first: 'tip' },
  ...[0.1, 0.3, 0.5, 0.8].map((ratio) => ({ code: 'leave' as const, ratio, walkMin: 10 })),
  ...[0, 1, 7].map((after) => ({ code: 'change' as const, casts: 38, takes: after % 3, after, right: 0.41 })),
  { code: 'unchanged', casts: 60 },
  ...(['own log', 'wets', 'streamers'] as const).map((by, i) => ({
    ...{ code: 'no take' as const, casts: 50, none: [0.004, 0.2, 0.6][i]!, by },
  })),
  { code: 'touches well' },
  ...(['float', 'line'] as const).map((what) => ({ code: 'watch' as const, what })),
  { code: 'not read' },
];
const ODD: Odd[] = [
  ...(['to come', 'ends first', 'take first'] as const).map((code) => ({ at: AT, code })),
  ...(['too long', 'clock back'] as const).map((code) => ({ at: AT, code, forMs: 7e7 })),
  { at: AT, code: 'gap', forMs: 2e7, until: AT + 2e7 },
  { at: AT, code: 'too fast', casts: 6, inS: 30 },
  { at: AT, code: 'too many', casts: 400, inMs: 3.6e6, mostAnHour: 150 },
];
const JUDGED: Judged[] = (['go', 'go with sinking gear', 'elsewhere'] as const).flatMap((verdict) =>
  [true, false].map((drive) => ({ verdict, chance: 0.7, fishable: 0.7, plain: 0.3, drive })),
);
const RIVER: ColourBecause['river'][] = [
  { code: 'rising', moreShare: 0.4 },
  ...[true, false].map((falling) => ({ code: 'clearing' as const, falling })),
  ...(['clearing slowly', 'high', 'raised', 'low', 'middling'] as const).map((code) => ({ code })),
];
const DAY_CAUTIONS: DayCaution[] = [
  { code: 'closed run', run: 'Long Pool', breach },
  { code: 'dam release', runs: ['A', 'B'], fromAt: AT, toAt: AT + 1e7, clearAt: AT + 2e7 },
  { code: 'dark', fromAt: AT, backAt: AT + 1e6 },
  { code: 'rain', mm: 12 },
  { code: 'long day', hours: 15 },
  { code: 'more road than water', roadMin: 180, fishedMin: 69 },
  { code: 'one end', hours: 22 },
];
const HOURS_BECAUSE: HoursBecause[] = [
  { code: 'cooling', fromC: 6, toC: 5.2 },
  ...(['chosen', 'under cloud', 'low sun all day', 'bright sky', 'sky not said', 'no place'] as const).map((code) => ({
    code,
  })),
  { code: 'cold water', warmestC: 5 },
];
const BARRED: Barred[] = [{ code: 'dam release' }, { code: 'closed', hours: HOURS }, { code: 'too warm', tempC: 21 }];
const MISSING: Missing[] = [
  ...(['no legal fly', 'no whole rig', 'barbed flies', 'no tippet'] as const).map((code) => ({ code })),
  ...[true, false].map((owns) => ({ code: 'only floating' as const, owns, chance: 0.6 })),
  { code: 'no rod for', purpose: 'dirty', chance: 0.4 },
  { code: 'running low', names: ['a', 'b', 'c', 'd', 'e'] },
];
const ROD = { purpose: 'clear', chance: 0.8, rig: RIG } as const;
const PACKED: PackItem[] = [
  { id: 'a', code: 'rod', rod: ROD, inHand: true },
  { id: 'b', code: 'rod', rod: { ...ROD, chance: null }, inHand: false },
  ...(['dark', 'light', 'wet', 'wake'] as const).map((of) => ({ id: of, code: 'flies' as const, of, flies: [FLY] })),
  ...(['tips', 'spools', 'rings', 'shot'] as const).map((code) => ({ id: code, code, names: ['Shot BB'] })),
  ...(['floats', 'forceps', 'net', 'lamp', 'food', 'phone'] as const).map((code) => ({ id: code, code })),
  ...[true, false].flatMap((yes): PackItem[] => [
    { id: 'thermometer', code: 'thermometer', warm: yes },
    { id: 'hat', code: 'hat', sun: yes },
    { id: 'vest', code: 'vest', children: yes },
    { id: 'staff', code: 'staff', dam: yes },
    { id: 'dry layer', code: 'dry layer', coldC: yes ? 7 : null },
    { id: 'permit', code: 'permit', source: yes ? 'a board' : '' },
  ]),
  { id: 'gloves', code: 'gloves', airC: 3 },
  { id: 'rain', code: 'rain jacket', mm: 6 },
];
type WithoutTone<R> = R extends unknown ? Omit<R, 'tone'> : never;
const OF_WATERS: WithoutTone<WaterReason>[] = [
  { code: 'other fish', has: 'brown trout', wanted: 'steelhead' },
  ...(['rising', 'falling', 'little wind', 'road not said'] as const).map((code) => ({ code })),
  ...(['too warm', 'warm', 'cold', 'cool', 'good temperature'] as const).flatMap((code) =>
    [true, false].map((travellers) => ({ code, tempC: 12, travellers })),
  ),
  ...[
    [1, 1],
    [1, 3],
    [2, 2],
  ].map(([runs, of]) => ({ code: 'wind' as const, force: 'fresh' as const, runs: runs!, of: of! })),
  { code: 'shoulder', shoulder: 'left', runs: 1 },
  ...[0, 1].map((fishedDays) => ({
    code: 'freshet' as const,
    days: fishedDays,
    fishedDays,
    newFish: fishedDays === 0,
  })),
  { code: 'fished lately', days: 3 },
  ...[0, 1, 8].map((days) => ({ code: 'hearsay' as const, source: 'the keeper', text: 'Green.', days, old: days > 5 })),
  { code: 'largest', lengthM: 0.6, travellers: true },
  ...[true, false].map((travellers) => ({ code: 'largest' as const, lengthM: null, travellers })),
  { code: 'takes', takes: 1, casts: 120 },
  { code: 'season', now: 3, of: 9 },
  { code: 'seldom take', quarry: 'steelhead' },
  { code: 'road', minutes: 75 },
];
const PHOTO = codes<PhotoFault>({
  ...{ 'depth not said': true, 'blown in air': true, 'blown under water': true, 'dark in air': true },
  ...{ 'not white': true, glare: true, 'not seen': true, 'hardly dimmed': true },
});
const outcome = { found: 0.3, setup: { method: 'strip', rig: RIG, merit: 1, fits: 1 } };

/** Every sentence of the house, by room: over all codes, in the units that are asked. */
const SAID: Record<string, readonly Says[]> = {
  rules: BREACHES.map((b) => () => breachWords(b)),
  consequences: CONSEQUENCES.map((c) => (u) => consequenceWords(c, u)),
  cautions: [
    ...CAUTIONS.map(
      (c): Says =>
        (u) =>
          cautionWords(c, u),
    ),
    ...MISTAKES.map(
      (m): Says =>
        (u) =>
          mistakeWords(m, u),
    ),
  ],
  reasons: [
    ...REASONS.map(
      (r): Says =>
        (u) =>
          reasonWords(r, u),
    ),
    ...NONE.map(
      (n): Says =>
        () =>
          nothingWords(n),
    ),
    ...LOST.map(
      (why): Says =>
        (u) =>
          secondWords({ fished: outcome, against: 0.4, adds: [], why } as never, u),
    ),
    ...WHEN.flatMap((when) =>
      THEN.map(
        (then): Says =>
          (u) =>
            flipWords({ when, then }, u),
      ),
    ),
    ...CHECKS.map(
      (c): Says =>
        () =>
          checkWords(c),
    ),
    ...[[1], [1, 3]].map(
      (lies): Says =>
        () =>
          toReadWords({ read: ['float'], lies, ofTen: 7, nowOfTen: 4 }),
    ),
    () => toReadWords({ read: ['float', 'staff'], lies: [1], ofTen: 7, nowOfTen: 4 }),
    (u) => bringWords({ kind: 'fast', lengthM: 3.05, sinkRateMps: 0.14 }, u),
  ],
  answer: [
    ...BECAUSES.flatMap((because) =>
      [null, '10 ft heavy'].map(
        (tip): Says =>
          (u) =>
            leftWords([{ lie: { rank: 2, xM: 30, yM: 12 }, because, tip } as never], PLAN, u)[0]!,
      ),
    ),
    ...RISKS.map(
      (risk): Says =>
        () =>
          sureOfStand({ chance: 4, risk }),
    ),
  ],
  refusals: NOT_CAST.map((n) => (u) => notCastWords(n, u)),
  cast: [
    ...Object.values(WAY_WORDS).map(
      (words): Says =>
        () =>
          words,
    ),
    ...WIND.map(
      (w): Says =>
        () =>
          windWords(w),
    ),
    ...BEYOND.map(
      (b): Says =>
        () =>
          beyondWords(b),
    ),
    ...(['soft hackles', 'dirty', 'cold', 'clear and low', 'low light', 'between'] as const).map(
      (o): Says =>
        () =>
          openingWords(o),
    ),
  ],
  cover: [
    ...WHYS.map(
      (w): Says =>
        () =>
          nextWhy(w),
    ),
    ...OF_HOUR.map(
      (c): Says =>
        (u) =>
          hourCaution(c, u),
    ),
    ...WAYS.map(
      (way): Says =>
        () =>
          strikeWords({ ...PLAN, hands: { ...handsOf(PLAN), way } }),
    ),
    ...SCHOOLS.motion.flatMap((motion) =>
      SCHOOLS.hang.flatMap((hang) =>
        SCHOOLS.lineHand.map(
          (lineHand): Says =>
            () =>
              handsWords(PLAN, { motion, hang, lineHand }).join(' '),
        ),
      ),
    ),
  ],
  learn: HINTS.map((h) => () => hintWords(h)),
  log: ODD.map((o) => () => oddWords(o)),
  colour: [
    ...JUDGED.map(
      (j): Says =>
        () =>
          judgedWords(j),
    ),
    ...[
      ...[0, null].map((middleH) => ({ middleH, soonestH: null })),
      ...[null, 0, 10].map((soonestH) => ({ middleH: 30, soonestH })),
    ].map(
      (hours): Says =>
        (u) =>
          clearsWords({ readings: 3, topM: 0.3, latestH: hours.soonestH && 60, ...hours }, u),
    ),
  ],
  plan: [
    ...DAY_CAUTIONS.map(
      (c): Says =>
        () =>
          dayCaution(c, { name: 'Ondrelle', driveMin: 20 }),
    ),
    ...OF_WATERS.map(
      (r): Says =>
        (u) =>
          waterReason({ tone: 'for', ...r } as WaterReason, u),
    ),
    ...MISSING.map(
      (m): Says =>
        (u) =>
          missingWords(m, u),
    ),
    () => damWords({ releases: [], entered: false }),
    () => damWords({ releases: [], entered: true }),
    () => damWords({ releases: [{ fromMin: 420, toMin: 600 }], entered: true }),
    (u) => turnoverWords({ nowC: 10, beforeC: 7 }, u),
  ],
  sight: PHOTO.map((p) => (u) => photoFault(p, u)),
  schools: SCHOOL_NAMES.flatMap((name) => SCHOOLS[name].map((option) => () => schoolSays(name, option))),
  'schools today': [
    (u) => wouldToday(finer(WOULD[0]!), 'strong', u),
    ...WOULD.flatMap((w): Says[] => [(u) => wouldToday(finer(w), 'finer', u)]),
  ],
  'a second plan': [0.95, 0.7, 0.5].flatMap((chance) =>
    ['Willow Corner', null].map((run) => () => insteadWords({ run, water: { name: 'Pimmeril', chance } })),
  ),
  tides: [[7], [7, 19.5], [0.2, 12.6]].map((hours) => () => tideWords(hours.map((h) => h * 3_600_000))),
  'a record of hours': [0, 1, 12].map(
    (takes) => () => hoursRecordWords({ inside: { takes, hours: 8.2 }, outside: { takes: 4, hours: 1 } }),
  ),
  'hours left out': ([null, 'bright', 'dim', 'cold', 'wind', 'dirty', 'high', 'rising'] as const).map(
    (less) => () => leftOutWords({ fromAt: 0, toAt: 3_600_000, less }),
  ),
  'good hours': (
    [null, 'bright', 'dim', 'cold', 'warm', 'cooling', 'warming', 'wind', 'dirty', 'high', 'low', 'rising'] as const
  ).flatMap((less) => [0.9, 0.6, 0.2].map((share) => () => goodWords({ share, less }))),
  temperatures: [null, { days: 6, within: 5, likelyC: null }, { days: 20, within: 17, likelyC: 0.8 }].flatMap((held) =>
    [true, false].map((air) => (u: UnitSystem) => temperatureWords(held, air, u)),
  ),
  'a day in brief': [240, 1, 0.2].flatMap((minutes) =>
    [BRIEF, { ...BRIEF, takes: [], taken: 0 }, { ...BRIEF, takes: [] }].map(
      (b) => (u: UnitSystem) => briefWords({ ...b, minutes }, u).join(' '),
    ),
  ),
  'the season': [
    ...[null, { from: 8, months: 3, fish: 9 }].flatMap((best) =>
      [3, 12].map((fish) => () => seasonWords({ best, fish, months: [] })),
    ),
    ...[null, 0, 1, 4].map((freshetDays) => () => restedSince({ freshetDays, fished: [] })),
  ],
  'level forecasts': [0.07, null].flatMap((likely): Says[] =>
    (['Level', 'Flow'] as const).map((what) => (u) => levelRecordWords({ days: 30, inside: 24, likely }, what, u)),
  ),
  'the order of waters': (['season or fish', 'colour', 'against', 'goal', 'road'] as const).map(
    (by) => () => behindWords({ of: 'Pimmeril', by }),
  ),
  tour: TOUR.map((step) => () => step.says),
};

/** Parts of sentences: no capital, no stop. */
const PARTS: Record<string, readonly Says[]> = {
  signs: SIGNS.map(
    ({ code }) =>
      (u) =>
        signWords(sign(code), u),
  ),
  flies: FLY_CODES.map((code) => () => flyCodeWords(code, FLY)),
  hours: [
    ...HOURS_BECAUSE.map(
      (b): Says =>
        (u) =>
          hoursBecause(b, u),
    ),
    ...BARRED.map(
      (b): Says =>
        (u) =>
          barredWords(b, u),
    ),
  ],
  colour: RIVER.map((river) => () => colourBecause({ river, readings: 2, latestH: 50, pastH: 3, rainMm: 4 })),
  why: PACKED.map((p) => (u) => packWhy(p, u)),
  learning: BEYOND.flatMap((b) => (worthLearning(b) ? [() => worthLearning(b)!] : [])),
  gauge: [
    () => feedNote({ code: 'misdated', values: 1, from: AT, to: AT, toCome: true }),
    () => feedNote({ code: 'misdated', values: 2, from: AT, to: AT + 1e9, toCome: false }),
    () => feedNote({ code: 'impossible', values: 1 }),
    () => feedNote({ code: 'older', keptDays: 400 }),
    () => feedNote({ code: 'no date', rows: 2, firstRow: 6 }),
    ...(['silent', 'stuck', 'gaps'] as const).map(
      (code): Says =>
        () =>
          gaugeDoubt({ code, hours: 60 }),
    ),
    ...(['no river', 'no values'] as const).map(
      (code): Says =>
        () =>
          noFeedWords({ code }),
    ),
  ],
  bands: [
    () => bandWords({ school: 'near the bed', moved: ['cold', 'high sun'] }),
    () => lieReasons({ reasons: ['seam', 'boulder'] }).join('; '),
  ],
};

const UNITS = ['metric', 'imperial'] as const;
const METRIC = /\d (m|cm|m\/s|cm\/s|°C)(?![a-z])/;
const IMPERIAL = /\d (in(?! \d)|ft\/s|ips|°F)(?![a-z])/;

describe.each(Object.keys(SAID))('the sentences of %s', (room) => {
  it.each(UNITS)('are whole, and in the units that are asked: %s', (units) => {
    expect(SAID[room]!.length).toBeGreaterThan(2);
    for (const says of SAID[room]!) {
      const words = says(units);
      expect(words).toMatch(/^[A-Z0-9“”−][^]*[.?)”]$/);
      expect(words).not.toMatch(/undefined|null|NaN|\[object|  |\.\.|,,|: \.| ,/);
      expect(words.replace(/\d+ ft of|\d+ ft (fast|slow|heavy)/g, '')).not.toMatch(
        units === 'metric' ? IMPERIAL : METRIC,
      );
    }
  });

  it('no two codes say the same', () => {
    const all = SAID[room]!.map((says) => says('metric'));
    // Ways that are struck alike, and schools that agree, may.
    if (room !== 'cover') expect(new Set(all).size).toBeGreaterThan(0.8 * all.length);
  });
});

describe.each(Object.keys(PARTS))('the parts of sentences of %s', (room) => {
  it.each(UNITS)('end without a stop, in the units that are asked: %s', (units) => {
    for (const says of PARTS[room]!) {
      const words = says(units);
      expect(words).toMatch(/^\S.*[^.\s]$/);
      expect(words).not.toMatch(/undefined|null|NaN|\[object|  /);
      expect(words).not.toMatch(units === 'metric' ? IMPERIAL : METRIC);
    }
  });
});

it('each thing to pack is named, and each lever has its words', () => {
  for (const p of PACKED) expect(packWhat(p)).toMatch(/^[A-Za-z0-9].+/);
  const from = { rig: { ...RIG, droppers: [{ fly: FLY, way: 'ring' as const, aboveM: 0.5, armM: 0.18 }] }, plan: PLAN };
  const to = { rig: RIG, plan: { ...PLAN, xM: PLAN.xM + 2, outM: PLAN.outM + 2, angleDeg: PLAN.angleDeg + 10 } };
  for (const lever of LEVER_NAMES)
    expect(changeWords({ ...to, levers: [lever] }, from, 'metric')).toMatch(/^[A-Z].*[^.]$/);
});

describe('help', () => {
  it('is short: whole sentences of at most 22 words, none said twice', () => {
    const all = [...Object.values(HELP).flatMap((p): readonly string[] => p.says), ...Object.values(TERMS)];
    expect(all.length).toBeGreaterThan(40);
    expect(new Set(all).size).toBe(all.length);
    for (const says of all) {
      expect(says).toMatch(/^[A-Z“].*[.?]$/);
      for (const sentence of says.split(/(?<=[.?:;”]) /)) expect(sentence.split(' ').length).toBeLessThanOrEqual(22);
    }
  });

  it('explains each word of the trade on some page', () => {
    const shown = new Set(Object.values(HELP).flatMap((p): readonly string[] => p.terms));
    expect([...shown].sort()).toEqual(Object.keys(TERMS).sort());
  });
});
