import { useRouter } from 'expo-router';
import { useMemo } from 'react';
import { View } from 'react-native';
import { restedOn, type SeasonMonth, seasonOf } from '@/core/plan/season';
import { DAY_MS, HOUR_MS } from '@/core/units';
import { useFolded, useRecords } from '@/store/hooks';
import type { Water } from '@/store/records';
import { Card, Loading, radius, space, Stack, Text, themed } from '@/ui';
import { monthLine, MONTHS, restedAnswer, restedSince, seasonAnswer, seasonWords, whoFished } from '@/words/season';
import { dayText, startOfDay } from '../shared/time';
import { Picture } from '../shared/Picture';
import { useGauge, useGaugeYear } from '../shared/useGauge';
import { useNow } from '../shared/useNow';
import { NARROW, PlannedWater } from './PlannedWater';
import { Rules } from './Rules';

/** When fish come on the water that is chosen, when it is open, and whether it was rested. */
export const SeasonScreen = () => (
  <PlannedWater title="The season">
    {(water, day) => (
      <Stack gap="l" style={NARROW}>
        <When water={water} day={day} />
        <RestedCard water={water} day={day} />
        <Rule water={water} />
      </Stack>
    )}
  </PlannedWater>
);

const useStyles = themed((t) => ({
  row: { flexDirection: 'row', alignItems: 'center', gap: space.s, minHeight: 30 },
  now: { backgroundColor: t.sand, borderRadius: radius.s },
  month: { width: 40, paddingLeft: space.xs },
  bar: { width: 64, height: 12 },
  full: { height: 12, borderRadius: radius.s, backgroundColor: t.line },
  text: { flex: 1, minWidth: 0 },
}));

interface Props {
  water: Water;
  /** YYYY-MM-DD */
  day: string;
}

function useOwnOutings(water: Water) {
  const { data: outings } = useRecords('outing');
  const folded = useFolded();
  return useMemo(() => {
    if (!outings || !folded) return null;
    const logs = new Map(folded.map((f) => [f.outingId, f.log]));
    return outings.flatMap(({ id, waterId, startedAt }) => {
      const log = waterId === water.id ? logs.get(id) : undefined;
      return log ? [{ startedAt, log }] : [];
    });
  }, [outings, folded, water.id]);
}

function When({ water, day }: Props) {
  const s = useStyles();
  const own = useOwnOutings(water);
  const season = useMemo(() => own && seasonOf(own, water.rules), [own, water.rules]);
  if (!season) return <Loading what="Adding up the log…" />;
  const landed = ({ fish }: SeasonMonth) => fish.reduce((sum, f) => sum + f.n, 0);
  const most = Math.max(1, ...season.months.map(landed));
  const now = Number(day.slice(5, 7)) - 1;
  return (
    <Card asks="When do they come?" answer={seasonAnswer(season)}>
      <Text>{seasonWords(season)}</Text>
      <Picture
        pageOnly
        name="wanderung-season"
        page={() => ({
          title: `The season for ${water.quarry}: ${seasonAnswer(season)}`,
          lines: [seasonWords(season)],
          after: season.months.map((m) => `${MONTHS[m.month]}: ${monthLine(m)}`),
        })}
        csv={() => [
          ['month', 'open', 'days', 'takes', 'species', 'landed'],
          season.months.flatMap(({ month, open, days, takes, fish }) =>
            (fish.length > 0 ? fish : [{ species: '', n: 0 }]).map(({ species, n }) => ({
              ...{ month: month + 1, open: open ?? '', days, takes, species, landed: n },
            })),
          ),
        ]}
      >
        <View role="list" aria-label="Month by month">
          {season.months.map((m) => (
            <View key={m.month} role="listitem" style={[s.row, m.month === now && s.now]}>
              <Text size={m.month === now ? 'strong' : 'small'} style={s.month}>
                {MONTHS[m.month]}
              </Text>
              <View style={s.bar} aria-hidden>
                <View style={[s.full, { width: `${Math.round((100 * landed(m)) / most)}%` }]} />
              </View>
              <Text size="small" tone="ink2" style={s.text}>
                {monthLine(m)}
              </Text>
            </View>
          ))}
        </View>
        <Text size="small" tone="ink2">
          Bars are fish landed in that month, all years together. The shaded month is the one you plan.
        </Text>
      </Picture>
    </Card>
  );
}

function RestedCard({ water, day }: Props) {
  const now = useNow();
  const own = useOwnOutings(water);
  const { data: reports } = useRecords('report');
  const asked = startOfDay(day);
  const until = Math.floor(Math.min(now, asked + DAY_MS) / HOUR_MS) * HOUR_MS;
  const lately = useGauge(water.stationId, until);
  const year = useGaugeYear(water.stationId, until);
  const waiting = water.stationId !== null && (lately.isPending || year.isPending);
  if (!own || !reports || waiting) return <Loading what="Asking the station…" />;
  const points = [...(year.data?.points ?? []), ...(lately.data?.points ?? [])].sort((a, b) => a.at - b.at);
  const said = reports.filter((r) => r.waterId === water.id);
  const rested = restedOn(points, water.river, own, said, now, asked);
  return (
    <Card asks="Rested?" answer={restedAnswer(rested)}>
      <Text>{restedSince(rested)}</Text>
      {rested.fished.map(({ day: on, who }) => (
        <Text key={on}>{whoFished(dayText(startOfDay(on)), who)}</Text>
      ))}
    </Card>
  );
}

function Rule({ water }: { water: Water }) {
  const router = useRouter();
  return <Rules water={water} onEdit={() => router.push({ pathname: '/water', params: { id: water.id } })} />;
}
