import { useRouter } from 'expo-router';
import { type Happened, isTake, TAKE_PLACES, type Visit } from '@/core/logbook';
import { MINUTE_MS } from '@/core/units';
import { useSettings } from '@/store/hooks';
import { Block, Button, Text } from '@/ui';
import { briefWords } from '@/words/log';

/** What a day came to: how long, which water, where on the swing fish took; and the way to what to try next. */
export function InBrief({ visits, all }: { visits: readonly Visit[]; all: readonly Happened[] }) {
  const router = useRouter();
  const [{ units }] = useSettings();
  const takes = all.flatMap((e) => (e.kind === 'take' && isTake(e) ? [e] : []));
  const stood = all.flatMap((e) => (e.kind === 'cast' ? [{ runId: e.runId, xM: e.plan.xM }] : []));
  const lines = briefWords(
    {
      minutes: visits.reduce((sum, v) => sum + (v.timed ? v.toAt - v.fromAt : 0), 0) / MINUTE_MS,
      runs: [...new Map(visits.map((v) => [v.runId, v.runName]))].flatMap(([runId, name]) => {
        const xs = stood.flatMap((s) => (s.runId === runId ? [s.xM] : []));
        return xs.length > 0 ? [{ name, fromM: Math.min(...xs), toM: Math.max(...xs) }] : [];
      }),
      taken: visits.reduce((sum, v) => sum + v.takes, 0),
      takes: TAKE_PLACES.flatMap((place) => {
        const here = takes.filter((t) => t.where === place).length;
        return here > 0 ? [{ place, takes: here }] : [];
      }),
    },
    units,
  );
  return (
    <Block title="In brief">
      {lines.map((line) => (
        <Text key={line}>{line}</Text>
      ))}
      <Button label="What to try next" icon="forward" onPress={() => router.navigate('/learn/ask')} />
    </Block>
  );
}
