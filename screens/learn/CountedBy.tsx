import { EFFORTS } from '@/core/learn/effort';
import { useSettings } from '@/store/hooks';
import { Choice, plainOptions, Stack, Text } from '@/ui';
import type { Outings } from '@/workers/learn';

/** What effort is counted by; nothing where it is known of no cast how much water it showed. */
export function CountedBy({ outings }: { outings: Outings }) {
  const [{ effort = EFFORTS[0] }, setSettings] = useSettings();
  if (!outings.some((own) => own.some((e) => e.water))) return null;
  return (
    <Stack gap="xs">
      <Choice
        label="Count by"
        options={plainOptions(EFFORTS)}
        value={effort}
        onChange={(by) => setSettings({ effort: by })}
      />
      {effort === 'water shown' ? (
        <Text size="small" tone="ink2">
          Casts here are weighed: one over many of a run’s fish counts for more, one over empty water for little.
        </Text>
      ) : null}
    </Stack>
  );
}
