import type { DayCaution, Leg } from '@/core/plan/day';
import type { goingOn } from '@/core/plan/goingOn';
import { HOUR_MS } from '@/core/units';
import { aboutNoon, clockText, minuteOfDay } from '@/core/plan/spans';
import { breachWords } from './rules';

const clockOf = (at: number): string => clockText(minuteOfDay(at));

/** A break about noon that is no longer than it takes to eat. */
const isLunch = (fromAt: number, toAt: number): boolean => aboutNoon(fromAt) && toAt - fromAt <= HOUR_MS;

/** A part of a day by the clock. */
export function legWords({ kind, name, fromAt, toAt }: Leg): string {
  switch (kind) {
    case 'drive':
      return 'Drive';
    case 'walk':
      return 'Walk';
    case 'break':
      return isLunch(fromAt, toAt) ? 'Lunch' : 'Break';
    case 'walk back':
      return 'Walk back';
    case 'back':
      return 'Drive back';
    case 'run':
      return name || 'A run you deleted';
  }
}

/** What comes after the run that one fishes. @example goingOnWords({ next, untilAt, lateMin: 0 }) // 'Copper Bend at 13:20' */
export const goingOnWords = ({ next }: ReturnType<typeof goingOn> & object): string =>
  next ? `${legWords(next)} at ${clockOf(next.fromAt)}` : 'The last run of the day';

/** What to beware of on a day. @param nearer a water of one's own with less road, its road in minutes; null: there is none */
export function dayCaution(
  c: DayCaution,
  nearer: { readonly name: string; readonly driveMin: number } | null = null,
): string {
  switch (c.code) {
    case 'closed run':
      return `${c.run}: ${breachWords(c.breach)}`;
    case 'dam release':
      return `Dam release ${clockOf(c.fromAt)} to ${clockOf(c.toAt)}, while you are at ${c.runs.join(' and ')}: be out of the water before, and stay out until ${clockOf(c.clearAt)}. Hours change without notice.`;
    case 'dark':
      return `Dark from ${clockOf(c.fromAt)}: you would walk back until ${clockOf(c.backAt)}. Take a lamp, or leave earlier.`;
    case 'rain':
      return `${c.mm} mm of rain in the forecast for your hours and the six before. The river may rise while you stand in it. Cross only where you can come back, and get out at the first leaf and twig coming down.`;
    case 'long day':
      return `${Math.round(c.hours)} hours from door to door: let somebody else drive home, or sleep there.`;
    case 'one end':
      return `Both ends of the day would be ${Math.round(c.hours)} hours from door to door: one of them is planned. Sleep there to fish both.`;
    case 'more road than water':
      return `${Math.round(c.roadMin)} minutes of road for ${Math.round(c.fishedMin)} on the water: ${nearer ? `rather ${nearer.name}, ${nearer.driveMin} minutes away` : 'choose a nearer river'}, or a longer day.`;
  }
}
