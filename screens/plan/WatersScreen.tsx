import { useRouter } from 'expo-router';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { View } from 'react-native';
import { type Goal, GOALS } from '@/core/answer/goals';
import type { Quarry } from '@/core/lies';
import { chooseWaters, type WaterDay } from '@/core/plan/waters';
import { useRecords, useSession, useSettings } from '@/store/hooks';
import type { Water } from '@/store/records';
import { Button, Choice, Empty, IconButton, Loading, plainOptions, Screen, Stack, Text, useWide } from '@/ui';
import { dayOf } from '../shared/time';
import { useMeans } from '../shared/useMeans';
import { useNow } from '../shared/useNow';
import { DayStepper } from './DayStepper';
import { HearsaySheet } from './HearsaySheet';
import { NARROW } from './PlannedWater';
import { WaterCard } from './WaterCard';
import { useSteadyOrder } from './useSteadyOrder';
import { WaterProbe } from './WaterProbe';

/** The order is told when all are known, or nothing has come for so long; what comes later stands last, since cards that change
 * places are pressed amiss. */
const SILENT_MS = 4000;

const ANY_FISH = 'any fish' as const;
/** The room of the longest word on the order: what takes its place pushes no card. */
const STATUS = { minHeight: 84, justifyContent: 'center' } as const;
/** On a wide screen cards stand beside each other. */
const WIDE_CARD = { flexGrow: 1, flexBasis: 320, maxWidth: 520 } as const;

/** Waters side by side for a day: which one, and why. */
export function WatersScreen() {
  const router = useRouter();
  const now = useNow();
  const wide = useWide();
  const { data: waters } = useRecords('water');
  const [session, setSession] = useSession();
  const [{ goal = 'any' }, setSettings] = useSettings();
  const [days, setDays] = useState<ReadonlyMap<string, WaterDay>>(new Map());
  const [wanted, setWanted] = useState<Quarry | null>(null);
  const [hearsay, setHearsay] = useState<Water | null>(null);
  const today = dayOf(now);
  const day = session?.day ?? today;
  // What is known of another day is nothing known of this one.
  const know = useCallback((d: WaterDay) => setDays((all) => new Map(all).set(`${d.id} ${day}`, d)), [day]);
  const known = useMemo(() => (waters ?? []).flatMap((w) => days.get(`${w.id} ${day}`) ?? []), [waters, days, day]);
  const [silentOn, setSilentOn] = useState('');
  useEffect(() => {
    const timer = setTimeout(() => setSilentOn(day), SILENT_MS);
    return () => clearTimeout(timer);
  }, [day, known.length]);
  const { means } = useMeans();
  const choices = useMemo(
    () => chooseWaters(known, { goal, quarry: wanted, shoulders: means.shoulders, now }),
    [known, goal, wanted, means, now],
  );
  const all = waters !== undefined && known.length === waters.length;
  const told = all || silentOn === day ? choices : [];
  const { order, isOld, renew } = useSteadyOrder(
    told.map((c) => c.id),
    `${day} ${goal} ${wanted}`,
  );
  const back = <IconButton label="Back to the plan" icon="back" onPress={() => router.replace('/')} />;
  if (!waters || !session)
    return (
      <Screen title="Which water" lead={back}>
        <Loading what="Opening your waters…" />
      </Screen>
    );
  if (waters.length === 0)
    return (
      <Screen title="Which water" lead={back}>
        <Empty
          title="No water yet"
          actions={<Button label="Add a water" kind="primary" onPress={() => router.push('/water')} />}
        >
          Add the rivers you fish to compare them here.
        </Empty>
      </Screen>
    );
  const kinds = [...new Set(waters.flatMap((w) => [w.quarry, ...(w.also ?? [])]))];
  const go = (waterId: string) => {
    setSession({ waterId, runId: null });
    router.replace('/');
  };
  return (
    <Screen title="Which water" lead={back} full>
      <Stack gap="l" style={NARROW}>
        <DayStepper day={day} today={today} onDay={(next) => setSession({ day: next })} />
        <Choice
          label="Goal of the day"
          options={plainOptions(GOALS)}
          value={goal}
          onChange={(next: Goal) => setSettings({ goal: next })}
        />
        {kinds.length > 1 ? (
          <Choice
            label="Which fish"
            options={plainOptions<Quarry | typeof ANY_FISH>([ANY_FISH, ...kinds])}
            value={wanted ?? ANY_FISH}
            onChange={(next) => setWanted(next === ANY_FISH ? null : next)}
          />
        ) : null}
      </Stack>
      {waters.map((w) => (
        <WaterProbe key={`${w.id}${day}`} water={w} day={day} onDay={know} />
      ))}
      <View style={STATUS}>
        {!all ? (
          <Loading what={`Looking at ${waters.length} waters…`} />
        ) : isOld ? (
          <Button label="Sort again: new data came in" onPress={renew} />
        ) : (
          <Text size="small" tone="ink2">
            Best first: by colour, then by what speaks against each, your goal and the drive. How much each reason
            counts is yours to decide.
          </Text>
        )}
      </View>
      {told.length > 0 ? (
        <Stack gap="m" row={wide} wrap={wide} role="list" aria-label="Waters, best first">
          {order
            .map((id) => told.find((c) => c.id === id)!)
            .map((c) => (
              <View key={c.id} role="listitem" style={wide ? WIDE_CARD : undefined}>
                <WaterCard
                  choice={c}
                  chosen={c.id === session.waterId}
                  onGo={() => go(c.id)}
                  onHearsay={() => setHearsay(waters.find((w) => w.id === c.id) ?? null)}
                />
              </View>
            ))}
        </Stack>
      ) : null}
      {hearsay ? <HearsaySheet water={hearsay} onClose={() => setHearsay(null)} /> : null}
    </Screen>
  );
}
