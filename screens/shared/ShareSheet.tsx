import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { SHARE_FORMATS, type ShareFormat } from '@/formats/shareFormats';
import { GUARDED, PLACES, type Privacy, TIMES } from '@/formats/privacy';
import { useSettings } from '@/store/hooks';
import { Button, Choice, Hint, plainOptions, Problem, Sheet, Text } from '@/ui';
import { filesWorker } from '@/workers/files';
import { download } from './files';
import { saidOf } from '@/words/said';

interface Props {
  title: string;
  outingIds: readonly string[];
  /** Only what happened on this run. */
  runId?: string | null;
  onClose: () => void;
}

const FORMATS = Object.keys(SHARE_FORMATS) as ShareFormat[];
const YES_NO = [
  { value: 'no', label: 'left out' },
  { value: 'yes', label: 'told' },
] as const;
const PLACE_WORDS: Readonly<Record<Privacy['place'], string>> = {
  'left out': 'The file holds no coordinates, no map and no distances down the run.',
  blurred: 'The file places the water to about ten kilometres, no closer.',
  told: 'The file shows where you stood and where fish took, with maps. Think who may see it.',
};

/** Outings as a file for others: what of the place, the names and the notes goes with it is asked every time. */
export function ShareSheet({ title, outingIds, runId = null, onClose }: Props) {
  const [{ units }] = useSettings();
  const [format, setFormat] = useState<ShareFormat>('page');
  const [privacy, setPrivacy] = useState<Privacy>(GUARDED);
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const { data: hints } = useQuery({
    queryKey: ['hints', outingIds, privacy.names],
    queryFn: () => filesWorker().hints({ outingIds, privacy }),
  });
  const barred = SHARE_FORMATS[format].needsPlace && privacy.place === 'left out';
  const write = async () => {
    setBusy(true);
    setProblem(null);
    try {
      const file = await filesWorker().share({ outingIds, runId, privacy, units, format });
      download(file.name, file.type, file.text);
      onClose();
    } catch (error) {
      setProblem(saidOf(error));
      setBusy(false);
    }
  };
  const told = (label: string, key: 'names' | 'notes' | 'hints') => (
    <Choice
      label={label}
      options={YES_NO}
      value={privacy[key] ? 'yes' : 'no'}
      onChange={(v) => setPrivacy({ ...privacy, [key]: v === 'yes' })}
    />
  );
  return (
    <Sheet title={title} open onClose={onClose}>
      <Choice
        label="As"
        options={FORMATS.map((f) => ({ value: f, label: SHARE_FORMATS[f].label }))}
        value={format}
        onChange={setFormat}
      />
      <Choice
        label="The place"
        options={plainOptions(PLACES)}
        value={privacy.place}
        onChange={(place) => setPrivacy({ ...privacy, place })}
      />
      <Text size="small" tone="ink2">
        {PLACE_WORDS[privacy.place]}
      </Text>
      {told('Names of water and runs', 'names')}
      {told('Notes, and notes on fish', 'notes')}
      <Choice
        label="Times"
        options={plainOptions(TIMES)}
        value={privacy.times}
        onChange={(times) => setPrivacy({ ...privacy, times })}
      />
      {hints && hints.length > 0 ? (
        <>
          <Text>{`${hints.length === 1 ? 'This name' : 'These names'} may give the place or a person away: ${hints.map((h) => `“${h}”`).join(', ')}.`}</Text>
          {told(hints.length === 1 ? 'That name' : 'Those names', 'hints')}
        </>
      ) : null}
      {barred ? <Hint>GPX needs places: blur or tell them, or choose another format.</Hint> : null}
      {problem ? <Problem title="No file written">{problem}</Problem> : null}
      <Button
        label={busy ? 'Writing…' : `Save ${outingIds.length === 1 ? 'outing' : `${outingIds.length} outings`}`}
        kind="primary"
        icon="out"
        disabled={barred || busy}
        onPress={() => void write()}
      />
    </Sheet>
  );
}
