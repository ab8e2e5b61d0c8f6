import type { EventOf, GoWay, LogEvent } from '@/core/logbook';
import { describeFly } from '@/core/tackle';
import { format, type UnitSystem } from '@/core/units';

import { readingLine } from '../shared/words';

const GONE: Record<GoWay, (lie: number | null) => string> = {
  'same lane': () => 'Kept to one lane',
  fan: () => 'Fanned from one stand',
  again: () => 'Went through again',
  skip: (lie) => (lie === null ? 'Went on' : `Went on to lie ${lie}`),
  here: () => 'Moved',
};

function estimateText(e: EventOf<'estimate'>): string {
  const casts = e.casts === null ? 'Casts not known' : `About ${e.casts} casts`;
  const takes = e.takes > 0 ? `, ${e.takes} ${e.takes === 1 ? 'take' : 'takes'}` : '';
  return `${casts}${takes}, by hand${e.fly?.name ? `; ${e.fly.name}` : ''}`;
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
      return `${e.juvenile ? 'Juvenile' : 'Take'}: ${e.what}${e.place ? ' on the upper fly' : ''}${e.where ? `, ${e.where}` : ''}${e.fish ? `; ${e.fish.species}${e.fish.lengthM ? ` of ${format('small', e.fish.lengthM, units)}` : ''}` : ''}`;
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
      return estimateText(e);
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
