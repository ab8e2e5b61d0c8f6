import type { Odd } from '@/core/logbook/odd';
import { describeFly } from '@/core/tackle';
import { HOUR_MS } from '@/core/units';
import { readingLine } from './water';
import type { EventOf, GoWay, LogEvent, TakePlace } from '@/core/logbook';
import type { CastGroup } from '@/core/logbook/grouped';
import { loggedName } from './tackle';
import { format, type UnitSystem } from './units';
import { several } from './counting';

const GONE: Record<GoWay, (lie: number | null) => string> = {
  'same lane': () => 'Stayed in one lane',
  fan: () => 'Fanned from one stand',
  again: () => 'Went through again',
  skip: (lie) => (lie === null ? 'Went on' : `Went on to lie ${lie}`),
  here: () => 'Moved',
  plan: () => 'Made a new plan',
};

function estimateText(e: EventOf<'estimate'>, units: UnitSystem): string {
  const casts = e.casts === null ? 'Casts not known' : `About ${e.casts} casts`;
  const takes = e.takes > 0 ? `, ${several(e.takes, 'take')}` : '';
  return `${casts}${takes}, by hand${e.fly?.name ? `; ${loggedName(e.fly.name, units)}` : ''}`;
}

/** An entry of the log in words. */
export function eventText(e: LogEvent, units: UnitSystem): string {
  switch (e.kind) {
    case 'run start':
      return `Began ${e.runName}`;
    case 'run end':
      return 'Left the run';
    case 'rig':
      return `Tied on ${describeFly(e.set.fly)}, ${e.set.tip?.name ?? 'no tip'}`;
    case 'reading':
      return `Read: ${readingLine(e.reading, units)}`;
    case 'cast':
      return `Cast ${format('line', e.plan.outM, units)} at ${e.plan.angleDeg}°${e.plan.mendM ? ', mended' : ''}${e.plan.hands ? `, ${e.plan.hands.way}` : ''}`;
    case 'step':
      return `Stepped on ${format('depth', e.byM, units)}`;
    case 'go':
      return GONE[e.how](e.lie);
    case 'way':
      return e.hands ? `Shown: ${e.hands.way}` : 'Shown as planned';
    case 'trial':
      return e.flyId || e.hands ? `Fair trial, ${e.block} casts each in turn` : 'Trial ended';
    case 'take':
      return `${e.juvenile ? 'Juvenile' : 'Take'}: ${e.what}${e.on ? ` on ${e.on}` : e.place ? ' on the upper fly' : ''}${e.where ? `, ${e.where}` : ''}${e.fish ? `; ${e.fish.species}${e.fish.lengthM ? ` of ${format('small', e.fish.lengthM, units)}` : ''}` : ''}`;
    case 'rise':
      return 'A fish rose';
    case 'bed':
      return 'Touched the bed';
    case 'hang-up':
      return 'Hung up';
    case 'fly lost':
      return 'Lost the fly';
    case 'fouled':
      return 'Fouled fly: the cast does not count';
    case 'rest':
      return `Rested ${e.minutes} min`;
    case 'note':
      return e.text;
    case 'estimate':
      return estimateText(e, units);
    case 'undo':
      return 'Took an entry back';
    case 'amend':
      return `Corrected: ${eventText(e.to, units)}`;
    case 'split':
      return `${e.ids.length} entries went to an outing of their own`;
    case 'join':
      return `${e.ids.length} entries came from another outing`;
  }
}

const count = (n: number, one: string) => (n === 1 ? `one ${one}` : `${n} ${one}s`);
/** "9.0 to 16.0 m", or one value where both are shown alike. */
const span = (values: readonly number[], show: (v: number) => string): string => {
  const [low, high] = [show(Math.min(...values)), show(Math.max(...values))];
  return low === high ? low : `${low.replace(/ \D+$/, '')} to ${high}`;
};

/** Casts in a row in words: how many, how long, where (unless that is not to be said). */
export function castsText({ casts }: CastGroup, units: UnitSystem, placed = true): string {
  const of = (pick: (e: EventOf<'cast'>) => number) => casts.map(pick);
  const lengths = span(
    of((e) => e.plan.outM),
    (v) => format('line', v, units),
  );
  const places = span(
    of((e) => e.plan.xM),
    (v) => format('length', v, units),
  );
  return `${count(casts.length, 'cast')}, ${lengths} of line${placed ? `, ${places} down the run` : ''}`;
}

const hours = (ms: number) => `${(ms / HOUR_MS).toFixed(ms < 10 * HOUR_MS ? 1 : 0)} hours`;
const clockOf = (at: number) => new Date(at).toTimeString().slice(0, 5);

/** What of an outing cannot be right, or hardly. */
export function oddWords(o: Odd): string {
  switch (o.code) {
    case 'to come':
      return `An entry is dated ${new Date(o.at).toISOString().slice(0, 10)}, a day to come.`;
    case 'too long':
      return `This outing lasts ${hours(o.forMs)}: longer than anyone fishes on end.`;
    case 'ends first':
      return 'This outing ends before it begins.';
    case 'clock back':
      return `The clock went back by ${hours(o.forMs)} before ${clockOf(o.at)}.`;
    case 'gap':
      return `No entry for ${hours(o.forMs)} after ${clockOf(o.at)}: were these two outings?`;
    case 'too fast':
      return `${o.casts} casts within ${Math.round(o.inS)} s at ${clockOf(o.at)}: no fly is fished so fast.`;
    case 'too many':
      return `${o.casts} casts in ${hours(o.inMs)}: more than ${o.mostAnHour} an hour.`;
    case 'take first':
      return 'The first take is logged before any cast.';
  }
}

/** What a day came to. */
interface Brief {
  /** On runs whose hours are known. */
  readonly minutes: number;
  /** Between which positions each was fished, m down it. */
  readonly runs: readonly { readonly name: string; readonly fromM: number; readonly toM: number }[];
  readonly takes: readonly { readonly place: TakePlace; readonly takes: number }[];
  /** All takes, those whose place nobody noted among them. */
  readonly taken: number;
}

/** So short a stretch is one position, m. */
const ONE_PLACE_M = 1;

/** A day in three or four sentences. */
export function briefWords({ minutes, runs, takes, taken }: Brief, units: UnitSystem): string[] {
  const at = (m: number) => format('length', m, units);
  const time = minutes < 60 ? several(Math.round(minutes), 'minute') : `${(minutes / 60).toFixed(1)} hours`;
  return [
    ...(minutes >= 1 ? [`You fished for ${time}.`] : []),
    ...runs.map(({ name, fromM, toM }) =>
      toM - fromM < ONE_PLACE_M
        ? `You stood ${at(fromM)} down ${name}.`
        : `You fished ${name} from ${at(fromM)} to ${at(toM)} down.`,
    ),
    ...(takes.length > 0
      ? [`Where on the swing fish took: ${takes.map((t) => `${t.place} ${t.takes}`).join(', ')}.`]
      : taken === 0
        ? ['No take was logged.']
        : []),
  ];
}
