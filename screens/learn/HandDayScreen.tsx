import { useRouter } from 'expo-router';
import { useState } from 'react';
import { stayByHand } from '@/core/logbook/byHand';
import { itemsOf } from '@/core/tackle';
import { append, put, remove } from '@/store/changes';
import { newId, useCommit, useRecords, useSession } from '@/store/hooks';
import {
  Block,
  Button,
  Choice,
  Empty,
  Hint,
  IconButton,
  Loading,
  Screen,
  Stepper,
  Text,
  TextField,
  useToast,
} from '@/ui';
import { addDays, dayOf, longDayText, startOfDay } from '../shared/time';
import { useKit } from '../shared/useKit';
import { emptyStay, rememberedStay, StayFields } from './StayFields';
import { saidOf } from '@/words/said';

/** A day that was not logged on the water, as one remembers it. */
export function HandDayScreen() {
  const router = useRouter();
  const toast = useToast();
  const commit = useCommit();
  const [session] = useSession();
  const { data: waters } = useRecords('water');
  const { data: runs } = useRecords('run');
  const { data: kit } = useKit();
  const [today] = useState(() => dayOf(Date.now()));
  const [day, setDay] = useState(() => addDays(today, -1));
  const [chosen, setChosen] = useState<string | null>(null);
  const [stays, setStays] = useState(() => [emptyStay(newId(), '')]);
  const [notes, setNotes] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const back = <IconButton label="Back to Learn" icon="back" onPress={() => router.navigate('/learn')} />;
  if (!waters || !runs || !kit || !session)
    return (
      <Screen title="A past day" lead={back}>
        <Loading what="Opening…" />
      </Screen>
    );
  if (waters.length === 0)
    return (
      <Screen title="A past day" lead={back}>
        <Empty title="No water yet" actions={<Button label="Add a water" onPress={() => router.navigate('/water')} />}>
          Add your water first, then the day.
        </Empty>
      </Screen>
    );
  const water = waters.find((w) => w.id === (chosen ?? session.waterId)) ?? waters[0]!;
  const own = runs.filter((r) => r.waterId === water.id);
  // Where one is in the work, unless another run was chosen.
  const usual = own.find((r) => r.id === session.runId);
  const shown = stays.map((s) =>
    s.runId === null && s.runName === '' && !s.elsewhere && usual ? { ...s, runId: usual.id, runName: usual.name } : s,
  );
  const goodDay = /^\d{4}-\d\d-\d\d$/.test(day) && dayOf(startOfDay(day)) === day;

  const keep = async () => {
    const flies = itemsOf(kit, 'fly');
    const told = goodDay ? shown.map((s) => rememberedStay(s, startOfDay(day), flies)) : [];
    const whole = told.flatMap((s) => s ?? []).sort((a, b) => a.fromAt - b.fromAt);
    if (!goodDay || day > today || whole.length < shown.length) {
      setProblem('Enter a past day, and from when to when you fished each run.');
      return;
    }
    const id = newId();
    const events = whole.flatMap((s) => stayByHand(s, newId));
    const outing = {
      ...{ id, waterId: water.id, startedAt: whole[0]!.fromAt, endedAt: Math.max(...whole.map((s) => s.toAt)) },
      notes: notes.slice(0, 2000),
    };
    try {
      await commit(put('outing', outing), append(id, events, outing));
    } catch (error) {
      setProblem(`Not saved: ${saidOf(error)}.`);
      return;
    }
    router.replace({ pathname: '/learn/[outing]', params: { outing: id } });
    toast('Day added to your log, by hand.', () => {
      router.navigate('/learn');
      void commit(remove('outing', id));
    });
  };

  return (
    <Screen
      title="A past day"
      subtitle="As you remember it"
      lead={back}
      footer={
        <>
          {problem ? <Text role="alert">{problem}</Text> : null}
          <Button label="Save day" kind="primary" onPress={() => void keep()} />
        </>
      }
    >
      <Hint>Remembered casts count for half in the rates: blank hours are soon forgotten.</Hint>
      <Choice
        label="Water"
        options={waters.map((w) => ({ value: w.id, label: w.name }))}
        value={water.id}
        onChange={setChosen}
      />
      <Stepper
        label="Day"
        text={goodDay ? longDayText(startOfDay(day)) : 'no day'}
        lessLabel="The day before"
        moreLabel="The day after"
        canLess={goodDay}
        canMore={goodDay && day < today}
        onLess={() => setDay(addDays(day, -1))}
        onMore={() => setDay(addDays(day, 1))}
      />
      <TextField
        label="Or the date"
        value={day}
        onChange={setDay}
        hint="Year, month and day, as 2024-05-04"
        error={!goodDay ? 'Year, month and day, as 2024-05-04.' : day > today ? 'That day is still to come.' : null}
      />
      {shown.map((stay, i) => (
        <Block key={stay.key} title={stays.length === 1 ? 'Where and how long' : `Run ${i + 1}`}>
          <StayFields
            stay={stay}
            onStay={(s) => setStays(stays.map((old) => (old.key === stay.key ? s : old)))}
            runs={own}
            water={water}
            {...(stays.length > 1 ? { onRemove: () => setStays(stays.filter((s) => s.key !== stay.key)) } : null)}
          />
        </Block>
      ))}
      <Button
        label="Another run that day"
        icon="plus"
        onPress={() => setStays([...stays, emptyStay(newId(), stays.at(-1)!.to)])}
      />
      <TextField label="Notes" multiline value={notes} onChange={setNotes} />
    </Screen>
  );
}
