import { useRecord, useSave } from '@/store/hooks';
import type { Trip } from '@/store/records';

/** The plan of a day on a water, and changes to it; undefined while it is read. */
export function useTrip(waterId: string, day: string): [Trip | undefined, (change: Partial<Trip>) => void] {
  const id = `${waterId}-${day}`;
  const stored = useRecord('trip', id);
  const { put } = useSave('trip');
  const trip =
    stored === undefined ? undefined : (stored ?? { id, waterId, day, leaveMin: null, stops: null, packed: [] });
  return [trip, (change) => void (trip && put({ ...trip, ...change }))];
}
