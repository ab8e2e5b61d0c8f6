import { useRouter } from 'expo-router';
import { useRecords, useSession } from '@/store/hooks';
import { Button, Notice, Stack, Text } from '@/ui';
import { TOUR } from '@/words/tour';

/** A step of the tour above the page that it tells of. */
export function Tour({ at }: { at: number }) {
  const router = useRouter();
  const [session, set] = useSession();
  const { data: runs } = useRecords('run');
  const run = runs?.find((r) => r.id === session?.runId) ?? runs?.find((r) => r.waterId === session?.waterId);
  const step = TOUR[at];
  if (!step || !run) return null;
  const next = TOUR[at + 1];
  const end = () => set({ tour: null });
  const go = () => {
    if (!next) return end();
    set({ tour: at + 1, runId: run.id });
    router.navigate(next.page === 'run' ? { pathname: '/read/[run]', params: { run: run.id } } : `/${next.page}`);
  };
  return (
    <Notice role="status">
      <Text size="strong">{step.title}</Text>
      <Text>{step.says}</Text>
      <Stack row>
        <Button label={at === 0 ? 'Start the tour' : next ? 'Next step' : 'End the tour'} onPress={go} />
        {next ? <Button label="Skip the tour" kind="quiet" onPress={end} /> : null}
      </Stack>
    </Notice>
  );
}
