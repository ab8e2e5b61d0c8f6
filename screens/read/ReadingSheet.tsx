import { useState } from 'react';
import { View } from 'react-native';
import { WIND_BLOWS } from '@/words/cast';
// not the barrel: this weighs on the first look
import {
  type Channel,
  COLOURS,
  isRead,
  LEG_MARKS,
  type Pace,
  PACES,
  type Reading,
  type Run,
  SIGHTINGS,
  SKIES,
  WIND_FORCES,
  WIND_FROM,
} from '@/core/water';

import { clamp, roundTo } from '@/core/maths';
import { eyeOf } from '@/core/practice/eye';
import { useRecords, useSave, useSettings } from '@/store/hooks';
import {
  Button,
  Caution,
  Choice,
  later,
  ManyChoice,
  NumberField,
  plainOptions,
  Sheet,
  Stack,
  Text,
  useToast,
} from '@/ui';
import { LessonLink } from '../shared/LessonLink';
import { QuantityField } from '../shared/QuantityField';
import { YesNo } from '../shared/YesNo';
import { DepthMarks } from './DepthMarks';
import { DEEPER, type DraftProps, flowNow, isEmpty, readingOf, speedOf, useReadingDraft } from './useReadingDraft';
import { correctPaceWords } from '@/words/practice';
import { format, formatLevel } from '@/words/units';
import { saidOf } from '@/words/said';

const PhotoSheet = later(
  () => import('./PhotoSheet'),
  (m) => m.PhotoSheet,
);

interface Props {
  run: Run;
  channel: Channel;
  /** What is in force: what is not entered goes on as it is there. */
  today: Reading;
  stationed: boolean;
  onClose: () => void;
}

const LEVEL_WORDS = [
  { value: '-0.15', label: 'low' },
  { value: '0', label: 'normal' },
  { value: '0.15', label: 'a bit up' },
  { value: '0.4', label: 'high' },
  { value: '0.8', label: 'flood' },
] as const;
const WINDS = [
  { value: 'none', label: 'no wind' },
  ...WIND_FROM.map((value) => ({ value, label: WIND_BLOWS[value] })),
] as const;
const TOES = [...plainOptions(LEG_MARKS.map(([m]) => m)), { value: DEEPER, label: 'still seen at the hip' }] as const;

/** Today's reading, in words or numbers; nothing is preselected, and nothing must be filled in. */
export function ReadingSheet({ run, channel, today, stationed, onClose }: Props) {
  const [{ units, heightM }] = useSettings();
  const { put, remove } = useSave('reading');
  const toast = useToast();
  const { draft, set, setToes } = useReadingDraft();
  const [problem, setProblem] = useState<string | null>(null);
  const [photo, setPhoto] = useState(false);
  const save = async () => {
    if (isEmpty(draft)) {
      onClose();
      toast('No entry, so no reading saved.');
      return;
    }
    const reading = readingOf(draft, today, run, channel);
    try {
      await put(reading);
    } catch (error) {
      setProblem(saidOf(error));
      return;
    }
    onClose();
    toast('Reading saved. The run is rebuilt for it.', () => void remove(reading.id));
  };
  return (
    <Sheet title="Today’s reading" open onClose={onClose}>
      <Choice label="At what depth do your boot toes disappear?" options={TOES} value={draft.toes} onChange={setToes} />
      <QuantityField
        label={draft.atLeast ? 'Visibility at least' : 'Visibility'}
        hint={`Now: ${format('depth', today.visibilityM, units)}${isRead(today, 'visibility') ? '' : ', a guess'}`}
        quantity="depth"
        value={draft.seenM}
        min={0.02}
        max={15}
        onChange={(seenM) => set({ seenM, toes: null, atLeast: false })}
      />
      <Button
        label="or measure it from a photo"
        hint="Something white at a known depth"
        onPress={() => setPhoto(true)}
      />
      <LessonLink lesson="boots" />
      <ManyChoice
        label="What have you seen? Tap what there is"
        options={plainOptions(SIGHTINGS)}
        values={draft.seen}
        onChange={(seen) => set({ seen })}
      />
      <LevelFields draft={draft} set={set} now={today} stationed={stationed} />
      <CurrentFields draft={draft} set={set} />
      <LessonLink lesson="stick" />
      <DepthMarks
        run={run}
        channel={channel}
        units={units}
        heightM={heightM}
        depths={draft.depths}
        onChange={(depths) => set({ depths })}
      />
      <WeatherFields draft={draft} set={set} />
      <Caution>
        Wade to read only where you can stand and come back; a bed can fall from knee to waist in one step.
      </Caution>
      {problem ? <Text role="alert">{problem}</Text> : null}
      {photo ? (
        <PhotoSheet
          onClose={() => setPhoto(false)}
          onTake={({ visibilityM, atLeast, colour }) => {
            set({ seenM: Math.round(100 * visibilityM) / 100, toes: null, atLeast, ...(colour ? { colour } : null) });
            setPhoto(false);
          }}
        />
      ) : null}
      <Button label="Save reading" kind="primary" big onPress={() => void save()} />
    </Sheet>
  );
}

/** In a word, or by a number. */
function LevelFields({ draft, set, now, stationed }: DraftProps & { now: Reading; stationed: boolean }) {
  const [{ units }] = useSettings();
  const flowM3s = flowNow(draft, now);
  return (
    <>
      <Choice
        label="Level against normal"
        options={LEVEL_WORDS}
        value={LEVEL_WORDS.find((w) => Number(w.value) === draft.levelM)?.value ?? null}
        onChange={(v) => set({ levelM: Number(v) })}
      />
      <QuantityField
        label="or above normal by"
        quantity="level"
        value={draft.levelM}
        digits={0}
        hint={`Now: ${formatLevel(now.levelM, units)}${stationed && now.levelFrom === 'gauge' ? ', from the gauge' : now.levelFrom === 'guess' ? ', a guess' : ''}`}
        onChange={(levelM) => set({ levelM })}
      />
      <QuantityField
        label="Flow, if a gauge tells it"
        quantity="flow"
        value={draft.flowM3s}
        min={0.001}
        max={1e4}
        digits={units === 'imperial' ? 0 : 1}
        hint={flowM3s ? `Now: ${format('flow', flowM3s, units)}` : undefined}
        onChange={(entered) => set({ flowM3s: entered })}
      />
    </>
  );
}

/** Nobody’s eye is further off than this. */
const CORRECTED = [1 / 3, 3] as const;

/** How many times the true current one’s eye reads, as the practice ground shows; null where that is no more than chance. */
function usePractisedBias(): number | null {
  const { data: played } = useRecords('practice');
  const eye = played && eyeOf(played).find((e) => e.kind === 'speed');
  return eye?.biased && eye.bias !== null ? clamp(eye.bias, ...CORRECTED) : null;
}

/** By a stick and a watch, or by eye. */
function CurrentFields({ draft, set }: DraftProps) {
  const [{ units }] = useSettings();
  const speedMps = speedOf(draft);
  const bias = usePractisedBias();
  return (
    <Stack gap="xs">
      <Text size="small" tone="ink2">
        A stick in the main current (leave empty if you did not time one)
      </Text>
      <Stack row gap="m">
        <View style={{ flex: 1 }}>
          <QuantityField
            label="Way"
            quantity="length"
            value={draft.wayM}
            min={0.05}
            digits={1}
            onChange={(wayM) => set({ wayM })}
          />
        </View>
        <View style={{ flex: 1 }}>
          <NumberField
            label="Time"
            unit="s"
            value={draft.seconds}
            min={0.5}
            digits={1}
            onChange={(seconds) => set({ seconds })}
          />
        </View>
      </Stack>
      {speedMps !== null ? (
        <Text size="strong">{`${format('speed', speedMps, units)} on the surface`}</Text>
      ) : (
        <Choice
          label="or judge the pace by eye"
          options={(Object.keys(PACES) as Pace[]).map((p) => ({
            value: p,
            label: `${p}, ${format('speed', PACES[p], units)}`,
          }))}
          value={draft.pace}
          onChange={(pace) => set({ pace })}
        />
      )}
      {speedMps === null && draft.pace && bias !== null ? (
        <YesNo
          label={correctPaceWords(bias)}
          value={draft.paceTimes !== null}
          onChange={(yes) => set({ paceTimes: yes ? roundTo(100, bias) : null })}
        />
      ) : null}
    </Stack>
  );
}

function WeatherFields({ draft, set }: DraftProps) {
  return (
    <>
      <Choice label="Wind blows" options={WINDS} value={draft.wind} onChange={(wind) => set({ wind })} />
      {draft.wind && draft.wind !== 'none' ? (
        <Choice
          label="How hard"
          options={plainOptions(WIND_FORCES)}
          value={draft.force}
          onChange={(force) => set({ force })}
        />
      ) : null}
      <Choice
        label="Colour of the water"
        options={plainOptions(COLOURS)}
        value={draft.colour}
        onChange={(colour) => set({ colour })}
      />
      <Choice label="Sky" options={plainOptions(SKIES)} value={draft.sky} onChange={(sky) => set({ sky })} />
      <QuantityField
        label="Water temperature"
        quantity="temperature"
        value={draft.tempC}
        digits={1}
        onChange={(tempC) => set({ tempC })}
      />
    </>
  );
}
