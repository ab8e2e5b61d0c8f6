import { useState } from 'react';
import type { Happened, LogEvent } from '@/core/logbook';
import { amended } from '@/core/logbook/correct';
import type { Outing } from '@/store/records';
import { Block, Button, Hint, PickRow, Sheet, Stack, Text, TextField } from '@/ui';
import { ShareSheet } from '../shared/later';
import { atClock, clock, dayOf, longDayText, nearestClock, startOfDay } from '../shared/time';
import { type OutingRow, tallyText } from './outings';
import { scribe, type useCorrect } from './useCorrect';
import { MINUTE_MS } from '@/core/units';

interface Props {
  outing: Outing;
  events: readonly LogEvent[];
  all: readonly Happened[];
  rows: readonly OutingRow[];
  correct: ReturnType<typeof useCorrect>;
}
type Open = 'hours' | 'split' | 'join' | 'share';

/** What can be done with a whole outing. */
export function OutingActions(p: Props) {
  const [open, setOpen] = useState<Open | null>(null);
  const close = () => setOpen(null);
  return (
    <Block title="This outing">
      <Stack>
        <Button
          label="Share outing"
          icon="out"
          hint="Without the place, unless you say so"
          onPress={() => setOpen('share')}
        />
        <Button label="Change day or hours" onPress={() => setOpen('hours')} />
        <Button label="Split outing" hint="At lunch, or where another day began" onPress={() => setOpen('split')} />
        <Button label="Join with another outing" onPress={() => setOpen('join')} />
        <Button label="Remove outing" onPress={() => p.correct.remove(p.outing, p.events)} />
      </Stack>
      {open === 'hours' ? <HoursSheet {...p} onClose={close} /> : null}
      {open === 'split' ? <SplitSheet {...p} onClose={close} /> : null}
      {open === 'join' ? <JoinSheet {...p} onClose={close} /> : null}
      {open === 'share' ? <ShareSheet title="Share this outing" outingIds={[p.outing.id]} onClose={close} /> : null}
    </Block>
  );
}

type SheetProps = Props & { onClose: () => void };

/** The day and the first hour; everything that was logged moves with it. */
function HoursSheet({ outing, events, all, correct, onClose }: SheetProps) {
  const [day, setDay] = useState(dayOf(outing.startedAt));
  const [from, setFrom] = useState(clock(outing.startedAt));
  const goodDay = /^\d{4}-\d\d-\d\d$/.test(day) && dayOf(startOfDay(day)) === day;
  const at = goodDay ? atClock(startOfDay(day), from) : null;
  const [opened] = useState(() => Date.now());
  const late = at !== null && at > opened;
  const keep = () => {
    if (at === null || late) return;
    // Seconds are not asked for.
    const by = at - Math.floor(outing.startedAt / MINUTE_MS) * MINUTE_MS;
    const once = scribe();
    onClose();
    if (by !== 0)
      correct.amend(
        outing,
        events,
        all.map((e) => amended({ ...e, at: e.at + by }, once)),
        'Outing moved.',
      );
  };
  return (
    <Sheet title="Day and hours" open onClose={onClose}>
      <TextField
        label="Day"
        value={day}
        onChange={setDay}
        hint="Year, month and day, as 2026-05-04"
        error={goodDay ? null : 'Enter year, month and day, as 2026-05-04.'}
      />
      <TextField
        label="Began at"
        value={from}
        onChange={setFrom}
        error={
          goodDay && at === null ? 'Enter hours and minutes, as 07:30.' : late ? 'That day is still to come.' : null
        }
      />
      <Hint>All entries move with it. Correct single entries under Hour by hour.</Hint>
      <Button label="Move outing" kind="primary" onPress={keep} />
    </Sheet>
  );
}

/** Two entries with so much between them may be the end of one outing and the beginning of another. */
const GAP_MIN = 20;
const GAPS = 5;

function SplitSheet({ outing, all, correct, onClose }: SheetProps) {
  const [text, setText] = useState('');
  const typed = nearestClock((all[0]!.at + all.at(-1)!.at) / 2, text);
  const gaps = all
    .slice(1)
    .map((e, i) => ({ from: all[i]!.at, to: e.at }))
    .filter((g) => g.to - g.from >= GAP_MIN * MINUTE_MS)
    .sort((a, b) => b.to - b.from - (a.to - a.from))
    .slice(0, GAPS)
    .sort((a, b) => a.from - b.from);
  const go = (at: number) => {
    onClose();
    correct.split(outing, at);
  };
  return (
    <Sheet title="Split outing" open onClose={onClose}>
      <Text>The later part becomes an outing of its own, with the run, the rig and the reading in force.</Text>
      {gaps.map((g) => (
        <PickRow
          key={g.from}
          label="Between"
          value={`${clock(g.from)} and ${clock(g.to)}`}
          detail={`${Math.round((g.to - g.from) / MINUTE_MS)} minutes without an entry`}
          onPress={() => go(g.to)}
        />
      ))}
      <TextField
        label="Or at"
        value={text}
        onChange={setText}
        hint="Hours and minutes, as 12:30"
        error={text !== '' && typed === null ? 'Enter hours and minutes, as 12:30.' : null}
      />
      <Button label="Split here" kind="primary" onPress={() => typed !== null && go(typed)} />
    </Sheet>
  );
}

const JOINABLE = 12;

function JoinSheet({ outing, rows, correct, onClose }: SheetProps) {
  const near = rows
    .filter((r) => r.outing.id !== outing.id && r.outing.waterId === outing.waterId)
    .sort((a, b) => Math.abs(a.outing.startedAt - outing.startedAt) - Math.abs(b.outing.startedAt - outing.startedAt))
    .slice(0, JOINABLE);
  return (
    <Sheet title="Join it with" open onClose={onClose}>
      <Text>Outings on the same water, the nearest in time first. They become one under the earlier day.</Text>
      {near.length === 0 ? <Text tone="ink2">There is no other outing on this water.</Text> : null}
      {near.map((r) => (
        <PickRow
          key={r.outing.id}
          label={`${longDayText(r.outing.startedAt)}, ${clock(r.outing.startedAt)}`}
          value={tallyText(r.log)}
          onPress={() => {
            onClose();
            correct.join(outing, r.outing.id);
          }}
        />
      ))}
    </Sheet>
  );
}
