import { useState } from 'react';
import { CLOUD_OF, WIND_OF, weatherOfDay } from '@/core/gauge/weather';
import { newId, useRecords, useSave } from '@/store/hooks';
import type { OwnWeather, Water } from '@/store/records';
import { Button, Choice, Hint, plainOptions, Problem, Sheet, Text, useToast } from '@/ui';
import { bytesOf, pickFile } from '../shared/files';
import { QuantityField } from '../shared/QuantityField';
import { dayText, startOfDay } from '../shared/time';
import { saidOf } from '@/words/said';

const SKIES = Object.keys(CLOUD_OF) as (keyof typeof CLOUD_OF)[];
const WINDS = Object.keys(WIND_OF) as (keyof typeof WIND_OF)[];
const FROM = ['N', 'NE', 'E', 'SE', 'S', 'SW', 'W', 'NW'] as const;
/** Days and files that are kept of a water; older ones go. */
const MOST_KEPT = 8;
const LARGEST_FILE = 5e6;

/** The weather of a water for a day, by hand, or hour by hour out of a forecast’s file. */
export function WeatherSheet({ water, day, onClose }: { water: Water; day: string; onClose: () => void }) {
  const { put, remove } = useSave('weather');
  const { data: kept } = useRecords('weather');
  const toast = useToast();
  const [sky, setSky] = useState<(typeof SKIES)[number] | null>(null);
  const [airC, setAir] = useState<number | null>(null);
  const [wind, setWind] = useState<(typeof WINDS)[number] | null>(null);
  const [from, setFrom] = useState<(typeof FROM)[number] | null>(null);
  const [rainMm, setRain] = useState<'0' | '3' | '10' | '25' | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const whole = sky !== null && airC !== null && wind !== null && (wind === 'calm' || from !== null) && rainMm !== null;

  const store = async (own: Omit<OwnWeather, 'id' | 'waterId' | 'at'>, says: string) => {
    const id = newId();
    try {
      await put({ id, waterId: water.id, at: Date.now(), ...own });
    } catch (error) {
      return setProblem(saidOf(error));
    }
    const old = (kept ?? []).filter((w) => w.waterId === water.id).sort((a, b) => b.at - a.at);
    for (const w of old.slice(MOST_KEPT - 1)) void remove(w.id);
    onClose();
    toast(says, () => void remove(id));
  };
  const enter = () => {
    if (!whole) return;
    const hours = weatherOfDay(startOfDay(day), {
      ...{ cloud: CLOUD_OF[sky], airTempC: airC, rainMm: Number(rainMm), windMps: WIND_OF[wind] },
      windFromDeg: from === null ? 0 : 45 * FROM.indexOf(from),
    });
    void store({ file: null, hours }, 'Weather saved.');
  };
  const importFile = async () => {
    const file = await pickFile('.csv,.tsv,.txt,.json,text/csv,text/plain,application/json');
    if (!file) return;
    try {
      const { decodeText, readWeather } = await import('@/store/parsers');
      const { hours, said } = readWeather(decodeText(await bytesOf(file, LARGEST_FILE)));
      await store(
        { file: file.name.slice(0, 100), hours },
        [`${hours.length} hours of weather imported`, ...said].join('; '),
      );
    } catch (error) {
      setProblem(saidOf(error));
    }
  };
  return (
    <Sheet title={`Weather, ${dayText(startOfDay(day))}`} open onClose={onClose}>
      <Choice label="Sky" options={plainOptions(SKIES)} value={sky} onChange={setSky} />
      <QuantityField label="Air at midday" quantity="temperature" value={airC} digits={0} onChange={setAir} />
      <Choice label="Wind" options={plainOptions(WINDS)} value={wind} onChange={setWind} />
      {wind !== null && wind !== 'calm' ? (
        <Choice label="Wind from" options={plainOptions(FROM)} value={from} onChange={setFrom} />
      ) : null}
      <Choice
        label="Rain that day"
        options={[
          { value: '0', label: 'none' },
          { value: '3', label: 'showers' },
          { value: '10', label: 'rain' },
          { value: '25', label: 'heavy rain' },
        ]}
        value={rainMm}
        onChange={setRain}
      />
      {problem ? <Problem title="Couldn’t save the weather">{problem}</Problem> : null}
      <Button label="Save weather" kind="primary" disabled={!whole} onPress={enter} />
      <Button
        label="Import a forecast"
        hint="CSV or JSON of any service, hour by hour"
        onPress={() => void importFile()}
      />
      <Text size="small" tone="ink2">
        Columns: time, air_c, rain_mm, cloud_pct, wind_mps, wind_from_deg.
      </Text>
      <Hint>Your entry holds for the whole day.</Hint>
    </Sheet>
  );
}
