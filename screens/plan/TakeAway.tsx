import { useState } from 'react';
import type { planDay } from '@/core/plan/day';
import { clockText, minuteOfDay } from '@/core/plan/spans';
import { placeOf } from '@/core/sight/place';
import { MINUTE_MS } from '@/core/units';
import type { Run } from '@/core/water';
import type { Water } from '@/store/records';
import { Block, Button, Caution, Choice, Hint, plainOptions, Sheet, Stack, Text, useToast } from '@/ui';
import { leaveNote } from '@/words/leaveNote';
import { dayCaution } from '@/words/day';
import { download, fileName } from '../shared/files';
import { clock, dayText } from '../shared/time';

/** Somebody should act so long after one should be back, minutes. */
const LATE_MIN = 60;

interface TakeAwayProps {
  water: Water;
  day: string;
  plan: ReturnType<typeof planDay>;
  runs: readonly Run[];
}

/** The note to leave, the calendar and the page to print. */
export function TakeAway({ water, day, plan, runs }: TakeAwayProps) {
  const toast = useToast();
  const [alone, setAlone] = useState<'alone' | 'with somebody'>('alone');
  const [shown, setShown] = useState(false);
  const [calendar, setCalendar] = useState(false);
  const ids = [...new Set(plan.stops.flatMap((s) => (s.kind === 'run' ? [s.runId] : [])))];
  const place = placeOf(water);
  const note = leaveNote({
    water: water.name,
    day: dayText(plan.leaveAt),
    runs: ids.map((id) => {
      const run = runs.find((r) => r.id === id);
      return { name: run?.name ?? '', place: run?.origin ?? null };
    }),
    place,
    leave: clock(plan.leaveAt),
    back: clock(plan.backAt),
    act: clockText(minuteOfDay(plan.backAt + LATE_MIN * MINUTE_MS)),
    alone: alone === 'alone',
  });
  const send = async () => {
    try {
      if (navigator.share) await navigator.share({ text: note });
      else {
        await navigator.clipboard.writeText(note);
        toast('Note copied. Send it to somebody.');
      }
    } catch {
      // Refused or ended: the note stands there to be copied by hand.
      setShown(true);
    }
  };
  return (
    <Block title="Before you go">
      <Choice
        label="You go"
        options={[
          { value: 'alone', label: 'alone' },
          { value: 'with somebody', label: 'with somebody' },
        ]}
        value={alone}
        onChange={setAlone}
      />
      {alone === 'alone' ? (
        <Caution>Alone: no hard wading, vest on, and tell somebody where you are and when you’ll be back.</Caution>
      ) : null}
      {shown ? <Text aria-label="The note">{note}</Text> : null}
      <Stack gap="s">
        <Button
          label="Send the note"
          hint="Where you are and when you are back, as plain text"
          onPress={() => void send()}
        />
        {shown ? null : <Button label="Show the note" onPress={() => setShown(true)} />}
        <Button
          label="To your calendar"
          hint="iCalendar"
          icon="out"
          disabled={plan.legs.length === 0}
          onPress={() => setCalendar(true)}
        />
        <Button label="Print the day" onPress={() => window.print()} />
      </Stack>
      {calendar ? <CalendarSheet water={water} day={day} plan={plan} onClose={() => setCalendar(false)} /> : null}
    </Block>
  );
}

const TOLD = ['left out', 'told'] as const;

/** The day as a file for a calendar, which others may see: what of the place goes with it is asked. */
function CalendarSheet({ water, day, plan, onClose }: Omit<TakeAwayProps, 'runs'> & { onClose: () => void }) {
  const [names, setNames] = useState<(typeof TOLD)[number]>('left out');
  const [place, setPlace] = useState<(typeof TOLD)[number]>('left out');
  const write = async () => {
    const { dayCalendar } = await import('@/formats/dayCalendar');
    const text = dayCalendar({
      id: day,
      writtenAt: Date.now(),
      water: water.name,
      names: names === 'told',
      legs: plan.legs,
      cautions: plan.cautions.map((c) => dayCaution(c)),
      place: place === 'told' ? placeOf(water) : null,
    });
    const named = names === 'told' ? `-${fileName(water.name)}` : '';
    download(`wanderung-day-${day}${named}.ics`, 'text/calendar', text);
    onClose();
  };
  return (
    <Sheet title="To your calendar" open onClose={onClose}>
      <Hint>Others may see your calendar. Leave out what they shouldn’t know.</Hint>
      <Choice label="Names of water and runs" options={plainOptions(TOLD)} value={names} onChange={setNames} />
      <Choice label="The place" options={plainOptions(TOLD)} value={place} onChange={setPlace} />
      <Button label="Save the day as a file" kind="primary" icon="out" onPress={() => void write()} />
    </Sheet>
  );
}
