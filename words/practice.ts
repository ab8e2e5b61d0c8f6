import type { Eye } from '@/core/practice/eye';
import { type Marked, markTip } from '@/core/practice/marks';
import type { RoundKind, Sureness } from '@/core/practice/played';
import type { HangRound, LiesRound, NumberRound, Round, TipRound } from '@/core/practice/rounds';
import { rowAt } from '@/core/water/grid';
import { passWords } from './advice';
import { capital } from './capital';
import { inHundred, percent, several } from './counting';
import { lieReasons } from './lies';
import { format, formatLevel, type UnitSystem } from './units';

/** What is asked. */
export const ROUND_TITLES: Readonly<Record<RoundKind, string>> = {
  lies: 'Where do they hold?',
  depth: 'How deep is it?',
  speed: 'How fast is it?',
  tip: 'Which tip?',
  hang: 'How deep does it hang?',
  luck: 'Better, or lucky?',
};
/** What one practises by it. */
export const ROUND_HINTS: Readonly<Record<RoundKind, string>> = {
  lies: 'Tap three places on an invented run',
  depth: 'Read the bed from the surface',
  speed: 'Read the current from the bed',
  tip: 'One cast, four tips, one lie',
  hang: 'Line, tip and current below you',
  luck: 'Two flies, a few takes',
};

export const SURENESS_WORDS: Readonly<Record<Sureness, string>> = {
  sure: 'sure, ±10 %',
  fairly: 'fairly, ±25 %',
  'a guess': 'a guess, ±60 %',
};

/** The day of a run that was made up: "Steelhead, level +12 cm, visibility 1.20 m, 8 °C, overcast". */
export function dayWords(
  { water: { quarry, reading } }: LiesRound | NumberRound | TipRound,
  units: UnitSystem,
): string {
  const temp = reading.waterTempC === null ? '' : `, ${format('temperature', reading.waterTempC, units)}`;
  return `${capital(quarry)}, level ${formatLevel(reading.levelM, units)}, visibility ${format('depth', reading.visibilityM, units)}${temp}, ${reading.sky}`;
}

const numberOf = (r: NumberRound | HangRound, si: number, units: UnitSystem): string =>
  format(r.kind === 'speed' ? 'speed' : 'depth', si, units);

/** The question of a round, with all that is needed to answer it. */
export function questionOf(r: Round, units: UnitSystem): string {
  switch (r.kind) {
    case 'lies':
      return 'Tap the three best lies on the run.';
    case 'depth':
      return `At A it is ${numberOf(r, r.told.value, units)} deep. How deep is it at B?`;
    case 'speed':
      return `At A the current runs at ${numberOf(r, r.told.value, units)}. How fast is it at B?`;
    case 'tip':
      return `The fly is to pass lie ${r.lie.rank}: ${format('depth', r.lie.depthM, units)} deep, ${format('speed', r.lie.speedMps, units)}. You cast ${format('line', r.plan.outM, units)} at ${Math.round(r.plan.angleDeg)}°, a big unweighted fly on a short leader. Which tip shows it best?`;
    case 'hang':
      return `Even water of ${format('speed', r.currentMps, units)}, ${format('line', 18, units)} of line out, a bulky fly without weight. With a ${format('length', 3.048, units)} tip of ${format('sinkRate', r.told.sinkRateMps, units)} the fly hangs ${numberOf(r, r.told.depthM, units)} deep below you. How deep with one of ${format('sinkRate', r.sinkRateMps, units)}?`;
    case 'luck':
      return `Black: ${several(r.a.takes, 'take')} in ${several(r.a.casts, 'cast')}. White: ${several(r.b.takes, 'take')} in ${several(r.b.casts, 'cast')}, over the same water. How likely is it that black is the better fly?`;
  }
}

/** The deepest, or fastest, of the row of a place, and where. */
function mostOfRow(r: NumberRound): { yM: number; value: number } {
  const { channel } = r.survey;
  const row = rowAt(channel, r.at.xM) * channel.ny;
  const all = r.kind === 'depth' ? channel.h : channel.u;
  let best = 0;
  for (let j = 1; j < channel.ny; j++) if (all[row + j]! > all[row + best]!) best = j;
  return { yM: channel.y0 + best * channel.dy, value: all[row + best]! };
}

const tipName = (t: TipRound['tips'][number]): string => t.tip?.name ?? 'no tip';

/** What was right, and why. */
export function reasonOf(r: Round, units: UnitSystem): string[] {
  switch (r.kind) {
    case 'lies':
      return r.survey.lies.slice(0, 3).map((l) => `${l.rank}: ${lieReasons(l).join('; ')}.`);
    case 'depth':
    case 'speed': {
      const most = mostOfRow(r);
      const share = r.truth / most.value;
      const line = r.kind === 'depth' ? 'deep line' : 'main current';
      const is = r.kind === 'depth' ? 'deep' : 'fast';
      const there = `The ${line} runs ${format('length', most.yM, units)} out beside B, at ${numberOf(r, most.value, units)}.`;
      return [
        `${numberOf(r, r.truth, units)}.`,
        share > 0.9 ? `${there} B is on it.` : `${there} B is ${percent(share)} as ${is}.`,
        r.kind === 'speed'
          ? 'Speed goes with depth: half as deep runs about two thirds as fast.'
          : 'The bed rises from the deep line to either bank.',
      ];
    }
    case 'tip':
      return r.tips.map(
        (t, i) => `${capital(tipName(t))}, ${Math.round(markTip(r, i).marks)} marks: ${passWords(t.verdict, units)}.`,
      );
    case 'hang':
      return [
        `${numberOf(r, r.truth, units)}.`,
        'A tip that sinks twice as fast hangs about twice as deep. A current twice as fast lifts it to less than half.',
      ];
    case 'luck': {
      const sure = Math.max(r.chance, 1 - r.chance);
      const [first, better] = [r.chance >= 0.5 ? 'black' : 'white', r.aIsBetter ? 'black' : 'white'];
      return [
        `${capital(better)} is the better fly.`,
        `By the counts ${first} is better in ${inHundred(sure)} of 100 such trials.${first === better ? '' : ' This was one of the others: luck.'}`,
      ];
    }
  }
}

/** What an answer was worth. */
export const markedWords = ({ marks, held }: Marked): string =>
  `${Math.round(marks)} of 100 marks${held === undefined ? '' : held ? ', within your range' : ', outside your range'}.`;

const OF: Partial<Record<RoundKind, string>> = { depth: 'depth', speed: 'current', hang: 'the hang of the fly' };

/** One’s eye for one kind of question, in sentences. */
export function eyeWords(e: Eye): string[] {
  if (e.played === 0) return [ROUND_HINTS[e.kind]];
  const out = [`${Math.round(e.marks!)} of 100 marks lately; ${several(e.played, 'round')} played`];
  if (e.bias !== null && e.biased) {
    const by = Math.abs(e.bias - 1);
    out.push(`You read ${OF[e.kind]} ${percent(by)} too ${e.bias > 1 ? 'high' : 'low'}`);
  }
  if (e.held !== null && e.held < 0.65)
    out.push(`Your range holds ${Math.round(10 * e.held)} times in 10: say less sure`);
  if (e.held !== null && e.held > 0.95) out.push('Your range always holds: say surer');
  return out;
}

/** Choices of the luck round. */
export const CHANCES = [
  { chance: 0.99, words: 'black for sure' },
  { chance: 0.85, words: 'black, I think' },
  { chance: 0.65, words: 'rather black' },
  { chance: 0.5, words: 'no telling' },
  { chance: 0.35, words: 'rather white' },
  { chance: 0.15, words: 'white, I think' },
  { chance: 0.01, words: 'white for sure' },
] as const;
export const tipChoices = (r: TipRound): string[] => r.tips.map(tipName);
