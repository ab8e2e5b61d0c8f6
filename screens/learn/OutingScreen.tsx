import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { hoursKnown, type LogEvent, standing, visitsOf } from '@/core/logbook';
import type { Entry } from '@/core/logbook/grouped';
import { oddities } from '@/core/logbook/odd';
import { factsOf, type Outing, type Water } from '@/store/records';
import { useEvents, useRecord } from '@/store/hooks';
import {
  Block,
  Button,
  Empty,
  Hint,
  IconButton,
  Loading,
  Screen,
  space,
  Stack,
  Text,
  TextField,
  useTheme,
  useWide,
} from '@/ui';
import { clock, longDayText } from '../shared/time';
import { useNow } from '../shared/useNow';
import { Corrections } from './Corrections';
import { InBrief } from './InBrief';
import { Effort } from './Effort';
import { Entries } from './Entries';
import { EntrySheet } from './EntrySheet';
import { OutingActions } from './OutingActions';
import { OutingList } from './OutingList';
import { type OutingRow, tallyText } from './outings';
import { OutingTime } from './OutingTime';
import { Trials } from './Trials';
import { useCorrect } from './useCorrect';
import { REMOVED_WATER } from '@/words/proofs';
import { useOutings } from './useOutings';
import { VisitMap } from './VisitMap';
import { oddWords } from '@/words/log';

const useBack = () => {
  const router = useRouter();
  return <IconButton label="All outings" icon="back" onPress={() => router.navigate('/learn')} />;
};

/** One outing, to read again and to put right. */
export function OutingScreen({ outingId }: { outingId: string }) {
  const router = useRouter();
  const outing = useRecord('outing', outingId);
  const water = useRecord('water', outing?.waterId);
  const events = useEvents(outingId);
  const rows = useOutings();
  const back = useBack();
  if (outing === null)
    return (
      <Screen title="An outing" lead={back}>
        <Empty
          title="This outing is not here"
          actions={<Button label="All outings" onPress={() => router.navigate('/learn')} />}
        >
          The outing may have been removed or joined with another, or the address is from another device.
        </Empty>
      </Screen>
    );
  if (!outing || !events || !rows || water === undefined)
    return (
      <Screen title="An outing" lead={back}>
        <Loading what="Reading the log…" />
      </Screen>
    );
  return <Read key={outingId} {...{ outing, water, events, rows }} />;
}

interface Props {
  outing: Outing;
  water: Water | null;
  events: readonly LogEvent[];
  rows: readonly OutingRow[];
}

const LIST_WIDTH = 264;

function Read({ outing, water, events, rows }: Props) {
  const wide = useWide();
  const theme = useTheme();
  const back = useBack();
  const correct = useCorrect();
  const [entry, setEntry] = useState<Entry | null | 'none'>('none');
  const all = useMemo(() => standing(events), [events]);
  const visits = useMemo(() => visitsOf(all), [all]);
  const row = rows.find((r) => r.outing.id === outing.id);
  const timed = hoursKnown(visits);
  const hours = timed
    ? `, ${clock(outing.startedAt)} to ${outing.endedAt === null ? 'now' : clock(outing.endedAt)}`
    : ', hours not known';
  const pictures = (
    <Stack>
      {timed ? <OutingTime all={all} water={water} /> : null}
      <VisitMap visits={visits} all={all} water={water} />
    </Stack>
  );
  return (
    <Screen
      title={water?.name ?? REMOVED_WATER}
      subtitle={`${longDayText(outing.startedAt)}${hours}${row ? ` · ${tallyText(row.log)}` : ''}`}
      lead={back}
      picture={
        wide ? (
          <View style={{ flex: 1, flexDirection: 'row', gap: space.l }}>
            <ScrollView
              style={{ width: LIST_WIDTH, flexGrow: 0, borderRightWidth: 1, borderRightColor: theme.hairline }}
            >
              <View style={{ paddingRight: space.m, paddingBottom: space.xl }}>
                <OutingList rows={rows} openId={outing.id} />
              </View>
            </ScrollView>
            <ScrollView style={{ flex: 1 }}>{pictures}</ScrollView>
          </View>
        ) : (
          pictures
        )
      }
    >
      {row && row.log.tally.byHand > 0 ? (
        <Hint>Entered by hand: remembered casts count for half in the rates.</Hint>
      ) : null}
      <Oddities outing={outing} events={events} onSplit={(at) => correct.split(outing, at)} />
      <InBrief visits={visits} all={all} />
      <Effort visits={visits} all={all} />
      <Trials all={all} />
      <Notes outing={outing} onNotes={(notes) => correct.note(outing, notes)} />
      <Entries all={all} onOpen={setEntry} />
      <Corrections events={events} onTakeBack={(of) => correct.takeBack(outing, of)} />
      <OutingActions {...{ outing, events, all, rows, correct }} />
      {entry !== 'none' ? (
        <EntrySheet
          {...{ entry, events, all }}
          quarry={water?.quarry ?? null}
          onClose={() => setEntry('none')}
          onCorrect={(added, said) => {
            setEntry('none');
            if (added.length > 0) correct.amend(outing, events, added, said);
          }}
        />
      ) : null}
    </Screen>
  );
}

interface OdditiesProps {
  outing: Outing;
  events: readonly LogEvent[];
  onSplit: (at: number) => void;
}

/** What cannot be right, with the way to put it right where there is one. */
function Oddities({ outing, events, onSplit }: OdditiesProps) {
  const now = useNow();
  const odd = oddities(factsOf(outing), events, now);
  return odd.map((o) => (
    <Stack key={`${o.at} ${o.code}`} gap="s">
      <Hint>{oddWords(o)}</Hint>
      {o.code === 'gap' ? (
        <Button label={`Split the outing at ${clock(o.until)}`} onPress={() => onSplit(o.until)} />
      ) : null}
    </Stack>
  ));
}

function Notes({ outing, onNotes }: { outing: Outing; onNotes: (notes: string) => void }) {
  const [text, setText] = useState(outing.notes);
  const [shown, setShown] = useState(outing.notes);
  if (outing.notes !== shown) {
    // Changed from outside: by joining, or in another tab.
    setShown(outing.notes);
    setText(outing.notes);
  }
  const changed = text !== outing.notes;
  return (
    <Block title="Notes">
      <TextField label="Notes on this outing" multiline value={text} onChange={setText} />
      {changed ? <Button label="Save notes" kind="primary" onPress={() => onNotes(text.slice(0, 2000))} /> : null}
      {text.length > 2000 ? <Text role="alert">Only the first 2,000 letters are saved.</Text> : null}
    </Block>
  );
}
