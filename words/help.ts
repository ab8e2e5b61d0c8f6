import type { LessonName } from '@/core/practice/lessons';
import type { HelpPage } from './helpTitles';
import type { Term } from './terms';

export interface Page {
  readonly says: readonly string[];
  /** The trade's words that stand there first. */
  readonly terms: readonly Term[];
  /** Lessons on what stands there. */
  readonly lessons?: readonly LessonName[];
}

/** How this works: what each screen reckons with, for whoever wants to know. The face of the screen keeps one line. */
export const HELP = {
  lies: {
    says: [
      'Depth and current are rebuilt for today, from the run as you drew it and from your readings.',
      'Each place is then judged: is it deep enough to hide, slow enough to rest in, and does food come by?',
      'Boulders, wood, seams, drop-offs and banks add to it. Bright sun, cold and low water move fish deeper.',
      'A lie is sure where it stays one over the doubt of your readings. A guess becomes surer with the reading that it names.',
    ],
    terms: ['run', 'lie', 'seam', 'tailout', 'soft inside', 'cut bank'],
  },
  water: {
    says: [
      'Every reading says something of the level or of the flow, and each has its doubt.',
      'A gauge knows the level to a few centimetres, the eye to ten. A timed float knows the current to a sixth.',
      'They are joined by how sure they are. Where two contradict each other, the rougher one is named, with what to do.',
      'The flow is then spread over the run: fast where it is deep and open, slow behind whatever stands in it.',
    ],
    terms: ['reading', 'visibility'],
    lessons: ['boots', 'stick'],
  },
  answer: {
    says: [
      'Many rigs out of your bag, and many casts, are fished in a simulation of today’s run.',
      'What counts is the share of the willing fish that an hour covers. The fly has to pass at their depth, within sight, and slowly.',
      'What speaks for a way of fishing (temperature, light, colour of the water, what you saw) counts beside it.',
      'Then the water is varied within the doubt of your readings. “Well shown in 6 of 10 swings” tells how often the fly still passes well.',
      'How far fish come for a fly is assumed from common practice; where good anglers disagree, your school decides.',
    ],
    terms: ['tip', 'sinking leader', 'head', 'dropper', 'point fly', 'mend', 'dangle', 'well shown'],
  },
  swing: {
    says: [
      'Line, tip, leader and fly are a chain in moving water, each part with its weight and its drag.',
      'The current pulls it, the rod leads it, your mend moves it, the bed holds it. So it sinks, comes tight, crosses and hangs.',
      'Turbulence, and how a fly’s dressing breathes, are not simulated. Expect the depth to be right to about a tenth.',
    ],
    terms: ['swing', 'drift', 'strip', 'lift', 'mend', 'dangle', 'ips'],
    lessons: ['mends', 'leading', 'rise', 'strips'],
  },
  fishing: {
    says: [
      'Casts are put in the order in which they find most fish for the time they take, wading included.',
      'Each cast that you count is painted on the run. Water that fish have seen a fly in twice is worth less the third time.',
      'The next cast follows the plan, until a fish, a rest or your own choice says otherwise.',
    ],
    terms: ['lane', 'pluck', 'hung up', 'fair trial'],
    lessons: ['wading', 'wood', 'line hand', 'strike', 'release', 'storms'],
  },
  colour: {
    says: [
      'Gauges tell level and flow, not colour. The forecast learns how this river colours and clears, from its rises and your readings.',
      'Without readings it goes by the kind of river. Each reading makes it surer, and counts most for the days after it.',
      'What was forecast is saved and compared with what you read later. That is the record you see.',
    ],
    terms: ['visibility', 'reading', 'spate river'],
  },
  sight: {
    says: [
      'Light loses colour on its way down and on its way to the fish. Tea takes the blue first, silt all alike.',
      'A fly is seen as far off as its outline still stands out against the water behind it; its colour fades sooner.',
      'People swear that a pale fly shows against the sky. From below, any opaque fly is dark before it: a claim.',
      'The eye’s threshold and the water’s optics are known roughly, so both are ranges. Movement and ultraviolet are left out.',
    ],
    terms: ['visibility'],
  },
  bag: {
    says: [
      'A rig is built from the back: rod, line or head, tip or sinking leader, leader, tippet, fly.',
      'Sink rates are the catalogue’s. Weights in grains say which rod a line or head suits.',
    ],
    terms: ['head', 'running line', 'tip', 'sinking leader', 'tippet', 'ips', 'dropper', 'point fly'],
    lessons: ['two flies'],
  },
  rates: {
    says: [
      'The bar holds the true rate nine times in ten. The mark in it is the best guess.',
      'Flies, tips and ways are compared within each outing: with whatever else you fished that day, hour and water being equal.',
      'Water, level, sky and season are compared from outing to outing, as far as the luck of single days lets them.',
      '“Cannot be separated” means that you never fished anything else beside it.',
      'Takes come in bunches. “Better” and “worse” stand only where chance would put any of them into one log of twenty.',
      'Casts entered by hand count for half. A fish right after a change proves little.',
    ],
    terms: ['fair trial', 'pluck'],
  },
} as const satisfies Readonly<Record<HelpPage, Page>>;
