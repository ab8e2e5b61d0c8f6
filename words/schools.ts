import type { OtherSchool, SchoolName, Schools, Would } from '@/core/answer';
import { describeFly } from '@/core/tackle';
import { mendWords } from './cast';
import { format, type UnitSystem } from './units';

/** Each question on which good anglers disagree, and what the people of each school say. */
export const SCHOOL_WORDS: {
  readonly [K in SchoolName]: { readonly asks: string; readonly options: Readonly<Record<Schools[K], string>> };
} = {
  depth: {
    asks: 'How deep to show the fly',
    options: {
      'near the bed': 'The lowest third; a touch now and then shows that the depth is right.',
      'upper to middle': 'Upper to lower middle, never dragging: fish see ahead and above best.',
    },
  },
  hours: {
    asks: 'Which hours',
    options: {
      'ends of the day': 'First and last light: in warm or bright weather and low water.',
      'warmest hours': 'The warmest of the day: in cold water and early spring.',
      'all day under cloud': 'All day, as long as the light is soft.',
    },
  },
  mends: {
    asks: 'What a mend is for',
    options: {
      'mend for depth': 'Size and number of upstream mends set the depth.',
      'one and a step': 'One mend and a step down while it sinks.',
      'keep it straight': 'Mend often so that the line stays straight and tight.',
      'set once': 'Lay it right in the air; a mend afterwards drags the fly and leaves slack.',
    },
  },
  bow: {
    asks: 'The bow in the line',
    options: {
      'mend it out': 'A bow races the fly and hooks badly.',
      'use it': 'Quarter upstream and let the bow run ahead and tow the fly.',
    },
  },
  motion: {
    asks: 'What the hand adds',
    options: {
      'let it swing': 'Nothing: the current works the fly.',
      'small regular pulses': 'Small even pulses; erratic motion puts rainbow trout off.',
      'keep it animated': 'Short and long strips, bursts and pauses, varied till a take comes.',
    },
  },
  hang: {
    asks: 'At the end of the swing',
    options: {
      'give it time': 'Let it hang: fish follow and take late.',
      'keep it moving': 'Draw and drop it back: a fly that hangs dead is looked over.',
    },
  },
  colour: {
    asks: 'Colour of the fly',
    options: {
      contrast: 'Movement, stark contrast and profile first; bright or dark to suit the water.',
      'light match': 'Bright day bright fly, dark day dark fly, yellow light tan.',
      naturals: 'Olive, brown, tan, white, yellow and black only.',
    },
  },
  murkSize: {
    asks: 'Size in murk',
    options: {
      bigger: 'Bigger: more to be felt and seen.',
      'size hardly matters': 'Fish feel moving water; tiny flies are taken in it.',
    },
  },
  murkPlace: {
    asks: 'Where fish are in high or dirty water',
    options: {
      'to the margins': 'Tight to the bank, often where one would wade.',
      'out and feeding': 'Out and roaming: food is washed down and no bird sees them.',
    },
  },
  tip: {
    asks: 'How heavy a tip',
    options: {
      'lighten for the soft edge': 'The lightest that reaches, changed for the soft inside.',
      'one dense line kept moving': 'One dense line; what would hang is kept moving.',
    },
  },
  tippet: {
    asks: 'Tippet for streamers',
    options: {
      strong: '3X, 10 or 12 lb: it turns over, and lands close to cover.',
      finer: '4X with a short end of 5X: the fly moves freely.',
    },
  },
  shot: {
    asks: 'Where shot goes',
    options: {
      'at the fly': 'At the fly’s head: it jigs.',
      'above the fly': 'A hand’s length above it: the fly swims freely.',
    },
  },
  twoFlies: {
    asks: 'Order of two flies',
    options: {
      'heavier on the point': 'It turns over and anchors; the small dropper follows up after a step.',
      'larger on the dropper': 'Larger and brighter above, small on the point.',
      'weighted above': 'The weighted one above, a free one below.',
    },
  },
  search: {
    asks: 'How long at a place',
    options: {
      search: 'A couple of casts a spot, then on: a trout inclined to chase shows within two.',
      'stay and vary': 'On a patch that holds fish go through the presentations for half an hour.',
    },
  },
  distance: {
    asks: 'How far to cast',
    options: {
      'short and sure': 'No further than needed: a short line is under control and hooks.',
      far: 'As far as is comfortable: it covers more water at each step.',
    },
  },
  lineHand: {
    asks: 'What holds the line',
    options: {
      'a loop to give': 'A soft loop as long as the forearm, which the fish pulls out.',
      'straight to the reel': 'To the reel with a light drag, so that nobody holds the line fast.',
    },
  },
};

/** What the people of a school say. */
export const schoolSays = (school: SchoolName, name: string): string =>
  (SCHOOL_WORDS[school].options as Readonly<Record<string, string>>)[name]!;

function wouldWords(would: Would, units: UnitSystem): string {
  if ('fly' in would) return `ties on the ${describeFly(would.fly)}`;
  if ('leader' in would) return `ties the fly to ${would.leader}`;
  if ('tip' in would) return `changes to the ${would.tip} tip`;
  if ('mendM' in would) return mendWords(would.mendM, units).replace(/^mend/, 'mends') || 'lays in no mend';
  if ('times' in would) return `shows each place the fly ${COUNTED_TIMES[would.times]}`;
  return `begins with ${format('line', would.lineM, units)} of line`;
}
const COUNTED_TIMES: Readonly<Record<number, string>> = { 1: 'once', 2: 'twice', 4: 'four times' };

/** What another school would do here. */
export function otherWould({ school }: OtherSchool, { name, would }: Other, units: UnitSystem): string {
  const says = schoolSays(school, name);
  if (!would) return says;
  return `${wouldWords(would, units)}. ${says}`;
}
type Other = OtherSchool['others'][number];

/** What a school would do on the run that was asked about; empty: nothing else than what it says. */
export function wouldToday(asked: OtherSchool | undefined, name: string, units: UnitSystem): string {
  if (!asked) return '';
  if (asked.used === name) return 'Today’s answer goes by it.';
  const would = asked.others.find((o) => o.name === name)?.would;
  if (!would) return '';
  return `Today it ${wouldWords(would, units)}.`;
}
