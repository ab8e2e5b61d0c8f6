import type { JudgedFly } from '@/core/answer/flies';
import { handsOf } from '@/core/cast';
import { worthsOf, type ChoiceRound } from '@/core/practice/marks';
import type { FlyRound, StayLog } from '@/core/practice/judged';
import type { Moment } from '@/core/practice/moment';
import { LETTERS, type StayChoice } from '@/core/practice/played';
import type { AngleRound, Change, ChangeRound, Option, StandRound, TipRound } from '@/core/practice/tried';
import type { ChosenRound, HangRound, NumberRound, Round } from '@/core/practice/rounds';
import { describeRig } from '@/core/tackle';
import { waterAt } from '@/core/water';
import { rowAt } from '@/core/water/grid';
import { passWords, verdictSentence } from './advice';
import { capital } from './capital';
import { mendWords, throwWords } from './cast';
import { inHundred, percent, several } from './counting';
import { nextWhy } from './cover';
import { lieReasons } from './lies';
import { choiceWords, trendWords } from './colour';
import { flyCodeWords } from './reasons';
import { schoolSays } from './schools';
import { loggedName } from './tackle';
import { format, type UnitSystem } from './units';

const numberOf = (r: NumberRound | HangRound, si: number, units: UnitSystem): string =>
  format(r.kind === 'speed' ? 'speed' : 'depth', si, units);

/** "lie 2, 1.10 m deep at 0.60 m/s" */
const lieOf = ({ lie }: { readonly lie: TipRound['lie'] }, units: UnitSystem): string =>
  `lie ${lie.rank}, ${format('depth', lie.depthM, units)} deep at ${format('speed', lie.speedMps, units)}`;

const rigOf = ({ options }: AngleRound | StandRound, units: UnitSystem): string =>
  loggedName(describeRig(options[0]!.trial.rig), units);

const MOMENTS: Readonly<Record<Moment, string>> = {
  tight: 'comes tight: the line holds it against the current',
  touch: 'first touches the bed',
  rise: 'is deepest, and rises from then on',
};

const RIVERS: Readonly<Record<string, string>> = {
  spate: 'a spate river',
  lowland: 'a lowland river',
  spring: 'a spring-fed river',
  snowmelt: 'a snow-fed river',
};

/** What a log tells. */
function logWords(log: StayLog): string {
  switch (log.code) {
    case 'pluck':
      return 'A fish plucked at the fly on your last cast.';
    case 'pluck, cast again':
      return 'A fish plucked at the fly. You made the same cast again, and no fish came.';
    case 'pluck, rested':
      return 'A fish plucked at the fly. The second cast brought no fish, and you have rested the lie 5 minutes.';
    case 'pluck, rested, cast again':
      return 'A fish plucked at the fly. You rested the lie 5 minutes and made the same cast again: no fish.';
    case 'young fish':
      return 'Young fish plucked at the fly on each of the last three casts.';
    case 'all cast':
      return 'You have made every cast of the run, and no fish came.';
    case 'nothing yet':
      return `${several(log.casts, 'cast')} made, no fish yet; ${several(log.left, 'cast')} of the run left.`;
  }
}

const STAYS: Readonly<Record<StayChoice, string>> = {
  same: 'the same cast again, same fly',
  planned: 'on down the run, same fly',
  rest: 'rest the lie 5 minutes',
  smaller: 'a smaller fly, then the same cast',
  higher: 'go up, and come down over the lie again',
  dropper: 'one step on, so that the dropper passes the lie',
  leave: 'leave these fish',
  over: 'leave the run',
};

/** The question of a round, with all that is needed to answer it. */
export function questionOf(r: Round, units: UnitSystem): string {
  switch (r.kind) {
    case 'lies':
      return 'Tap the three best lies on the run.';
    case 'depth':
      return `At A it is ${numberOf(r, r.told.value, units)} deep. How deep is it at B?`;
    case 'speed':
      return `At A the surface runs at ${numberOf(r, r.told.value, units)}. A float drifts past B in river time; measure by the scale. How fast is the surface there?`;
    case 'tip':
      return `The fly is to pass ${lieOf(r, units)}. You ${throwWords(r.plan, units)}, an unweighted fly on a short leader. Which tip shows it best?`;
    case 'angle':
      return `You fish ${lieOf(r, units)}, with ${rigOf(r, units)}. Each angle is cast from the position that it needs. Which shows the fly best?`;
    case 'change':
      return `You ${throwWords(r.plan, units)} at ${lieOf(r, units)}. ${verdictSentence(r.before, units).replace(/^(Passes|Does|Hangs)/, (w) => `The fly ${w.toLowerCase()}`)} Which change mends it most?`;
    case 'stand':
      return `You fish ${lieOf(r, units)}, with ${rigOf(r, units)}. Where do you stand?`;
    case 'order':
      return `You ${r.upstream ? 'cast upstream, from the tail of the run up' : 'swing a fly down the run'}. In which order do you fish lies ${listed(r.lies.map((l) => l.rank))}?`;
    case 'fly':
      return `Way of fishing: ${r.method}. Your school of colours: ${r.school}. ${schoolSays('colour', r.school)} Which fly?`;
    case 'moment':
      return `${capital(throwWords(r.plan, units))}, ${loggedName(describeRig(r.rig), units)}. Tap “Now” when the fly ${MOMENTS[r.moment]}.`;
    case 'hang':
      return `Even water of ${format('speed', r.currentMps, units)}, ${format('line', 18, units)} of line out, a bulky fly without weight. With a ${format('length', 3.048, units)} tip of ${format('sinkRate', r.told.sinkRateMps, units)} the fly hangs ${numberOf(r, r.told.depthM, units)} deep below you. How deep with one of ${format('sinkRate', r.sinkRateMps, units)}?`;
    case 'stay':
      return `${logWords(r.log)} ${r.flies === 2 ? 'Two flies are on.' : r.hasSmaller ? 'One fly is on, and the bag holds a smaller one.' : 'One fly is on, and the bag holds no smaller one.'} What now?`;
    case 'day':
      return `${capital(r.quarry)} in ${RIVERS[r.river.kind] ?? 'a river'}${r.river.peaty ? ', stained by peat' : ''}, half an hour away. You have one of these days. Which?`;
    case 'luck':
      return `Black: ${several(r.a.takes, 'take')} in ${several(r.a.casts, 'cast')}. White: ${several(r.b.takes, 'take')} in ${several(r.b.casts, 'cast')}, over the same water. How likely is it that black is the better fly?`;
  }
}

/** "1, 3 and 4" */
const listed = (n: readonly (number | string)[]): string => `${n.slice(0, -1).join(', ')} and ${n.at(-1)}`;

const CHANGES: Readonly<Record<Exclude<Change, 'mend'>, string>> = {
  'heavier tip': 'the next heavier tip',
  'lighter tip': 'the next lighter tip',
  squarer: 'cast 20° squarer',
  flatter: 'cast 20° flatter',
};
function changeName({ what, trial }: ChangeRound['options'][number], units: UnitSystem): string {
  if (what === 'mend') return mendWords(trial.plan.mendM, units);
  return CHANGES[what];
}

/** A day as one chooses it. @example 'C: Fri 10 Oct' */
const dayName = (at: number, i: number): string =>
  `${LETTERS[i]}: ${new Date(at).toLocaleDateString(undefined, { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' })}`;

/** What there is to choose among. */
export function choicesOf(r: ChoiceRound, units: UnitSystem): string[] {
  switch (r.kind) {
    case 'tip':
      return r.options.map((o) => loggedName(o.what, units));
    case 'angle':
      return r.options.map((o) => `${o.what}°`);
    case 'change':
      return r.options.map((o) => changeName(o, units));
    case 'stand':
      return r.options.map((o) => o.what);
    case 'order':
      return r.orders.map((order) => order.map((i) => r.lies[i]!.rank).join(', then '));
    case 'fly':
      return r.options.map((o) => o.fly.name);
    case 'stay':
      return r.choices.map((c) => STAYS[c]);
    case 'day':
      return r.days.map((d, i) => dayName(d.at, i));
  }
}

/** The same where there is little room. */
export function shortChoice(r: ChosenRound, i: number): string {
  const { what } = r.options[i]!;
  return r.kind === 'tip' ? String(what).replace(/^\d+ ft /, '') : r.kind === 'angle' ? `${what}°` : String(what);
}

/** The deepest, or fastest, of the row of a place, and where. */
function mostOfRow(r: NumberRound): { yM: number; value: number } {
  const { channel } = r.survey;
  const row = rowAt(channel, r.at.xM) * channel.ny;
  const all = r.kind === 'depth' ? channel.h : channel.u;
  let best = 0;
  for (let j = 1; j < channel.ny; j++) if (all[row + j]! > all[row + best]!) best = j;
  const surface = r.kind === 'speed' ? 1 + channel.profile.m : 1;
  return { yM: channel.y0 + best * channel.dy, value: surface * all[row + best]! };
}

/** What an option of a choice at a lie does. */
function optionWords(r: ChosenRound, o: Option<unknown>, units: UnitSystem) {
  if (o.barred === 'lie') return 'your feet scare the fish';
  if (o.barred === 'water') {
    const { depthM, speedMps } = waterAt(r.survey.channel, o.trial.plan.xM, o.trial.plan.yM);
    return `${format('depth', depthM, units)} deep at ${format('speed', speedMps, units)}: deeper or faster than is safe to stand in`;
  }
  return passWords(o.verdict, units);
}

/** What speaks most for a fly beside the best, or against it. */
function flyWhy({ fly, factors }: JudgedFly, best: JudgedFly, school: FlyRound['school']): string {
  const at = (j: JudgedFly, of: string) => j.factors.filter((f) => f.of === of).reduce((m, f) => m * f.by, 1);
  if (fly.id === best.fly.id) {
    const speaks = factors.filter((f) => f.of === 'cue' && f.by > 1).map((f) => flyCodeWords(f.code, fly));
    const colour = factors.find((f) => f.of === 'colour');
    return [...speaks, ...(colour ? [flyCodeWords(colour.code, fly)] : [])].join('; ');
  }
  const lacks = (['method', 'size', 'colour', 'sight', 'cue', 'bed'] as const)
    .map((of) => ({ of, by: at({ fly, factors, merit: 1 }, of) / at(best, of) }))
    .reduce((a, b) => (b.by < a.by ? b : a));
  if (lacks.by > 0.97) return 'as good';
  switch (lacks.of) {
    case 'method':
      return 'less suited to this way of fishing';
    case 'size':
      return fly.lengthM > best.fly.lengthM ? 'large for this water' : 'small for this water';
    case 'colour':
      return factors.some((f) => f.code === 'murk')
        ? 'not the colour for dirty water'
        : `not the colour of “${school}”`;
    case 'sight':
      return 'seen from less far';
    default:
      return cueOf(best);
  }
}

/** What speaks for the best fly and not for another. */
function cueOf(best: JudgedFly): string {
  const cue = best.factors.find((f) => f.by > 1 && (f.of === 'cue' || f.of === 'bed'));
  return cue ? `not “${flyCodeWords(cue.code, best.fly)}”` : `less suited than the ${best.fly.name}`;
}

/** A list of choices with their marks, the best first. */
const marked = (r: ChoiceRound, units: UnitSystem, why: (i: number) => string): string[] => {
  const worths = worthsOf(r);
  const names = choicesOf(r, units);
  return names
    .map((_, i) => i)
    .sort((a, b) => worths[b]! - worths[a]!)
    .map((i) => `${capital(names[i]!)}, ${Math.round(100 * worths[i]!)} marks: ${why(i)}.`);
};

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
    case 'angle':
    case 'change':
    case 'stand':
      return marked(r, units, (i) => optionWords(r, r.options[i]!, units));
    case 'order':
      return [
        `${capital(r.right.map((i) => r.lies[i]!.rank).join(', then '))}.`,
        r.upstream
          ? 'Up the run, what lies further down comes first: a hooked fish is drawn away from the next.'
          : 'Down the run, what lies further up comes first: each lie sees the fly before your feet.',
        'From one position, near water comes before far: the line to the far lie falls over the near one.',
      ];
    case 'fly': {
      const best = r.options.reduce((a, b) => (b.merit > a.merit ? b : a));
      return marked(r, units, (i) => flyWhy(r.options[i]!, best, r.school));
    }
    case 'moment': {
      const { swing, plan } = r;
      const tight = swing.fishing ? `Tight after ${Math.round(swing.fishing.fromS)} s` : 'Never tight';
      const touch = swing.firstTouchS === null ? 'no touch' : `first touch after ${Math.round(swing.firstTouchS)} s`;
      return [
        `${Math.round(r.truthS)} s after landing.`,
        `${tight}, ${touch}, deepest after ${Math.round(swing.maxDepthS)} s at ${format('depth', swing.maxDepthM, units)}.`,
        handsOf(plan).way === 'swing' ? 'Adrift the fly sinks; tight, the current lifts it and carries it across.' : '',
      ].filter(Boolean);
    }
    case 'hang':
      return [
        `${numberOf(r, r.truth, units)}.`,
        'A tip that sinks twice as fast hangs about twice as deep. A current twice as fast lifts it to less than half.',
      ];
    case 'stay':
      return [
        `${capital(STAYS[r.right])}.`,
        r.why ? nextWhy(r.why) : 'No fish has shown itself: cover the rest of the water.',
      ];
    case 'day':
      return marked(r, units, (i) => {
        const { choice } = r.days[i]!;
        const told = choice.reasons.flatMap((x) =>
          x.code === 'freshet'
            ? `${x.days === 0 ? 'Less than a day' : several(x.days, 'day')} after the top of the rise.${x.newFish ? ' New fish may have come up.' : ''}`
            : x.code === 'rising' || x.code === 'falling'
              ? trendWords(x.code)
              : [],
        );
        return [choiceWords(choice), ...told].join(' ').replace(/\.$/, '');
      });
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
