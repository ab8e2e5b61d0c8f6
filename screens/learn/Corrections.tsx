import { isCorrection, type LogEvent, undoneIn } from '@/core/logbook';
import { eventText } from '@/core/logbook/words';
import type { UnitSystem } from '@/core/units';
import { useSettings } from '@/store/hooks';
import { Block, Button, Stack, Text } from '@/ui';
import { dayText } from '../shared/time';
import { useState } from 'react';

const PAGE = 6;

/** What was said of the log afterwards, and the way back from each; what was recorded first is never lost. */
export function Corrections({
  events,
  onTakeBack,
}: {
  events: readonly LogEvent[];
  onTakeBack: (e: LogEvent) => void;
}) {
  const [{ units }] = useSettings();
  const [shown, setShown] = useState(PAGE);
  const undone = undoneIn(events);
  const list = events.filter((e) => isCorrection(e) && !undone.has(e.id)).reverse();
  if (list.length === 0) return null;
  return (
    <Block title="Corrections">
      <Text size="small" tone="ink2">
        What was logged first is kept: each of these can be taken back.
      </Text>
      <Stack role="list" aria-label="Corrections" gap="s">
        {list.slice(0, shown).map((e) => {
          const text = correctionText(e, events, units);
          return (
            <Stack key={e.id} role="listitem" row gap="m" align="center">
              <Text style={{ flex: 1 }}>{`${dayText(e.at)}: ${text}`}</Text>
              <Button
                label="Take back"
                kind="quiet"
                accessibilityLabel={`Take back: ${text}`}
                onPress={() => onTakeBack(e)}
              />
            </Stack>
          );
        })}
      </Stack>
      {list.length > shown ? <Button label="Show earlier ones" onPress={() => setShown(shown + PAGE)} /> : null}
    </Block>
  );
}

function correctionText(e: LogEvent, events: readonly LogEvent[], units: UnitSystem): string {
  if (e.kind !== 'undo') return eventText(e, units);
  const of = events.find((x) => x.id === e.undoes);
  return of ? `Taken out: ${eventText(of, units)}` : eventText(e, units);
}
