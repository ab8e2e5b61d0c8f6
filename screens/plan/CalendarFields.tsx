import { useState } from 'react';
import { Controller, useFormContext } from 'react-hook-form';
import type { Span } from '@/core/plan/spans';
import type { Water } from '@/store/records';
import { Button, Stack, Text } from '@/ui';
import { several } from '@/words/counting';
import { saidOf } from '@/words/said';
import { pickFile } from '../shared/files';
import { dayText } from '../shared/time';
import { HoursField } from './formFields';

const NO_SPANS: readonly Span[] = [];

/** What calendars are read by: it comes when one is chosen. */
type Readers = typeof import('@/formats/calendarsIn');

interface ImportProps<T> {
  label: string;
  hint: string;
  /** One of what it holds, "release". */
  what: string;
  read: (readers: Readers, text: string) => readonly T[];
  onRead: (of: readonly T[]) => void;
}

/** Takes out of a calendar what it holds, and says what came of it. */
function ImportCalendar<T>({ label, hint, what, read, onRead }: ImportProps<T>) {
  const [says, setSays] = useState('');
  const choose = async () => {
    const file = await pickFile('.ics,text/calendar');
    if (!file) return;
    try {
      const of = read(await import('@/formats/calendarsIn'), await file.text());
      onRead(of);
      setSays(`${several(of.length, what)} read. Save the water to keep them.`);
    } catch (error) {
      setSays(saidOf(error));
    }
  };
  return (
    <>
      <Button label={label} hint={hint} icon="in" onPress={() => void choose()} />
      {says ? <Text role="status">{says}</Text> : null}
    </>
  );
}

/** When the dam above releases water: hours as one writes them. */
export function ReleasesField() {
  const { control } = useFormContext<Water>();
  // Read anew out of a file, the field begins with that.
  const [times, setTimes] = useState(0);
  return (
    <Controller
      control={control}
      name="releases"
      render={({ field, fieldState }) => (
        <>
          <HoursField
            key={times}
            label="Dam releases"
            hint="as 7:00-10:00, 17:00-21:00, or 1 May-30 Sep Mon-Fri 7-10; Sat, Sun 9-12. Empty where there is none"
            value={field.value ?? NO_SPANS}
            onChange={(spans) => field.onChange(spans.length > 0 ? spans : undefined)}
            error={fieldState.error?.message ?? null}
          />
          <ImportCalendar
            label="Import releases"
            hint="A calendar of the dam’s operator (.ics)"
            what="release"
            read={({ readReleases }, text) => readReleases(text, Date.now())}
            onRead={(spans) => {
              field.onChange(spans);
              setTimes(times + 1);
            }}
          />
        </>
      )}
    />
  );
}

/** High waters where fish come in from the sea: out of a tide table’s file. */
export function TidesField() {
  const { control } = useFormContext<Water>();
  return (
    <Controller
      control={control}
      name="tides"
      render={({ field }) => (
        <Stack gap="s">
          <ImportCalendar
            label={field.value ? 'Import tides again' : 'Import tides'}
            hint={
              field.value
                ? `${several(field.value.length, 'high water')} entered, until ${dayText(field.value.at(-1)!)}`
                : 'High waters from a tide table (.ics), where fish come in from the sea'
            }
            what="high water"
            read={({ readTides }, text) => readTides(text, Date.now())}
            onRead={field.onChange}
          />
          {field.value ? <Button label="Remove the tides" onPress={() => field.onChange(undefined)} /> : null}
        </Stack>
      )}
    />
  );
}
