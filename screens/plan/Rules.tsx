import type { Water } from '@/store/records';

import { useSettings } from '@/store/hooks';

import { Block, Button, Caution, Text } from '@/ui';
import { hoursText, monthDayText } from '@/words/rules';
import { format } from '@/words/units';

/** The rules of the water as they were entered. */
export function Rules({ water, onEdit }: { water: Water; onEdit: () => void }) {
  const [{ units }] = useSettings();
  const r = water.rules;
  if (!r)
    return (
      <Block title="Rules">
        <Caution>Rules: not entered yet. Check before you fish.</Caution>
        <Button label="Enter the rules" icon="edit" onPress={onEdit} />
      </Block>
    );
  const lines = [
    r.maxFlies === 1 ? 'One fly.' : `Up to ${r.maxFlies === 2 ? 'two' : 'three'} flies.`,
    r.barbless ? 'Barbless hooks.' : null,
    r.noAddedWeight ? 'No weighted flies.' : null,
    r.noScent ? 'No scent.' : null,
    r.hours ? `Open from ${hoursText(r.hours)}.` : null,
    r.closedRuns?.length
      ? `${r.closedRuns.length === 1 ? 'One reach is' : `${r.closedRuns.length} reaches are`} closed.`
      : null,
    r.season ? `Season ${monthDayText(r.season.from)} to ${monthDayText(r.season.to)}.` : 'Open all year.',
    r.closesAtC !== null ? `Closes at ${format('temperature', r.closesAtC, units)}.` : null,
    r.text || null,
  ].filter((l): l is string => l !== null);
  return (
    <Block title="Rules, as entered">
      <Text>{lines.join(' ')}</Text>
      <Text size="small" tone="ink2">
        {r.source ? `From: ${r.source}. ` : ''}The authority’s current text decides, not this page.
      </Text>
      <Button label="Change water or rules" icon="edit" onPress={onEdit} />
    </Block>
  );
}
