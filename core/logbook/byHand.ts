import type { EventBody, EventOf, Fish, LogEvent, RememberedFly, RememberedWater } from './events';

/** A stay on one run as it is remembered, or stands in another’s list. */
export interface RememberedStay {
  readonly runId: string | null;
  readonly runName: string;
  /** ms UTC */
  readonly fromAt: number;
  readonly toAt: number;
  /** null: not known. */
  readonly casts: number | null;
  /** All contacts, the fish landed and lost among them. */
  readonly takes: number;
  readonly minutes: number | null;
  /** Whether the hours are known; otherwise `fromAt` and `toAt` only say the day. */
  readonly timed: boolean;
  readonly fly: RememberedFly | null;
  readonly water: RememberedWater | null;
  readonly landed: readonly Fish[];
  readonly lost: number;
}

const take = (what: 'landed' | 'lost', fish: Fish | null): EventBody & { kind: 'take' } => ({
  ...{ kind: 'take', where: null, sign: null, what, juvenile: false, fish },
});

/** What is noted of the water: null where nothing is. */
const known = (water: RememberedWater | null): RememberedWater | null =>
  water && Object.values(water).some((v) => v !== null) ? water : null;

/** The entries of a stay that was not logged on the water. @param idOf the id of the nth of them, from 1 */
export function stayByHand(s: RememberedStay, idOf: (n: number) => string): LogEvent[] {
  const estimate: Omit<EventOf<'estimate'>, 'id' | 'at' | 'runId' | 'xM' | 'yM' | 'rig'> = {
    ...{ kind: 'estimate', casts: s.casts, minutes: s.minutes, timed: s.timed },
    takes: Math.max(0, s.takes - s.landed.length - s.lost),
    ...{ fly: s.fly, water: known(s.water) },
  };
  const bodies: EventBody[] = [
    { kind: 'run start', runName: s.runName },
    estimate,
    ...s.landed.map((fish) => take('landed', fish)),
    ...Array.from({ length: s.lost }, () => take('lost', null)),
    { kind: 'run end' },
  ];
  return bodies.map(
    (body, i) =>
      ({
        ...{ id: idOf(i + 1), at: body.kind === 'run end' ? Math.max(s.fromAt, s.toAt) : s.fromAt },
        ...{ runId: s.runId, xM: null, yM: null, rig: null },
        ...body,
      }) as LogEvent,
  );
}

/** Who begins so late and ends so early has fished through the night, minutes since midnight. */
const [NIGHT_FROM_MIN, NIGHT_TO_MIN] = [15 * 60, 10 * 60];
export const throughNight = (fromMin: number, toMin: number): boolean =>
  toMin < fromMin && fromMin >= NIGHT_FROM_MIN && toMin < NIGHT_TO_MIN;
