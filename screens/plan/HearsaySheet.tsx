import { useState } from 'react';
import { View } from 'react-native';
import { newId, useRecords, useSave } from '@/store/hooks';
import type { Report, Water } from '@/store/records';
import { Button, IconButton, Sheet, Stack, Stepper, Text, TextField, useToast } from '@/ui';
import { dayText } from '../shared/time';
import { useNow } from '../shared/useNow';
import { YesNo } from '../shared/YesNo';
import { DAY_MS } from '@/core/units';
import { saidOf } from '@/words/said';

/** What somebody said of a water: kept with who and when. */
export function HearsaySheet({ water, onClose }: { water: Water; onClose: () => void }) {
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
    if (!report.source) return setProblem('Enter who said it: word of mouth without a source is worth nothing later.');
    try {
      await put(report);
    } catch (error) {
      return setProblem(saidOf(error));
    }
    onClose();
    toast('Word of mouth saved.', () => void remove(id));
  };
  return (
    <Sheet title={`Word of mouth: ${water.name}`} open onClose={onClose}>
      <TextField label="Source" value={source} onChange={setSource} hint="a shop, a guide, a friend" />
      <TextField label="What" value={text} onChange={setText} multiline />
      <Stepper
        label="Day"
        text={dayText(now - daysAgo * DAY_MS)}
        lessLabel="A day earlier"
        moreLabel="A day later"
        canMore={daysAgo > 0}
        onLess={() => setDaysAgo((d) => d + 1)}
        onMore={() => setDaysAgo((d) => Math.max(0, d - 1))}
      />
      <YesNo label="Somebody fished the water that day" value={fished} onChange={setFished} />
      {problem ? <Text role="alert">{problem}</Text> : null}
      <Button label="Save" kind="primary" onPress={() => void save()} />
      {own.length > 0 ? (
        <Stack gap="s" role="list" aria-label="Earlier word of mouth">
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
