import { useRouter } from 'expo-router';
import { useState } from 'react';
import { ScrollView } from 'react-native';
import { trend } from '@/core/gauge/points'; // not the barrel: this weighs on the first screen
import type { Water } from '@/store/records';

import { useRecords, useSession } from '@/store/hooks';

import { Button, Empty, IconButton, later, Loading, PickRow, Screen, Sheet, space, Stack, useWide } from '@/ui';
import { useLoadDemo } from '../shared/useDemo';
import { addDays, dayOf, startOfDay } from '../shared/time';
import { useGauge } from '../shared/useGauge';
import { useNow } from '../shared/useNow';
import { useWater } from '../shared/useWater';
import { DayStepper } from './DayStepper';
import { dayParts } from './later';
import { LIGHT_PX, RIVER_PX, TO_DO_PX } from './rooms';
import { HOUR_MS } from '@/core/units';

const opening = (room: number) => <Loading what="Opening the day…" room={room} />;
const Going = later(
  dayParts,
  (m) => m.Going,
  () => opening(RIVER_PX),
);
const Light = later(
  dayParts,
  (m) => m.Light,
  () => opening(LIGHT_PX),
);
const DayWarnings = later(dayParts, (m) => m.DayWarnings);
const Rules = later(dayParts, (m) => m.Rules);
const ToDo = later(
  dayParts,
  (m) => m.ToDo,
  () => opening(TO_DO_PX),
);

/** The day: which water, how it stands, what light there will be, what to beware of. */
export function PlanScreen() {
  const { data: waters } = useRecords('water');
  const [session, setSession] = useSession();
  const chosen = useWater(session?.waterId);
  const router = useRouter();
  const settings = <IconButton label="Settings" icon="settings" onPress={() => router.push('/settings')} />;

  if (!waters || !session)
    return (
      <Screen title="Plan">
        <Loading what="Opening your waters…" />
      </Screen>
    );
  const water = chosen ?? waters[0];
  if (!water) return <NoWater settings={settings} />;
  return <Day water={water} waters={waters} day={session.day} onChange={setSession} settings={settings} />;
}

function NoWater({ settings }: { settings: React.ReactNode }) {
  const router = useRouter();
  const load = useLoadDemo();
  const [busy, setBusy] = useState(false);
  return (
    <Screen title="Plan" trail={settings}>
      <Empty
        title="No water yet"
        actions={
          <>
            <Button label="Read the water in front of you" kind="primary" onPress={() => router.push('/read/glance')} />
            <Button label="Add a water" icon="plus" onPress={() => router.push('/water')} />
            <Button
              label={busy ? 'Loading the demo…' : 'Look around with demo data'}
              hint="Four invented waters, a bag, two seasons of outings"
              disabled={busy}
              onPress={() => {
                setBusy(true);
                void load();
              }}
            />
          </>
        }
      >
        At a river? Five taps show where fish hold. At home? Add the river you fish; its level and light stand here each
        day.
      </Empty>
    </Screen>
  );
}

interface DayProps {
  water: Water;
  waters: readonly Water[];
  day: string | null;
  onChange: (change: { waterId?: string; day?: string | null; runId?: string | null }) => void;
  settings: React.ReactNode;
}

function Day({ water, waters, day, onChange, settings }: DayProps) {
  const router = useRouter();
  const now = useNow();
  const [picking, setPicking] = useState(false);
  const wide = useWide();
  const today = dayOf(now);
  const shown = day ?? today;
  const dayStart = startOfDay(shown);
  // The gauge knows the past only: a coming day is planned on the last values.
  const until = Math.floor(Math.min(now, startOfDay(addDays(shown, 1))) / HOUR_MS) * HOUR_MS;
  const gauge = useGauge(water.stationId, until);
  const last = gauge.data?.points[gauge.data.points.length - 1];
  const direction = trend(gauge.data?.points ?? []);
  const river = <Going {...{ water, gauge, direction, today, until }} day={shown} />;
  return (
    <Screen
      title="Plan"
      trail={settings}
      footer={<Button label="Read a run" kind="primary" onPress={() => router.navigate('/read')} />}
      // On a wide screen the river stands beside the day.
      picture={
        wide ? (
          <ScrollView>
            <Stack gap="l" style={{ paddingBottom: space.xl }}>
              {river}
            </Stack>
          </ScrollView>
        ) : undefined
      }
      third={
        <>
          <ToDo key={`${water.id}${shown}`} water={water} day={shown} />
          {waters.length > 1 ? (
            <PickRow
              label="Which water?"
              value={`Compare your ${waters.length} waters for that day`}
              onPress={() => router.push('/waters')}
            />
          ) : null}
          <Button
            label="The season here"
            hint="When fish came, and how long it was rested"
            onPress={() => router.push('/season')}
          />
          <Button
            label="Bag"
            hint="Your tackle, and what you can do"
            onPress={() => router.push({ pathname: '/bag', params: { from: 'plan' } })}
          />
          <Rules water={water} onEdit={() => router.push({ pathname: '/water', params: { id: water.id } })} />
        </>
      }
    >
      <Stack gap="m">
        <PickRow
          label={water.character || 'Water'}
          value={water.name}
          detail={`for ${water.quarry}`}
          onPress={() => setPicking(true)}
        />
        <DayStepper day={shown} today={today} onDay={(next) => onChange({ day: next })} past />
      </Stack>
      <DayWarnings {...{ water, today, last, direction }} day={shown} />
      {wide ? null : river}
      <Light key={dayStart} water={water} day={shown} />
      <Sheet title="Waters" open={picking} onClose={() => setPicking(false)}>
        <Stack>
          {waters.map((w) => (
            <PickRow
              key={w.id}
              label={w.character}
              value={w.name}
              chosen={w.id === water.id}
              onPress={() => {
                onChange({ waterId: w.id, runId: null });
                setPicking(false);
              }}
            />
          ))}
        </Stack>
        <Button
          label="Add a water"
          icon="plus"
          onPress={() => {
            setPicking(false);
            router.push('/water');
          }}
        />
      </Sheet>
    </Screen>
  );
}
