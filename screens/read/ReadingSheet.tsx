import { useState } from 'react';
import { View } from 'react-native';
import { format, fromShown, toShown, unitOf } from '@/core/units';
import {
  type Channel,
  COLOURS,
  type DepthAt,
  LEG_MARKS,
  legDepthM,
  type LegMark,
  type Pace,
  PACES,
  type Reading,
  type Run,
  SKIES,
  type Sky,
  type WaterColour,
  type Wind,
  WIND_FROM,
} from '@/core/water';

import { newId, useSave, useSettings } from '@/store/hooks';
import { DepthMarks } from './DepthMarks';
import { Button, Caution, Choice, NumberField, plainOptions, Sheet, space, Text, useToast } from '@/ui';

interface Props {
  run: Run;
  channel: Channel;
  /** What was in force before: the form starts from it. */
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
type WindFrom = Wind['from'];
const DEEPER = 'still seen';
type Toes = LegMark | typeof DEEPER;
const TOES: readonly { value: Toes; label: string }[] = [
  ...plainOptions(LEG_MARKS.map(([m]) => m)),
  { value: DEEPER, label: 'still seen at the hip' },
];

/** Where the main current runs at mid-length: there a float is timed. */
function mainCurrent(c: Channel): { xM: number; yM: number } {
  const i = Math.round((c.nx - 1) / 2);
  let best = 0;
  for (let j = 1; j < c.ny; j++) if (c.u[i * c.ny + j]! > c.u[i * c.ny + best]!) best = j;
  return { xM: c.x0 + i * c.dx, yM: c.y0 + best * c.dy };
}

/** Today's reading, in words or numbers; everything has a start value, nothing must be filled in. */
export function ReadingSheet({ run, channel, today, stationed, onClose }: Props) {
  const [{ units, heightM }] = useSettings();
  const { put, remove } = useSave('reading');
  const toast = useToast();
  const [toes, setToes] = useState<Toes | null>(null);
  const [seen, setSeen] = useState<number | null>(today.visibilityM);
  const [atLeast, setAtLeast] = useState(today.atLeast);
  const [level, setLevel] = useState<number | null>(today.levelM);
  const [colour, setColour] = useState<WaterColour>(today.colour);
  const [sky, setSky] = useState<Sky>(today.sky);
  const [temp, setTemp] = useState<number | null>(today.waterTempC);
  const [way, setWay] = useState<number | null>(null);
  const [seconds, setSeconds] = useState<number | null>(null);
  const [pace, setPace] = useState<Pace | null>(today.pace ?? null);
  const [wind, setWind] = useState<WindFrom | 'none'>(today.wind?.from ?? 'none');
  const [depths, setDepths] = useState<readonly DepthAt[]>([]);
  const [problem, setProblem] = useState<string | null>(null);

  const chooseToes = (mark: Toes) => {
    setToes(mark);
    setAtLeast(mark === DEEPER);
    setSeen(legDepthM(mark === DEEPER ? 'hip' : mark, heightM));
  };
  const speedMps = way !== null && seconds !== null && seconds > 0 ? way / seconds : null;

  const save = async () => {
    const reading: Reading = {
      id: newId(),
      runId: run.id,
      at: Date.now(),
      levelM: level ?? today.levelM,
      visibilityM: seen ?? today.visibilityM,
      atLeast,
      colour,
      speed: speedMps === null ? null : { surfaceMps: speedMps, ...mainCurrent(channel) },
      waterTempC: temp,
      sky,
      ...(pace && speedMps === null ? { pace } : null),
      // What came from the gauge stays the gauge’s as long as it was not changed by hand.
      ...(today.levelFrom === 'gauge' && level === today.levelM ? { levelFrom: 'gauge' as const } : null),
      ...(today.flowM3s ? { flowM3s: today.flowM3s } : null),
      ...(depths.length > 0 ? { depths } : null),
      ...(wind === 'none' ? null : { wind: { from: wind, force: 'fresh' as const } }),
    };
    try {
      await put(reading);
    } catch (error) {
      setProblem((error as Error).message);
      return;
    }
    onClose();
    toast('The run is rebuilt for this reading.', () => void remove(reading.id));
  };

  const shownOf = (q: 'depth' | 'level' | 'length' | 'temperature', si: number | null) =>
    si === null ? null : toShown(q, si, units);
  const siOf = (q: 'depth' | 'level' | 'length' | 'temperature', v: number | null) =>
    v === null ? null : fromShown(q, v, units);
  return (
    <Sheet title="Today’s reading" open onClose={onClose}>
      <Choice label="Where do your boot toes just vanish?" options={TOES} value={toes} onChange={chooseToes} />
      <NumberField
        label={atLeast ? 'One sees at least' : 'One sees down to'}
        unit={unitOf('depth', units)}
        value={shownOf('depth', seen)}
        min={toShown('depth', 0.02, units)}
        max={toShown('depth', 15, units)}
        onChange={(v) => {
          setSeen(siOf('depth', v));
          setToes(null);
          setAtLeast(false);
        }}
      />
      <Choice
        label={stationed ? 'Level against normal (started from the gauge)' : 'Level against normal'}
        options={LEVEL_WORDS}
        value={
          (LEVEL_WORDS.find((w) => Number(w.value) === level)?.value ?? null) as
            (typeof LEVEL_WORDS)[number]['value'] | null
        }
        onChange={(v) => setLevel(Number(v))}
      />
      <NumberField
        label="or above normal by"
        unit={unitOf('level', units)}
        value={shownOf('level', level)}
        digits={0}
        onChange={(v) => setLevel(siOf('level', v))}
      />
      <View style={{ gap: space.xs }}>
        <Text size="small" tone="ink2">
          A stick in the main current (leave empty if you did not time one)
        </Text>
        <View style={{ flexDirection: 'row', gap: space.m }}>
          <View style={{ flex: 1 }}>
            <NumberField
              label="Way"
              unit={unitOf('length', units)}
              value={shownOf('length', way)}
              min={0.1}
              digits={1}
              onChange={(v) => setWay(siOf('length', v))}
            />
          </View>
          <View style={{ flex: 1 }}>
            <NumberField label="Time" unit="s" value={seconds} min={0.5} digits={1} onChange={setSeconds} />
          </View>
        </View>
        {speedMps !== null ? (
          <Text size="strong">{`${format('speed', speedMps, units)} on the surface`}</Text>
        ) : (
          <Choice
            label="or its pace by eye"
            options={(Object.keys(PACES) as Pace[]).map((p) => ({
              value: p,
              label: `${p}, ${format('speed', PACES[p], units)}`,
            }))}
            value={pace}
            onChange={setPace}
          />
        )}
      </View>
      <DepthMarks run={run} channel={channel} units={units} heightM={heightM} depths={depths} onChange={setDepths} />
      <Choice
        label="Wind, seen from your bank"
        options={plainOptions(['none', ...WIND_FROM] as const)}
        value={wind}
        onChange={setWind}
      />
      <Choice label="Colour of the water" options={plainOptions(COLOURS)} value={colour} onChange={setColour} />
      <Choice label="Sky" options={plainOptions(SKIES)} value={sky} onChange={setSky} />
      <NumberField
        label="Water temperature"
        unit={unitOf('temperature', units)}
        value={shownOf('temperature', temp)}
        digits={1}
        onChange={(v) => setTemp(siOf('temperature', v))}
      />
      <Caution>
        Wade to read only where you can stand and come back; a bed can fall from knee to waist in one step.
      </Caution>
      {problem ? <Text role="alert">{problem}</Text> : null}
      <Button label="Keep this reading" kind="primary" big onPress={() => void save()} />
    </Sheet>
  );
}
