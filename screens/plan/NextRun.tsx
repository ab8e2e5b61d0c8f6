import { useRouter } from 'expo-router';
import { goingOn, laidAnew } from '@/core/plan/goingOn';
import { MINUTE_MS } from '@/core/units';
import type { Run } from '@/core/water';
import type { Water } from '@/store/records';
import { PickRow, useToast } from '@/ui';
import { goingOnWords } from '@/words/day';
import { clock, dayOf } from '../shared/time';
import { useDayAhead } from './useDayAhead';
import { usePlannedDay } from './usePlannedDay';

interface Props {
  water: Water;
  run: Run;
  now: number;
  /** When this run was begun, ms UTC. */
  begunAt: number;
  /** How long one means to stay on it from now on, minutes. */
  stayMin: number;
}

/** One is late from here on, minutes. */
const LATE_MIN = 15;

/** While one fishes a run: until when by the day’s plan, and which comes next; the rest is laid anew when one asks. */
export function NextRun({ water, run, now, begunAt, stayMin }: Props) {
  const router = useRouter();
  const toast = useToast();
  const day = dayOf(now);
  const ahead = useDayAhead(water, day);
  const planned = usePlannedDay(water, day, ahead);
  if (!planned || planned.own.length < 2 || !ahead.sun) return null;
  const { trip, setTrip, stops, plan } = planned;
  const kept = trip.stops ? goingOn(plan.legs, stops, run.id, now) : null;
  const anew = () => {
    const laid = laidAnew(ahead.ask, trip.stops ?? [], { runId: run.id, begunAt, now, stayMin });
    setTrip({ stops: laid.stops, leaveMin: laid.leaveMin });
    toast('Day planned from here.', () => setTrip({ stops: trip.stops, leaveMin: trip.leaveMin }));
  };
  if (!kept)
    return (
      <PickRow
        label="The rest of the day"
        value="Plan it from here"
        detail={`This run until ${clock(now + stayMin * MINUTE_MS)}, then the others as they suit`}
        onPress={anew}
      />
    );
  const late = kept.lateMin >= LATE_MIN;
  return (
    <PickRow
      label={late ? `${kept.lateMin} min behind your plan` : 'Next on your plan'}
      value={goingOnWords(kept)}
      detail={
        late ? 'Tap to plan the rest again' : `This run until ${clock(kept.untilAt)}. Tap for the day by the clock`
      }
      onPress={late ? anew : () => router.push('/day')}
    />
  );
}
