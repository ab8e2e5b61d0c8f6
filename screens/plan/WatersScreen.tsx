import { useRouter } from 'expo-router';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { View } from 'react-native';
import { type Goal, GOALS } from '@/core/answer/goals';
import { freshets, trend } from '@/core/gauge';
import { addTallies, EMPTY_TALLY } from '@/core/logbook';
import { middlingWind, windOnRun } from '@/core/plan/wind';
import { chooseWaters, type WaterChoice, type WaterDay } from '@/core/plan/waters';
import { capital } from '@/core/units';
import { useGaugeYear } from '@/store/gauge';
import { newId, useFolded, useRecords, useSave, useSession, useSettings } from '@/store/hooks';
import type { Report, Water } from '@/store/records';
import {
  Button,
  Choice,
  Empty,
  IconButton,
  Loading,
  plainOptions,
  radius,
  Screen,
  Sheet,
  space,
  Stack,
  Stepper,
  Text,
  TextField,
  themed,
  useToast,
  useWide,
} from '@/ui';
import { addDays, dayOf, dayText, startOfDay } from '../shared/time';
import { useNow } from '../shared/useNow';
import { YesNo } from '../shared/YesNo';
import { NARROW } from './PlannedWater';
import { lyingOf, useDayAhead } from './useDayAhead';

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
/** Where the gauge tells no rise, so many days back is asked who fished. */
const UNKNOWN_DAYS = 14;

/** On a wide screen cards stand beside each other. */
const WIDE_CARD = { flexGrow: 1, flexBasis: 320, maxWidth: 520 } as const;

/** Waters side by side for a day: which one, and why. */
export function WatersScreen() {
  const router = useRouter();
  const now = useNow();
  const wide = useWide();
  const { data: waters } = useRecords('water');
  const [session, setSession] = useSession();
  const [{ goal = 'any', units }, setSettings] = useSettings();
  const [days, setDays] = useState<ReadonlyMap<string, WaterDay>>(new Map());
  const [hearsay, setHearsay] = useState<Water | null>(null);
  const know = useCallback((d: WaterDay) => setDays((all) => new Map(all).set(d.id, d)), []);
  const today = dayOf(now);
  const day = session?.day ?? today;
  const known = useMemo(() => (waters ?? []).flatMap((w) => (days.has(w.id) ? [days.get(w.id)!] : [])), [waters, days]);
  const choices = useMemo(() => chooseWaters(known, goal, now, units), [known, goal, now, units]);
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
          Add the rivers you fish: they then stand here side by side.
        </Empty>
      </Screen>
    );
  const move = (n: number) => {
    const next = addDays(day, n);
    setSession({ day: next === today ? null : next });
  };
  const go = (waterId: string) => {
    setSession({ waterId, runId: null });
    router.replace('/');
  };
  return (
    <Screen title="Which water" lead={back} full>
      <Stack gap="l" style={NARROW}>
        <Stepper
          label="Day"
          text={`${day === today ? 'Today, ' : ''}${dayText(startOfDay(day))}`}
          lessLabel="The day before"
          moreLabel="The day after"
          canLess={day > today}
          onLess={() => move(-1)}
          onMore={() => move(1)}
        />
        <Choice
          label="What the day is for"
          options={plainOptions(GOALS)}
          value={goal}
          onChange={(next: Goal) => setSettings({ goal: next })}
        />
      </Stack>
      {waters.map((w) => (
        <Probe key={`${w.id}${day}`} water={w} day={day} onDay={know} />
      ))}
      {known.length < waters.length ? <Loading what={`Looking at ${waters.length} waters…`} /> : null}
      <Stack gap="m" row={wide} wrap={wide} role="list" aria-label="Waters, the likeliest first">
        {choices.map((c) => (
          <View key={c.id} role="listitem" style={wide ? WIDE_CARD : undefined}>
            <Card
              choice={c}
              chosen={c.id === session.waterId}
              onGo={() => go(c.id)}
              onHearsay={() => setHearsay(waters.find((w) => w.id === c.id) ?? null)}
            />
          </View>
        ))}
      </Stack>
      <Text size="small" tone="ink2">
        In order of the colour to expect, then of what speaks against each, then of what the day is for, then of the
        road. No number weighs one reason against another: that is yours.
      </Text>
      {hearsay ? <HearsaySheet water={hearsay} onClose={() => setHearsay(null)} /> : null}
    </Screen>
  );
}

/** Gathers what is known of one water that day; shows nothing. */
function Probe({ water, day, onDay }: { water: Water; day: string; onDay: (d: WaterDay) => void }) {
  const ahead = useDayAhead(water, day);
  const { now, dayStart, settled, closed, colour, waterC, runs, fished, weatherOfDay, gauge, colours } = ahead;
  const { data: reports } = useRecords('report');
  const { data: outings } = useRecords('outing');
  const folded = useFolded();
  const past = useGaugeYear(water.stationId, Math.floor(Math.min(now, dayStart + DAY_MS) / HOUR_MS) * HOUR_MS);
  const waiting = water.stationId !== null && past.isPending;
  const noColour = noColourWords(water, gauge.error, colours.forecast.error);
  const lately = gauge.data?.points;
  const year = past.data?.points;
  const found = useMemo((): WaterDay | null => {
    if (!settled || waiting || !reports || !outings || !folded) return null;
    const own = outings.filter((o) => o.waterId === water.id);
    const logs = folded.filter((f) => own.some((o) => o.id === f.outingId)).map((f) => f.log);
    const tally = logs.map((l) => l.tally).reduce(addTallies, EMPTY_TALLY);
    const lengths = logs.flatMap((l) => l.fish.flatMap((f) => f.take.fish?.lengthM ?? []));
    const said = reports.filter((r) => r.waterId === water.id).sort((a, b) => b.at - a.at);
    const points = [...(year ?? []), ...(lately ?? [])].sort((a, b) => a.at - b.at);
    // Below a dam water comes and goes by the clock: that is no freshet.
    const last = water.river?.kind === 'below a dam' ? undefined : freshets(points).at(-1);
    const since = last?.peakAt ?? now - UNKNOWN_DAYS * DAY_MS;
    const fishedOn = new Set([
      ...own.filter((o) => o.startedAt > since && o.startedAt < now).map((o) => dayOf(o.startedAt)),
      ...said.filter((r) => r.fished && r.at > since).map((r) => dayOf(r.at)),
    ]);
    const wind = middlingWind(weatherOfDay.filter((h) => fished.some((f) => Math.abs(f.at - h.at) <= HOUR_MS / 2)));
    return {
      ...{ id: water.id, name: water.name, quarry: water.quarry, driveMin: water.driveMin ?? null },
      ...{ closed, colour, noColour, closesAtC: water.rules.closesAtC, warmestC: waterC?.[1] ?? null },
      trend: points.length > 0 ? trend(points) : null,
      winds: wind ? runs.map(({ run }) => windOnRun(lyingOf(run), wind)) : [],
      freshetDays: last ? Math.max(0, Math.round((Math.max(now, dayStart) - last.peakAt) / DAY_MS)) : null,
      fishedSince: fishedOn.size,
      reports: said,
      own: {
        casts: tally.casts - tally.byHand,
        takes: tally.takes - tally.byHandTakes,
        longestM: lengths.length > 0 ? Math.max(...lengths) : null,
      },
    };
  }, [
    settled,
    waiting,
    reports,
    outings,
    folded,
    water,
    year,
    lately,
    now,
    dayStart,
    weatherOfDay,
    fished,
    closed,
    colour,
    noColour,
    waterC,
    runs,
  ]);
  useEffect(() => {
    if (found) onDay(found);
  }, [found, onDay]);
  return null;
}

function noColourWords(water: Water, gauge: Error | null, colour: Error | null): string {
  if (!water.stationId) return 'No gauge is set for it: nothing can be said of its colour. Look from the bridge.';
  if (gauge) return gauge.message;
  if (colour) return `Nothing can be said of its colour: ${colour.message}.`;
  return 'Colour is foretold for two days only.';
}

const useStyles = themed((t) => ({
  card: {
    borderWidth: 1.5,
    borderColor: t.hairline,
    borderRadius: radius.m,
    backgroundColor: t.card,
    padding: space.m,
    gap: space.s,
  },
  chosen: { borderColor: t.ink, borderWidth: 2 },
  reason: { flexDirection: 'row', gap: space.s },
  mark: { width: 16, textAlign: 'center' },
  against: { backgroundColor: t.cautionGround, paddingHorizontal: space.xs },
  text: { flex: 1, minWidth: 0 },
}));

const MARKS = { for: '+', against: '−', neutral: '·' } as const;

function Card({
  choice,
  chosen,
  onGo,
  onHearsay,
}: {
  choice: WaterChoice;
  chosen: boolean;
  onGo: () => void;
  onHearsay: () => void;
}) {
  const s = useStyles();
  return (
    <View style={[s.card, chosen && s.chosen]}>
      <Stack row wrap gap="s" align="baseline" justify="space-between">
        <Text size="heading" level={2}>
          {choice.name}
        </Text>
        <Text size="strong">{capital(choice.verdict)}</Text>
      </Stack>
      <Text>{choice.words}</Text>
      <Stack gap="xs">
        {(choice.verdict === 'closed' ? [] : choice.reasons).map((r) => (
          <View key={r.says} style={s.reason}>
            <Text style={s.mark} aria-label={r.tone === 'neutral' ? 'beside' : r.tone}>
              {MARKS[r.tone]}
            </Text>
            <View style={s.text}>
              <Text size="small" style={r.tone === 'against' ? s.against : undefined}>
                {r.says}
              </Text>
            </View>
          </View>
        ))}
      </Stack>
      <Stack row wrap gap="s">
        <Button label={`Plan ${choice.name}`} onPress={onGo} style={{ flexGrow: 1 }} />
        <Button label="Heard something" hint={`About ${choice.name}`} onPress={onHearsay} />
      </Stack>
    </View>
  );
}

/** What somebody said of a water: kept with who and when. */
function HearsaySheet({ water, onClose }: { water: Water; onClose: () => void }) {
  const { put, remove } = useSave('report');
  const { data: reports } = useRecords('report');
  const toast = useToast();
  const now = useNow();
  const [source, setSource] = useState('');
  const [text, setText] = useState('');
  const [daysAgo, setDaysAgo] = useState(0);
  const [fished, setFished] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const own = (reports ?? []).filter((r) => r.waterId === water.id).sort((a, b) => b.at - a.at);
  const save = async () => {
    const id = newId();
    const report: Report = {
      id,
      waterId: water.id,
      at: now - daysAgo * DAY_MS,
      source: source.trim(),
      text: text.trim(),
      fished,
    };
    if (!report.source) return setProblem('Say who said it: hearsay without its source is worth nothing later.');
    try {
      await put(report);
    } catch (error) {
      return setProblem((error as Error).message);
    }
    onClose();
    toast('It is kept, with who and when.', () => void remove(id));
  };
  return (
    <Sheet title={`Heard of ${water.name}`} open onClose={onClose}>
      <TextField label="Who said it" value={source} onChange={setSource} hint="a shop, a guide, a friend" />
      <TextField label="What" value={text} onChange={setText} multiline />
      <Stepper
        label="Of which day"
        text={dayText(now - daysAgo * DAY_MS)}
        lessLabel="A day earlier"
        moreLabel="A day later"
        canMore={daysAgo > 0}
        onLess={() => setDaysAgo((d) => d + 1)}
        onMore={() => setDaysAgo((d) => Math.max(0, d - 1))}
      />
      <YesNo label="Somebody fished it that day" value={fished} onChange={setFished} />
      {problem ? <Text role="alert">{problem}</Text> : null}
      <Button label="Keep it" kind="primary" onPress={() => void save()} />
      {own.length > 0 ? (
        <Stack gap="s" role="list" aria-label="Heard before">
          {own.slice(0, 10).map((r) => (
            <Stack key={r.id} role="listitem" row gap="s" align="center">
              <View style={{ flex: 1 }}>
                <Text size="small">{`${dayText(r.at)}, ${r.source}: ${r.text}${r.fished ? ' (fished)' : ''}`}</Text>
              </View>
              <IconButton label={`Remove what ${r.source} said`} icon="close" onPress={() => void remove(r.id)} />
            </Stack>
          ))}
        </Stack>
      ) : null}
    </Sheet>
  );
}
