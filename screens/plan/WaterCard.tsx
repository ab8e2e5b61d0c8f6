import { View } from 'react-native';
import type { WaterChoice } from '@/core/plan/waters';
import { useSettings } from '@/store/hooks';
import { Button, radius, space, Stack, Text, themed } from '@/ui';
import { choiceWords } from '@/words/colour';
import { behindWords, insteadWords, waterReason } from '@/words/waters';
import { capital } from '@/words/capital';

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
  text: { flex: 1, minWidth: 0 },
}));

const MARKS = { for: '+', against: '−', neutral: '·' } as const;

/** A water on a day: the verdict and what speaks for and against it. */
export function WaterCard({
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
  const [{ units }] = useSettings();
  return (
    <View style={[s.card, chosen && s.chosen]}>
      <Stack row wrap gap="s" align="baseline" justify="space-between">
        <Text size="heading" level={2}>
          {choice.name}
        </Text>
        <Text size="strong">{capital(choice.verdict)}</Text>
      </Stack>
      {choice.behind && choice.verdict !== 'closed' ? (
        <Text size="small" tone="ink2">
          {behindWords(choice.behind)}
        </Text>
      ) : null}
      <Text>{choiceWords(choice)}</Text>
      {choice.instead ? <Text>{insteadWords(choice.instead)}</Text> : null}
      <Stack gap="xs">
        {(choice.verdict === 'closed' ? [] : choice.reasons).map((r) => (
          <View key={waterReason(r, units)} style={s.reason}>
            <Text style={s.mark} aria-label={r.tone === 'neutral' ? 'beside' : r.tone}>
              {MARKS[r.tone]}
            </Text>
            <View style={s.text}>
              <Text size={r.tone === 'against' ? 'strong' : 'small'}>{waterReason(r, units)}</Text>
            </View>
          </View>
        ))}
      </Stack>
      <Stack row wrap gap="s">
        <Button label={`Plan ${choice.name}`} onPress={onGo} style={{ flexGrow: 1 }} />
        <Button label="Add word of mouth" hint={`About ${choice.name}`} onPress={onHearsay} />
      </Stack>
    </View>
  );
}
