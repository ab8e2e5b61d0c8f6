import { useRouter } from 'expo-router';
import { useState } from 'react';
import { weatherAt } from '@/core/gauge/weather';
import { DAY_LENGTHS } from '@/core/plan/dayLength';
import type { FishingWindow } from '@/core/plan/hours';
import { type Leg, nearerThan } from '@/core/plan/day';
import type { Stop } from '@/core/plan/dayAsk';
import { clockText, minuteOfDay } from '@/core/plan/spans';
import { checkSeason } from '@/core/rules';
import { MINUTE_MS } from '@/core/units';
import { useRecords, useSettings } from '@/store/hooks';
import type { Water } from '@/store/records';
import {
  Button,
  Caution,
  Choice,
  Empty,
  Hint,
  Loading,
  plainOptions,
  Sheet,
  Stack,
  Stepper,
  Text,
  useWide,
} from '@/ui';
import { SunArc } from '@/ui/charts';
import { clock } from '../shared/time';
import { DayStops } from './DayStops';
import { TakeAway } from './TakeAway';
import { runAtHour } from './RunsAtHour';
import { PlannedWater } from './PlannedWater';
import { useDayAhead } from './useDayAhead';
import { usePlannedDay } from './usePlannedDay';
import { breachOf, breachWords } from '@/words/rules';
import { dayCaution } from '@/words/day';
import { capital } from '@/words/capital';

const [BREAK_MIN, LEAVE_STEP_MIN, BACK_STEP_MIN, LATEST_MIN] = [45, 10, 30, 1410];

const HALF_HOUR = 30 * MINUTE_MS;
const COLUMN = { flex: 1, maxWidth: 640 } as const;

/** The day on the water that is chosen, by the clock. */
export const DayScreen = () => (
  <PlannedWater title="The day by the clock">
    {(water, day) => <Planned key={`${water.id}${day}`} water={water} day={day} />}
  </PlannedWater>
);

function Planned({ water, day }: { water: Water; day: string }) {
  const router = useRouter();
  const ahead = useDayAhead(water, day);
  const planned = usePlannedDay(water, day, ahead);
  const [settings, setSettings] = useSettings();
  const [adding, setAdding] = useState(false);
  const wide = useWide();
  const { data: waters } = useRecords('water');
  if (!planned) return <Loading what="Planning your day…" />;
  if (!ahead.sun)
    return (
      <Empty
        title="Where is this water?"
        actions={
          <Button
            label="Enter its place"
            kind="primary"
            onPress={() => router.push({ pathname: '/water', params: { id: water.id } })}
          />
        }
      >
        The day by the clock needs sunrise and dark, so it needs the place of the water.
      </Empty>
    );
  const { trip, setTrip, own, stops, none, plan } = planned;
  if (own.length === 0)
    return (
      <Empty
        title="No run yet"
        actions={<Button label="Open runs" kind="primary" onPress={() => router.navigate('/read')} />}
      >
        A day is planned from the runs of a water. Add one under Read.
      </Empty>
    );
  const nearer = nearerThan(
    water,
    (waters ?? []).filter((w) => checkSeason(w.rules, day.slice(5)).length === 0),
  );
  const setStops = (next: readonly Stop[] | null) => setTrip({ stops: next });
  const leaveMin = minuteOfDay(plan.leaveAt);
  /** When the day as it is would end, to a whole half hour. */
  const backNow = BACK_STEP_MIN * Math.ceil(minuteOfDay(plan.backAt) / BACK_STEP_MIN);
  /** Light and wind on a run in the middle of its time. */
  const says = ({ name, fromAt, toAt }: Leg): string => {
    const run = own.find((r) => r.name === name);
    const at = (fromAt + toAt) / 2;
    const hour = ahead.hours.hours.find((h) => Math.abs(h.at - at) <= HALF_HOUR / 2);
    const weather = weatherAt(ahead.ofDay, at);
    return run && hour ? capital(runAtHour(run, hour, weather, ahead.colour?.medianM)) : '';
  };
  const spans = (of: readonly FishingWindow[]) => of.map((w) => `${clock(w.fromAt)} to ${clock(w.toAt)}`).join(', ');
  const windows = spans(ahead.hours.windows);
  const sheet = (
    <Stack gap="l" style={wide ? COLUMN : null}>
      {ahead.closed ? <Caution strong>{breachWords(ahead.closed)}</Caution> : null}
      {plan.cautions.map((c) =>
        c.code === 'one end' ? (
          <Hint key={c.code}>{dayCaution(c)}</Hint>
        ) : (
          <Caution key={dayCaution(c)} strong={c.code === 'dam release'}>
            {dayCaution(c, nearer)}
          </Caution>
        ),
      )}
      <Stack gap="xs">
        <Text>{`${capital(ahead.hours.school)}: ${windows || 'no hours to fish'}.`}</Text>
        <SunArc
          altitude={ahead.sun.altitude}
          marks={plan.legs
            .filter((l) => l.kind === 'run')
            .slice(0, 1)
            .map((l) => ({ at: l.fromAt, text: clock(l.fromAt) }))}
          now={ahead.now}
          windows={plan.legs.filter((l) => l.kind === 'run')}
          height={110}
          summary={`The runs in the day: ${
            plan.legs
              .filter((l) => l.kind === 'run')
              .map((l) => `${l.name} ${clock(l.fromAt)} to ${clock(l.toAt)}`)
              .join(', ') || 'none'
          }`}
        />
        <Text size="small" tone="ink2">
          Bars are time on the water: one step-down pass of a run each.
        </Text>
      </Stack>
      {wide && stops.length > 0 ? <TakeAway water={water} day={day} plan={plan} runs={own} /> : null}
    </Stack>
  );
  return (
    <Stack gap="l" row={wide} align={wide ? 'flex-start' : undefined}>
      {wide ? null : sheet}
      <Stack gap="l" style={wide ? COLUMN : null}>
        {trip.stops === null ? (
          <Choice
            label="How long"
            options={plainOptions(DAY_LENGTHS)}
            value={settings.dayLength ?? DAY_LENGTHS[0]}
            onChange={(dayLength) => setSettings({ dayLength })}
          />
        ) : null}
        {stops.length === 0 ? (
          <Hint>{`${none} that day. Plan another day, or add a run yourself.`}</Hint>
        ) : (
          <>
            <Stepper
              label={trip.leaveMin === null ? 'Leave home (proposed)' : 'Leave home'}
              text={clock(plan.leaveAt)}
              lessLabel="Leave earlier"
              moreLabel="Leave later"
              onLess={() => setTrip({ leaveMin: Math.max(0, leaveMin - LEAVE_STEP_MIN) })}
              onMore={() => setTrip({ leaveMin: Math.min(1430, leaveMin + LEAVE_STEP_MIN) })}
            />
            {trip.stops === null ? (
              <Stepper
                label="Home again"
                text={trip.backMin === undefined ? 'when it is dark' : `by ${clockText(trip.backMin)}`}
                lessLabel="Home earlier"
                moreLabel="Home later"
                onLess={() => setTrip({ backMin: Math.max(0, (trip.backMin ?? backNow) - BACK_STEP_MIN) })}
                onMore={() => {
                  const later = (trip.backMin ?? backNow) + BACK_STEP_MIN;
                  setTrip({ backMin: trip.backMin === undefined || later > LATEST_MIN ? undefined : later });
                }}
                canMore={trip.backMin !== undefined}
              />
            ) : null}
            <DayStops legs={plan.legs} stops={stops} onStops={setStops} says={says} />
          </>
        )}
        <Stack row wrap gap="s">
          <Button label="Add a run or a break" icon="plus" onPress={() => setAdding(true)} />
          {trip.stops !== null || trip.leaveMin !== null ? (
            <Button label="Reset to proposal" icon="undo" onPress={() => setTrip({ stops: null, leaveMin: null })} />
          ) : null}
        </Stack>
        {wide || stops.length === 0 ? null : <TakeAway water={water} day={day} plan={plan} runs={own} />}
      </Stack>
      {wide ? sheet : null}
      <Sheet title="Add" open={adding} onClose={() => setAdding(false)}>
        <Stack>
          {ahead.ask.runs.map((r) => (
            <Button
              key={r.runId}
              label={`${r.name}, ${r.minutes} min`}
              hint={breachOf(r.barred) ?? undefined}
              disabled={r.barred !== null}
              onPress={() => {
                setStops([...stops, { kind: 'run', runId: r.runId, minutes: r.minutes }]);
                setAdding(false);
              }}
            />
          ))}
          <Button
            label={`A break, ${BREAK_MIN} min`}
            onPress={() => {
              setStops([...stops, { kind: 'break', minutes: BREAK_MIN }]);
              setAdding(false);
            }}
          />
        </Stack>
      </Sheet>
    </Stack>
  );
}
