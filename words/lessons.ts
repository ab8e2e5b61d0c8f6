import type { LessonName } from '@/core/practice/lessons';
import type { Knot } from '@/core/tackle/card';
import { format, type UnitSystem } from './units';

type Says = string | ((units: UnitSystem) => string);

/** A question at the end, with why its answer is right. */
export interface Check {
  readonly asks: Says;
  readonly choices: readonly Says[];
  readonly right: number;
  readonly why: Says;
}
export interface Lesson {
  /** Each beside its scene (ui/charts/lessonScenes.ts). */
  readonly steps: readonly Says[];
  readonly check: Check;
  /** Where the work can hurt someone. */
  readonly caution?: string;
  /** How it is tied. */
  readonly knots?: readonly Knot[];
}

export const said = (s: Says, units: UnitSystem): string => (typeof s === 'string' ? s : s(units));

const INSTRUCTOR = 'Learn it with a qualified instructor, and keep to the local rules.';

/** The lessons: short, in the order in which it is done (common practice, no source). */
export const LESSON_WORDS: Readonly<Record<LessonName, Lesson>> = {
  wading: {
    steps: [
      'Look before you step in: where does the current take you, and where could you get out?',
      'Face upstream or sideways, the staff upstream of you. Move one foot, or the staff, at a time.',
      'Knee to mid-thigh in a brisk current is enough. A bed can fall away in a single step.',
      'Go only where you can come back, against the current and in higher water.',
      'Swept off: on your back, feet downstream, arms out. Steer for slack water, and stand up only in the shallows.',
    ],
    check: {
      asks: 'You are swept off your feet in waist-deep water. What first?',
      choices: ['stand up at once', 'on the back, feet downstream', 'swim straight for the bank you came from'],
      right: 1,
      why: 'A foot that catches between stones holds you under. Float feet first until the water is slack and shallow.',
    },
    caution: `Wear an inflated or foam vest, also in a boat and on a steep bank. Cold water takes a swimmer’s strength in minutes. ${INSTRUCTOR}`,
  },
  boots: {
    steps: [
      'Wade in slowly where the bed is even and the current is slow.',
      'Stop when the toes of your boots just vanish.',
      'The height of the water on your leg is the visibility: ankle, mid-calf, knee, mid-thigh, hip.',
      'Toes still seen where you dare go no deeper? Then enter “at least” so much.',
    ],
    check: {
      asks: 'You still see your toes at mid-thigh and go no further. What do you enter?',
      choices: ['visibility to mid-thigh', 'at least to mid-thigh', 'visibility to the hip'],
      right: 1,
      why: 'Toes that are still seen give a lower bound. The program widens its doubt upwards only.',
    },
    caution:
      'Never wade deeper for a reading. From the bank, lower a pale fly on the rod tip until it goes from sight.',
  },
  stick: {
    steps: [
      (u) => `Pace out ${format('length', 10, u)} along the bank, beside the water you will fish.`,
      'Throw a stick into the main current, well above the first mark.',
      'Count the seconds from mark to mark. Do it twice.',
      'The way by the seconds is the speed of the surface. Near the bed the water runs about two thirds as fast.',
    ],
    check: {
      asks: (u) => `${format('length', 10, u)} in 12 seconds: how fast is the surface?`,
      choices: [(u) => format('speed', 0.42, u), (u) => format('speed', 0.83, u), (u) => format('speed', 1.2, u)],
      right: 1,
      why: (u) => `${format('length', 10, u)} by 12 s is ${format('speed', 10 / 12, u)}: a walking pace.`,
    },
  },
  mends: {
    steps: [
      'A fast tongue between you and the fly bellies the line. The bow drags the fly across too fast and lifts it.',
      'Mend for depth: lift the line and lay it upstream before it comes tight. The fly sinks while the bow comes down.',
      'Set once: lay the line right in the air, and leave it. A late mend drags the fly and leaves slack.',
      'In slack water it is the other way round: a small mend downstream starts a stalled line again.',
    ],
    check: {
      asks: 'The fly crosses the lie too fast and too high. You are of the school that mends for depth. What next?',
      choices: ['strip faster', 'a longer upstream mend, early', 'a mend downstream'],
      right: 1,
      why: 'Slack laid upstream gives the fly time to sink, and takes the bow out of the line.',
    },
  },
  leading: {
    steps: [
      'Lead: the rod tip goes ahead of the fly. The line pulls from the side, and the fly shows its flank.',
      'Follow: the rod points down the line. The fly swings slowest, and hangs straightest behind it.',
      'Hold still: the line hinges round the tip. The swing is over soonest.',
    ],
    check: {
      asks: 'Coloured water: the fly should go slowly. What does the rod do?',
      choices: ['leads', 'follows', 'sweeps upstream'],
      right: 1,
      why: 'A rod that follows gives the slowest swing. Leading shows more of the flank, at more speed.',
    },
  },
  'line hand': {
    steps: [
      'One school holds a soft loop, a foot or two long. The fish pulls it out before the line comes tight.',
      'The other fishes straight to the reel with a light drag. The hand holds no line at all.',
      'A loose line trailing in the current shortens the next cast. Long loops reach further and tangle more.',
    ],
    check: {
      asks: 'A fish takes on the swing. What must the line hand not do?',
      choices: ['let the loop go', 'hold the line fast', 'stay off the reel'],
      right: 1,
      why: 'A line held fast pulls the fly out of the mouth, or breaks the tippet.',
    },
  },
  strike: {
    steps: [
      'On the swing: do nothing. Let the fish turn against reel or loop, then lift towards the bank.',
      'On the strip: keep stripping until the line is tight. Do not lift the rod.',
      'On the drift: lift at any sign of the line or float.',
      'In sight: wait until the mouth has closed and the fish has turned.',
    ],
    check: {
      asks: 'A pluck at the tail of a swung fly, and it is gone. What do you do?',
      choices: ['lift hard', 'nothing, then the same cast again', 'change the fly at once'],
      right: 1,
      why: 'The fish came once and has not been pricked. The same cast first; then rest the lie.',
    },
  },
  release: {
    steps: [
      'Loose line onto the reel. Lead the fish away from water that you have not fished.',
      'At the net: light drag, rod low, and expect one last run.',
      'Wet hands, soft mesh, the fish in the water. Never drag a fish over stones.',
      'Hold the fish upright, head into an easy current, until it swims off by itself.',
    ],
    check: {
      asks: 'How long may the fish be out of the water?',
      choices: ['a minute', 'seconds', 'until the photo is good'],
      right: 1,
      why: 'Each second in the air costs the fish strength that it needs to recover.',
    },
    caution: 'In water too warm for the fish, stop fishing. The program says from which temperature.',
  },
  rise: {
    steps: [
      'A short cast, the head and a little more, from well above the lie.',
      'Mend once and step down: the fly sinks on slack.',
      'Come tight so that the fly starts to rise just where the fish holds, as an insect does.',
      'From too long a cast the rise is spent over bare bed, and the fly sinks again at the lie.',
    ],
    check: {
      asks: 'The fly rises well above the lie, and is sinking again when it gets there. What do you change?',
      choices: ['a heavier tip', 'stand nearer with less line', 'strip at the end'],
      right: 1,
      why: 'A shorter cast puts the rise where you aim it.',
    },
  },
  strips: {
    steps: [
      'Count the fly down. Strips of a hand to a foot and a half; a pause lets it sink again.',
      'One school keeps small regular pulses; the other varies: long, two short, a pause.',
      'Keep the rhythm that brought a take for as long as it does.',
      'Fish follow. Give the fly life at the end, and pause before you lift.',
    ],
    check: {
      asks: 'You strip on top of a fast swing, and the fly skims too fast. What helps?',
      choices: ['longer strips', 'walk down with the swing', 'a lighter fly'],
      right: 1,
      why: 'What the current gives and what the hand gives add up. Steps downstream take the tension out.',
    },
  },
  'two flies': {
    steps: [
      'First ask whether the rules allow two flies.',
      (u) =>
        `Streamers ${format('small', 0.45, u)} apart, soft hackles twice that. The arm of the upper one a hand long.`,
      'Heavier on the point: turns over and anchors. Larger on the dropper: soft hackles, bright above dark.',
      'Use the long end of a surgeon’s join on the rod’s side, or a small tippet ring, renewed in seconds.',
    ],
    check: {
      asks: 'A fish plucked at the point fly. The same cast and a rest brought no fish. What next?',
      choices: ['one step down', 'one step up', 'a heavier point fly'],
      right: 0,
      why: 'A step down brings the dropper over the place where the point fly was.',
    },
    caution: 'With a fish in hand the second hook hangs free: mind it, whichever of the two it is.',
    knots: ['surgeon’s join', 'clinch'],
  },
  wood: {
    steps: [
      'Fish live by wood. Decide before the cast where a hooked one will go, and where you will stand to stop it.',
      'Strong tippet. Land the fly above the wood, and let the current swing it along the edge.',
      'Hooked: turn the fish at once, rod low and to the side, away from the wood.',
      'Hung up: point the rod, pull and let go sharply. That frees many a fly before you wade.',
    ],
    check: {
      asks: 'A fish runs for the log. Where does the rod go?',
      choices: ['high', 'low and to the side', 'straight at the fish'],
      right: 1,
      why: 'From the side the pull turns its head. A high rod only lifts it while it swims on.',
    },
    caution: 'Never wade above a log jam: the current pulls you under it.',
  },
  storms: {
    steps: [
      'Thunder within half a minute of the flash: put the rod down, leave the water and tall trees.',
      'Wait half an hour after the last thunder.',
      'Water that turns cloudy, carries leaves or rises on a stone: get out on your own side, now.',
      'Below a dam, know the hours of release, and be on your bank before they begin.',
    ],
    check: {
      asks: 'A wet line appears a hand above the water on a dry stone; leaves drift by. What does it tell?',
      choices: ['the river has fallen: fish on', 'the river rises: get out', 'rain far away, hours off'],
      right: 1,
      why: 'Leaves come off banks that have just been reached by the water. A rise runs faster than you wade.',
    },
    caution: 'Hours of a dam are told by its operator, and change. The program’s hours are those that you entered.',
  },
};
