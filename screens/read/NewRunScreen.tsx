import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { type Bed, BEDS, type GuidedPlace, guidedSections, type Run } from '@/core/water';

import { newId, useRecord, useRecords, useSave, useSession, useSettings } from '@/store/hooks';
import { Block, Choice, Hint, plainOptions, Stack, TextField } from '@/ui';
import { QuantityField } from '../shared/QuantityField';
import { useSurvey } from '../shared/useRunDay';
import { DraftScreen } from './DraftScreen';
import { WalkedLength } from './WalkedLength';
import { saidOf } from '@/words/said';

const PLACES = ['At the head', 'Half way', 'At the tail'] as const;
type Place = GuidedPlace & { readonly deepest: (typeof WHERE)[number]['value'] };
const START: [Place, Place, Place] = [
  { widthM: 20, deepestM: 0.7, deepest: 'middle' },
  { widthM: 22, deepestM: 1.3, deepest: 'far' },
  { widthM: 24, deepestM: 0.8, deepest: 'middle' },
];
const COMPASS = [
  { value: '0', label: 'N' },
  { value: '45', label: 'NE' },
  { value: '90', label: 'E' },
  { value: '135', label: 'SE' },
  { value: '180', label: 'S' },
  { value: '225', label: 'SW' },
  { value: '270', label: 'W' },
  { value: '315', label: 'NW' },
] as const;
const WHERE = [
  { value: 'near', label: 'near me' },
  { value: 'middle', label: 'middle' },
  { value: 'far', label: 'far side' },
] as const;

/** A first reading by questions; the picture grows with the answers. */
export function NewRunScreen() {
  const router = useRouter();
  const [session] = useSession();
  const { data: waters } = useRecords('water');
  const picked = useRecord('water', session?.waterId);
  const water = picked ?? waters?.[0] ?? null;
  const { put } = useSave('run');
  const [{ units }] = useSettings();
  const [name, setName] = useState('');
  const [lengthM, setLength] = useState<number | null>(50);
  /** The field shows what was walked. */
  const [walked, setWalked] = useState(0);
  const [bank, setBank] = useState<'left' | 'right'>('left');
  const [bearing, setBearing] = useState<(typeof COMPASS)[number]['value']>('180');
  const [bed, setBed] = useState<Bed>('gravel');
  const [places, setPlaces] = useState(START);
  const [problem, setProblem] = useState<string | null>(null);

  const whole = lengthM !== null && lengthM >= 5 && places.every((p) => p.widthM > 1 && p.deepestM > 0.05);
  const draft: Run | null = whole
    ? {
        id: 'draft',
        waterId: water?.id ?? 'none',
        name: name.trim() || 'New run',
        lengthM,
        bank,
        bearingDeg: Number(bearing),
        bed,
        levelM: 0,
        sections: guidedSections(lengthM, places),
        features: [],
        speed: null,
        notes: '',
      }
    : null;
  const survey = useSurvey(draft, null, water);

  const save = async () => {
    if (!draft || !water) return setProblem('Enter length, widths and depths first.');
    if (name.trim() === '') return setProblem('Give the run a name.');
    const run = { ...draft, id: newId() };
    try {
      await put(run);
    } catch (error) {
      return setProblem(saidOf(error));
    }
    router.replace({ pathname: '/read/[run]', params: { run: run.id } });
  };
  const change = (i: number, part: Partial<Place>) =>
    setPlaces((all) => all.map((p, j) => (j === i ? { ...p, ...part } : p)) as typeof START);

  return (
    <DraftScreen
      title="New run"
      subtitle={water ? `on the ${water.name}` : undefined}
      draft={draft}
      survey={survey.data}
      problem={problem}
      save={{ label: 'Save run', onPress: () => void save() }}
      height={260}
      summary="The run as it looks so far, flowing down the picture"
    >
      <TextField label="Name of the run" value={name} onChange={setName} />
      <Stack row gap="m">
        <View style={{ flex: 1 }}>
          <QuantityField
            key={walked}
            label="Length"
            hint={`a pace is about ${units === 'metric' ? 'a metre' : '3 ft'}`}
            quantity="length"
            value={lengthM}
            min={5}
            max={1000}
            digits={0}
            onChange={setLength}
          />
        </View>
      </Stack>
      <WalkedLength
        onLength={(m) => {
          setLength(m);
          setWalked((n) => n + 1);
        }}
      />
      <Choice
        label="Facing downstream you stand on the"
        options={[
          { value: 'left', label: 'left bank' },
          { value: 'right', label: 'right bank' },
        ]}
        value={bank}
        onChange={setBank}
      />
      {PLACES.map((title, i) => (
        <PlaceFields key={title} title={title} place={places[i]!} onChange={(part) => change(i, part)} />
      ))}
      <Choice label="Bed" options={plainOptions(Object.keys(BEDS) as Bed[])} value={bed} onChange={setBed} />
      <Choice label="Flows towards" options={COMPASS} value={bearing} onChange={setBearing} />
      <Hint>Rough answers will do. Add stones, logs, ledges and exact depths later.</Hint>
    </DraftScreen>
  );
}

interface PlaceProps {
  title: string;
  place: Place;
  onChange: (part: Partial<Place>) => void;
}

/** What one sees from the bank at one place of the run. */
function PlaceFields({ title, place, onChange }: PlaceProps) {
  return (
    <Block title={title}>
      <Stack row gap="m">
        <View style={{ flex: 1 }}>
          <QuantityField
            label="Width"
            quantity="length"
            value={place.widthM}
            min={1.5}
            max={300}
            digits={0}
            onChange={(v) => onChange({ widthM: v ?? 0 })}
          />
        </View>
        <View style={{ flex: 1 }}>
          <QuantityField
            label="Deepest"
            quantity="depth"
            value={place.deepestM}
            min={0.1}
            max={15}
            onChange={(v) => onChange({ deepestM: v ?? 0 })}
          />
        </View>
      </Stack>
      <Choice
        label="Where is it deepest?"
        options={WHERE}
        value={place.deepest}
        onChange={(deepest) => onChange({ deepest })}
      />
    </Block>
  );
}
