import { useState } from 'react';
import { View } from 'react-native';
import { type EventOf, type Happened, type LogEvent, rigsOf } from '@/core/logbook';
import { amended, castTakenBack, missedRig, movedTo, takenBack, withoutDid } from '@/core/logbook/correct';
import { type CastGroup, entryAt, type Entry } from '@/core/logbook/grouped';
import { castsText, eventText } from '@/words/log';
import { describeRig, type Rig } from '@/core/tackle';
import { useSettings } from '@/store/hooks';
import { Button, Choice, PickRow, Sheet, Stack, Text, TextField } from '@/ui';
import { clock, nearestClock } from '../shared/time';
import { EntryFields } from './EntryFields';
import { useTakeEdit } from './TakeEdit';
import { scribe } from './useCorrect';
import { several } from '@/words/counting';

interface Props {
  /** null: something that was missed is added. */
  entry: Entry | null;
  /** The whole log, and what stands of it. */
  events: readonly LogEvent[];
  all: readonly Happened[];
  quarry: string | null;
  onClose: () => void;
  /** Corrections that were made, and what is said of them. */
  onCorrect: (added: LogEvent[], said: string) => void;
}

/** An entry as it was logged, to be said anew or taken out; of casts in a row all of them, or one by one. */
export function EntrySheet(props: Props) {
  const { entry, all, events, onCorrect, onClose } = props;
  const [{ units }] = useSettings();
  const [one, setOne] = useState<EventOf<'cast'> | null>(null);
  if (entry === null) return <Missed {...props} />;
  if (entry.kind !== 'casts') return <OneEntry {...props} entry={entry} key={entry.id} />;
  if (one) return <OneEntry {...props} entry={one as Happened & EventOf<'cast'>} key={one.id} />;
  const takeOut = () => {
    const by = scribe();
    onCorrect(
      entry.casts.flatMap((c) => castTakenBack(c, events, by)),
      `${several(entry.casts.length, 'cast')} removed.`,
    );
  };
  return (
    <Sheet title={`Casts from ${clock(entryAt(entry))}`} open onClose={onClose}>
      <Text>{castsText(entry, units)}</Text>
      <Rigs
        all={all}
        rig={entry.casts.every((c) => c.rig === entry.casts[0]!.rig) ? entry.casts[0]!.rig : null}
        onRig={(rig) => onCorrect(withRig(entry, rig), 'The casts now count for that rig.')}
      />
      <Stack role="list" aria-label="Casts" gap="s">
        {entry.casts.map((c) => (
          <View key={c.id} role="listitem">
            <PickRow label={clock(c.at)} value={eventText(c as LogEvent, units)} onPress={() => setOne(c)} />
          </View>
        ))}
      </Stack>
      <Button label={entry.casts.length === 1 ? 'Remove' : 'Remove all'} onPress={takeOut} />
    </Sheet>
  );
}

function withRig({ casts }: CastGroup, rig: string): LogEvent[] {
  const by = scribe();
  return casts.filter((c) => c.rig !== rig).map((c) => amended(withoutDid({ ...c, rig } as Happened), by));
}

/** What was tied on that day, to choose what an entry was done with. */
function Rigs({ all, rig, onRig }: { all: readonly Happened[]; rig: string | null; onRig: (rig: string) => void }) {
  const rigs = rigsOf(all);
  if (rigs.size < 2) return null;
  return (
    <Choice
      label="Cast with"
      options={[...rigs].map(([value, r]) => ({ value, label: describeRig(r) }))}
      value={rig}
      onChange={onRig}
    />
  );
}

type OneProps = Omit<Props, 'entry'> & {
  entry: Happened;
  /** It is not in the log yet. */
  missed?: boolean;
};

/** What one may forget to log as it happens. */
const FORGOTTEN = { take: 'a take', rig: 'something tied on', note: 'a note' } as const;

/** Something that happened and was not logged, at about the time when it did. */
function Missed(props: Props) {
  const { all, onClose } = props;
  const [kind, setKind] = useState<keyof typeof FORGOTTEN | null>(null);
  const [id] = useState(() => scribe().id());
  const last = all.at(-1)!;
  const rig = all.findLast((e) => e.kind === 'rig');
  const { runId, xM, yM } = last;
  const base = { id, at: last.at, runId, xM, yM, rig: last.rig };
  const entry: Happened | null =
    kind === 'take'
      ? { ...base, kind, where: null, sign: null, what: 'pluck', juvenile: false, fish: null }
      : kind === 'rig' && rig
        ? { ...base, kind, set: rig.set, rig: id }
        : kind === 'note'
          ? { ...base, kind, text: 'What I forgot to note' }
          : null;
  if (entry) return <OneEntry {...props} entry={entry} key={kind} missed />;
  return (
    <Sheet title="Missed entry" open onClose={onClose}>
      {(Object.keys(FORGOTTEN) as (keyof typeof FORGOTTEN)[])
        .filter((k) => k !== 'rig' || rig)
        .map((k) => (
          <PickRow key={k} label="" value={FORGOTTEN[k]} onPress={() => setKind(k)} />
        ))}
    </Sheet>
  );
}

function OneEntry({ entry, events, all, quarry, onClose, onCorrect, missed }: OneProps) {
  const [{ units }] = useSettings();
  const [draft, setDraft] = useState<Happened>(entry);
  const [time, setTime] = useState(clock(entry.at));
  const casts = all.filter((e) => e.kind === 'cast');
  const rigs = rigsOf(all);
  const at = time === clock(entry.at) ? entry.at : nearestClock(entry.at, time);
  const isCast = entry.kind === 'cast';

  const save = (to: Happened, cast: EventOf<'cast'> | null) => {
    if (at === null) return;
    if (missed && to.kind === 'rig')
      onCorrect(missedRig(events, to.set, at, to.rig!, scribe()), 'Added: casts from then on count for it.');
    else if (missed) onCorrect([amended(ofItsTime({ ...to, at }, all), scribe())], 'Added.');
    else if (cast) onCorrect([movedTo(cast, to as EventOf<'take'>, scribe())], 'The take belongs to that cast now.');
    else onCorrect([amended({ ...withoutDid(to), at }, scribe())], 'Corrected.');
  };
  const takeOut = () =>
    onCorrect(isCast ? castTakenBack(entry, events, scribe()) : [takenBack(entry.id, scribe())], 'Removed.');
  const when = (
    <TextField
      label="Time"
      value={time}
      onChange={setTime}
      hint="Hours and minutes, as 14:05"
      error={at === null ? 'Enter hours and minutes, as 14:05.' : null}
    />
  );
  const frame = (fields: React.ReactNode, keep: () => void) => (
    <Sheet title={missed ? 'Missed entry' : eventText(entry, units)} open onClose={onClose}>
      {when}
      {missed || entry.kind === 'rig' || entry.kind === 'reading' ? null : (
        <Rigs all={all} rig={draft.rig} onRig={(rig) => setDraft({ ...draft, rig })} />
      )}
      {fields}
      <Button label="Save changes" kind="primary" onPress={keep} />
      {missed ? null : <Button label="Remove" hint="Can be undone under Corrections" onPress={takeOut} />}
    </Sheet>
  );
  if (entry.kind === 'take')
    return (
      <TakeFrame
        {...{ take: { ...entry, rig: draft.rig }, casts: missed ? [] : casts, quarry, frame }}
        rig={(draft.rig && rigs.get(draft.rig)) || null}
        onKeep={save}
      />
    );
  return frame(<EntryFields draft={draft} onDraft={setDraft} />, () => save(draft, null));
}

/** Run, place and rig of what was done last before a moment: a take was on that cast. */
function ofItsTime(e: Happened, all: readonly Happened[]): Happened {
  const before = all.findLast((x) => x.at <= e.at) ?? all[0]!;
  const { runId, xM, yM, rig } = before;
  return { ...e, runId, xM, yM, rig };
}

interface TakeProps {
  take: EventOf<'take'>;
  casts: readonly EventOf<'cast'>[];
  rig: Rig | null;
  quarry: string | null;
  frame: (fields: React.ReactNode, keep: () => void) => React.ReactNode;
  onKeep: (to: Happened, cast: EventOf<'cast'> | null) => void;
}
function TakeFrame({ take, casts, rig, quarry, frame, onKeep }: TakeProps) {
  const { value, fields, cast } = useTakeEdit(take, casts, rig, quarry);
  return frame(fields, () => onKeep({ ...value, rig: take.rig } as Happened, cast));
}
