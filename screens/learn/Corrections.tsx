import { useState } from 'react';
import { isCorrection, type LogEvent, undoneIn } from '@/core/logbook';
import { eventText } from '@/words/log';
import { useSettings } from '@/store/hooks';
import { Block, Button, Stack, Text } from '@/ui';
import { clock, dayText } from '../shared/time';
import { type UnitSystem } from '@/words/units';

const PAGE = 6;

/** What was said of the log afterwards, and the way back from each; what was recorded first is never lost. */
export function Corrections({
  events,
  onTakeBack,
}: {
  events: readonly LogEvent[];
  onTakeBack: (of: readonly LogEvent[]) => void;
}) {
  const [{ units }] = useSettings();
  const [shown, setShown] = useState(PAGE);
  const list = together(events).reverse();
  if (list.length === 0) return null;
  return (
    <Block title="Corrections">
      <Text size="small" tone="ink2">
        Your first entries stay: each correction can be undone.
      </Text>
      <Stack role="list" aria-label="Corrections" gap="s">
        {list.slice(0, shown).map((of) => {
          const e = of[0]!;
          const first = correctionText(e, events, units);
          const text = of.length > 1 ? `${of.length} entries at once; ${first}` : first;
          return (
            <Stack key={e.id} role="listitem" row gap="m" align="center">
              <Text style={{ flex: 1 }}>{`${dayText(e.at)}: ${text}`}</Text>
              <Button label="Undo" kind="quiet" accessibilityLabel={`Undo: ${text}`} onPress={() => onTakeBack(of)} />
            </Stack>
          );
        })}
      </Stack>
      {list.length > shown ? <Button label="Show earlier ones" onPress={() => setShown(shown + PAGE)} /> : null}
    </Block>
  );
}

/** Corrections that stand, those that were made at one moment together. */
function together(events: readonly LogEvent[]): LogEvent[][] {
  const undone = undoneIn(events);
  const corrections = new Set(events.filter(isCorrection).map((e) => e.id));
  const out: LogEvent[][] = [];
  for (const e of events) {
    // Taking a correction back is no correction of its own.
    if (!isCorrection(e) || undone.has(e.id) || (e.kind === 'undo' && corrections.has(e.undoes))) continue;
    const last = out.at(-1);
    if (last && last[0]!.at === e.at && last[0]!.kind === e.kind) last.push(e);
    else out.push([e]);
  }
  return out;
}

/** What a correction changed, in words. */
function correctionText(e: LogEvent, events: readonly LogEvent[], units: UnitSystem): string {
  const of = e.kind === 'undo' ? e.undoes : e.kind === 'amend' ? e.to.id : null;
  const was = events.find((x) => x.id === of);
  if (e.kind === 'undo') return was ? `removed: ${eventText(was, units)}` : eventText(e, units);
  if (e.kind === 'amend' && !was) return `added at ${clock(e.to.at)}: ${eventText(e.to, units)}`;
  if (e.kind !== 'amend' || !was) return eventText(e, units);
  const [before, now] = [eventText(was, units), eventText(e.to, units)];
  const parts = [
    was.at !== e.to.at ? `${clock(was.at)} became ${clock(e.to.at)}` : null,
    was.rig !== e.to.rig ? 'made with another rig' : null,
    before !== now ? `“${before}” became “${now}”` : null,
  ].filter(Boolean);
  return `${before === now ? `${now}: ` : ''}${parts.join(', ') || 'entered again'}`;
}
