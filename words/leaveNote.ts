import type { Place } from '@/core/sight';

const placeText = ({ latDeg, lonDeg }: Place): string => `${latDeg.toFixed(4)}, ${lonDeg.toFixed(4)}`;

/** What somebody at home should know. */
interface LeaveNote {
  readonly water: string;
  /** The day in words. */
  readonly day: string;
  /** In their order; the place of each where it is known. */
  readonly runs: readonly { readonly name: string; readonly place: Place | null }[];
  /** Where the water is; null: not said. */
  readonly place: Place | null;
  readonly leave: string;
  readonly back: string;
  /** When somebody should act, an hour later as a rule. */
  readonly act: string;
  /** One goes alone. */
  readonly alone: boolean;
}

/** A note to leave or send, as plain text: where one is, when one is back, what to do when not. */
export const leaveNote = (n: LeaveNote): string =>
  [
    `Fishing the ${n.water}, ${n.day}${n.alone ? ', alone' : ''}.`,
    ...(n.runs.length > 0 ? ['I will be at, in this order:'] : []),
    ...n.runs.map((r, i) => `${i + 1}. ${r.name}${r.place ? ` (${placeText(r.place)})` : ''}`),
    ...(n.place ? [`The water is at ${placeText(n.place)}.`] : []),
    `Leaving at ${n.leave}, back by ${n.back}.`,
    `If you have heard nothing by ${n.act}, call me. If I do not answer, call the emergency services and give them the places above.`,
  ].join('\n');
