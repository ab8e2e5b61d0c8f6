import { useState } from 'react';
import { View } from 'react-native';
import type { EventOf, Happened, LogEvent } from '@/core/logbook';
import { amended, castTakenBack, movedTo, takenBack } from '@/core/logbook/correct';
import { type CastGroup, entryAt, type Entry } from '@/core/logbook/grouped';
import { castsText, eventText } from '@/core/logbook/words';
import { describeRig, itemsOf, type Rig } from '@/core/tackle';
import { fromShown, type Quantity, toShown, unitOf } from '@/core/units';
import { useRecords, useSettings } from '@/store/hooks';
import { Button, Choice, Hint, NumberField, PickRow, plainOptions, Sheet, Stack, Text, TextField } from '@/ui';
import { ItemPicker } from '../shared/ItemPicker';
import { atClock, clock } from '../shared/time';
import { useTakeEdit } from './TakeEdit';
import { scribe } from './useCorrect';

interface Props {
  entry: Entry;
  /** The whole log, and what stands of it. */
  events: readonly LogEvent[];
  all: readonly Happened[];
  quarry: string | null;
  onClose: () => void;
  /** Corrections that were made, and what is said of them. */
  onCorrect: (added: LogEvent[], said: string) => void;
}

/** What an entry can be instead: none of these says more than that it happened. */
const PLAIN = ['bed', 'hang-up', 'fly lost', 'fouled'] as const;
type Plain = (typeof PLAIN)[number];
const isPlain = (e: Happened): e is Happened & { kind: Plain } => (PLAIN as readonly string[]).includes(e.kind);

/** An entry as it was logged, to be said anew or taken out; of casts in a row all of them, or one by one. */
export function EntrySheet(props: Props) {
  const { entry, all, events, onCorrect, onClose } = props;
  const [{ units }] = useSettings();
  const [one, setOne] = useState<EventOf<'cast'> | null>(null);
  if (entry.kind !== 'casts') return <OneEntry {...props} entry={entry} key={entry.id} />;
  if (one) return <OneEntry {...props} entry={one as Happened & EventOf<'cast'>} key={one.id} />;
  const takeOut = () => {
    const by = scribe();
    onCorrect(
      entry.casts.flatMap((c) => castTakenBack(c, events, by)),
      `${entry.casts.length === 1 ? 'The cast was' : `${entry.casts.length} casts were`} taken out.`,
    );
  };
  return (
    <Sheet title={`Casts from ${clock(entryAt(entry))}`} open onClose={onClose}>
      <Text>{castsText(entry, units)}</Text>
      <Rigs
        all={all}
        rig={entry.casts.every((c) => c.rig === entry.casts[0]!.rig) ? entry.casts[0]!.rig : null}
        onRig={(rig) => onCorrect(withRig(entry, rig), 'The casts count for that rig now.')}
      />
      <Stack role="list" aria-label="Casts" gap="s">
        {entry.casts.map((c) => (
          <View key={c.id} role="listitem">
            <PickRow label={clock(c.at)} value={eventText(c as LogEvent, units)} onPress={() => setOne(c)} />
          </View>
        ))}
      </Stack>
      <Button label={entry.casts.length === 1 ? 'Take it out' : 'Take all of them out'} onPress={takeOut} />
    </Sheet>
  );
}

/** A cast that was made otherwise: what the engine said of it as it was logged no longer holds. */
const castAnew = ({ did: _did, ...cast }: EventOf<'cast'>): Happened => cast;

function withRig({ casts }: CastGroup, rig: string): LogEvent[] {
  const by = scribe();
  return casts.filter((c) => c.rig !== rig).map((c) => amended(castAnew({ ...c, rig }), by));
}

/** What was tied on that day, to choose what an entry was done with. */
function Rigs({ all, rig, onRig }: { all: readonly Happened[]; rig: string | null; onRig: (rig: string) => void }) {
  const rigs = new Map<string, Rig>();
  for (const e of all) if (e.kind === 'rig' && e.rig) rigs.set(e.rig, e.set);
  if (rigs.size < 2) return null;
  return (
    <Choice
      label="Made with"
      options={[...rigs].map(([value, r]) => ({ value, label: describeRig(r) }))}
      value={rig}
      onChange={onRig}
    />
  );
}

function OneEntry({ entry, events, all, quarry, onClose, onCorrect }: Omit<Props, 'entry'> & { entry: Happened }) {
  const [{ units }] = useSettings();
  const [draft, setDraft] = useState<Happened>(entry);
  const [time, setTime] = useState(clock(entry.at));
  const casts = all.filter((e) => e.kind === 'cast');
  const rigs = new Map(all.flatMap((e) => (e.kind === 'rig' && e.rig ? [[e.rig, e.set] as const] : [])));
  const at = time === clock(entry.at) ? entry.at : atClock(entry.at, time);
  const isCast = entry.kind === 'cast';

  const save = (to: Happened, cast: EventOf<'cast'> | null) => {
    if (at === null) return;
    if (cast) onCorrect([movedTo(cast, to as EventOf<'take'>, scribe())], 'The take belongs to that cast now.');
    else onCorrect([amended({ ...(to.kind === 'cast' ? castAnew(to) : to), at }, scribe())], 'Corrected.');
  };
  const takeOut = () =>
    onCorrect(isCast ? castTakenBack(entry, events, scribe()) : [takenBack(entry.id, scribe())], 'Taken out.');
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
    <Sheet title={eventText(entry, units)} open onClose={onClose}>
      {when}
      {entry.kind === 'rig' || entry.kind === 'reading' ? null : (
        <Rigs all={all} rig={draft.rig} onRig={(rig) => setDraft({ ...draft, rig })} />
      )}
      {fields}
      <Button label="Keep it so" kind="primary" onPress={keep} />
      <Button label="Take it out" hint="It can be put back under Corrections" onPress={takeOut} />
    </Sheet>
  );
  if (entry.kind === 'take')
    return (
      <TakeFrame
        {...{ take: { ...entry, rig: draft.rig }, casts, quarry, frame }}
        rig={(draft.rig && rigs.get(draft.rig)) || null}
        onKeep={save}
      />
    );
  return frame(<Fields draft={draft} onDraft={setDraft} />, () => save(draft, null));
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

/** What more an entry says, to be said anew. */
function Fields({ draft, onDraft }: { draft: Happened; onDraft: (to: Happened) => void }) {
  const [{ units }] = useSettings();
  const { data: kit } = useRecords('kit');
  const quantity = (
    label: string,
    q: Quantity,
    si: number | null,
    digits: number,
    set: (si: number | null) => void,
  ) => (
    <NumberField
      label={label}
      unit={unitOf(q, units)}
      digits={digits}
      value={si === null ? null : toShown(q, si, units)}
      onChange={(v) => set(v === null ? null : fromShown(q, v, units))}
    />
  );
  /** Where an angler stood. */
  const place = (
    <>
      {draft.xM !== null
        ? quantity('Down the run', 'length', draft.xM, 1, (xM) => onDraft({ ...draft, xM: xM ?? draft.xM }))
        : null}
      {draft.yM !== null
        ? quantity('Out from the bank', 'length', draft.yM, 1, (yM) => onDraft({ ...draft, yM: yM ?? draft.yM }))
        : null}
    </>
  );
  switch (draft.kind) {
    case 'note':
      return (
        <TextField
          label="Note"
          multiline
          value={draft.text}
          onChange={(text) => onDraft({ ...draft, text: text || draft.text })}
        />
      );
    case 'rest':
      return (
        <NumberField
          label="Rested"
          unit="min"
          digits={0}
          min={0}
          max={600}
          value={draft.minutes}
          onChange={(minutes) => onDraft({ ...draft, minutes: minutes ?? draft.minutes })}
        />
      );
    case 'cast': {
      const { plan } = draft;
      const set = (part: Partial<typeof plan>) => onDraft({ ...draft, plan: { ...plan, ...part } });
      return (
        <>
          {quantity('Line out', 'line', plan.outM, 1, (outM) => set({ outM: outM ?? plan.outM }))}
          <NumberField
            label="Angle, from straight downstream"
            unit="°"
            digits={0}
            min={0}
            max={180}
            value={plan.angleDeg}
            onChange={(angleDeg) => set({ angleDeg: angleDeg ?? plan.angleDeg })}
          />
          {place}
        </>
      );
    }
    case 'reading': {
      const r = draft.reading;
      const set = (part: Partial<typeof r>) => onDraft({ ...draft, reading: { ...r, ...part } });
      return (
        <>
          {quantity('Level against normal', 'level', r.levelM, 0, (levelM) => set({ levelM: levelM ?? r.levelM }))}
          {quantity('Seen to', 'depth', r.visibilityM, 2, (v) => set({ visibilityM: v ?? r.visibilityM }))}
          {quantity('Water temperature', 'temperature', r.waterTempC, 1, (waterTempC) => set({ waterTempC }))}
          <Hint>This puts the day’s log right. The reading that the run is rebuilt from is kept under Read.</Hint>
        </>
      );
    }
    case 'estimate':
      return (
        <>
          <NumberField
            label="About how many casts"
            digits={0}
            min={0}
            max={2000}
            value={draft.casts}
            onChange={(casts) => onDraft({ ...draft, casts: casts === null ? null : Math.round(casts) })}
          />
          <NumberField
            label="Takes, without those that stand by themselves"
            digits={0}
            min={0}
            max={500}
            value={draft.takes}
            onChange={(takes) => onDraft({ ...draft, takes: Math.round(takes ?? 0) })}
          />
        </>
      );
    case 'rig': {
      const { set } = draft;
      return (
        <>
          <Text>{describeRig(set)}</Text>
          <Text size="small" tone="ink2">
            The fly that was really on; every cast with it counts for that one.
          </Text>
          <ItemPicker
            type="fly"
            kit={kit ?? []}
            chosenId={set.fly.id}
            rules={null}
            units={units}
            onPick={(id) => {
              const fly = itemsOf(kit ?? [], 'fly').find((f) => f.id === id);
              if (fly) onDraft({ ...draft, set: { ...set, fly } });
            }}
          />
        </>
      );
    }
    default:
      return isPlain(draft) ? (
        <>
          <Choice
            label="What it was"
            options={plainOptions(PLAIN)}
            value={draft.kind}
            onChange={(kind) => onDraft({ ...draft, kind } as Happened)}
          />
          {place}
        </>
      ) : null;
  }
}
