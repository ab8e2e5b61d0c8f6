import type { DayAsk } from './dayAsk';

/** On a bank in waders, m a minute (assumed: half as fast as on a road). */
const WALKS_M_MIN = 40;
/** From one run to another, minutes: by how far they lie from each other along the river, else as one said it takes. */
export function walkMinBetween(a: Pick<DayAsk, 'runs' | 'walkMin'>, fromId: string, toId: string): number {
  if (fromId === toId) return 0; // coming back to the same run one has not gone away
  const [from, to] = [fromId, toId].map((id) => a.runs.find((r) => r.runId === id)?.downM ?? null);
  return from === null || to === null ? a.walkMin : Math.max(1, Math.round(Math.abs(to! - from!) / WALKS_M_MIN));
}

/** From the last run back to the road, minutes: by the way one came, past the run that one began at. */
export const walkBackMin = (a: Pick<DayAsk, 'runs' | 'walkMin'>, firstId: string, lastId: string): number => {
  const known = [firstId, lastId].every((id) => a.runs.find((r) => r.runId === id)?.downM != null);
  return a.walkMin + (known ? walkMinBetween(a, firstId, lastId) : 0);
};
