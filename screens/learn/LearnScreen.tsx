import { useRouter } from 'expo-router';
import { useState } from 'react';
import { addTallies, EMPTY_TALLY } from '@/core/logbook';
import { useStoreStatus } from '@/store/hooks';
import { ScrollView } from 'react-native';
import { Block, Button, Empty, Loading, Screen, space, Stack, Text, useWide } from '@/ui';

import { Fold } from '../shared/Fold';
import { ShareSheet } from '../shared/later';
import { useLoadDemo } from '../shared/useDemo';
import { longDayText } from '../shared/time';
import { ExportReminder, Files } from './Files';
import { FishBlock } from './FishBlock';
import { InstallNotice } from './InstallNotice';
import { Known } from './Known';
import { OutingList } from './OutingList';
import type { OutingRow } from './outings';
import { Rates } from './Rates';
import { useOutings } from './useOutings';
import { useExposures, useNamer, useProofs } from './useProofs';
import { several } from '@/words/counting';

/** What was done, what it proves, and the way out and in for all of it. */
export function LearnScreen() {
  const { adding } = useStoreStatus();
  const rows = useOutings();
  const load = useLoadDemo();
  const outings = useExposures(rows);
  const name = useNamer();
  const wide = useWide();
  const { value: lists, share, error } = useProofs(outings, 'all water');
  if (!rows)
    return (
      <Screen title="Learn">
        <Loading what={adding === null ? 'Adding up the log…' : `Adding up the log: ${Math.round(100 * adding)} %`} />
      </Screen>
    );
  if (rows.length === 0)
    return (
      <Screen title="Learn">
        <Empty
          title="No outing yet"
          actions={
            <>
              <Button label="Look around with demo data" onPress={() => void load()} />
              <Practise />
            </>
          }
        >
          Casts you count under Fish are added up here: which fly in which water, and how sure that is. You can also
          enter a past day, or import a spreadsheet or a backup.
        </Empty>
        <WaysIn />
        <Files open />
      </Screen>
    );
  const known = <Known lists={lists} share={share} failed={error !== null} name={name} />;
  const rates = outings ? <Rates outings={outings} lists={lists} name={name} /> : null;
  const first = Math.min(...rows.map((r) => r.outing.startedAt));
  return (
    <Screen
      title="Learn"
      subtitle={`${rows.length === 1 ? 'one outing' : `${rows.length} outings`} since ${longDayText(first)}`}
      picture={
        wide ? (
          <ScrollView>
            <Stack gap="l" style={{ paddingBottom: space.xl }}>
              {known}
              {rates}
            </Stack>
          </ScrollView>
        ) : undefined
      }
      third={
        <>
          {wide ? null : rates}
          <Practise />
          <Files />
        </>
      }
    >
      <InstallNotice ended={rows.filter((r) => r.outing.endedAt !== null).length} />
      <ExportReminder />
      {wide ? null : known}
      <AllInAll rows={rows} />
      <FishBlock rows={rows} />
      <Outings rows={rows} />
    </Screen>
  );
}

/** The way to water that nobody has to drive to. */
function Practise() {
  const router = useRouter();
  return <Button label="Practice ground" icon="play" onPress={() => router.navigate('/learn/practice')} />;
}

function AllInAll({ rows }: { rows: readonly OutingRow[] }) {
  const total = rows.map((r) => r.log.tally).reduce(addTallies, EMPTY_TALLY);
  const many = (n: number) => n.toLocaleString('en-GB');
  return (
    <Block title="Totals">
      <Text size="strong">{`${many(total.casts)} casts, ${several(total.takes, 'take')}, ${total.landed} landed`}</Text>
      <Text size="small" tone="ink2">
        {`Not in the rates: ${total.fouled} casts with a fouled fly, ${total.juveniles} juveniles${total.onOthers > 0 ? `, ${several(total.onOthers, 'take')} on flies for the log only` : ''}${total.signs > 0 ? `. Signs of fish: ${total.signs}` : ''}${total.rises > 0 ? `. Rises: ${total.rises}` : ''}. Hours out: ${Math.round(total.minutes / 60)}.`}
        {total.byHand > 0
          ? ` ${many(total.byHand)} casts and ${several(total.byHandTakes, 'take')} are from memory and count for half.`
          : ''}
      </Text>
    </Block>
  );
}

function Outings({ rows }: { rows: readonly OutingRow[] }) {
  const [sharing, setSharing] = useState<readonly OutingRow[] | null>(null);
  return (
    <Block title="Outings">
      <OutingList
        rows={rows}
        actions={(listed) => (
          <Fold title="Share or add outings" summary="Those listed; a past day by hand; a spreadsheet of years">
            {listed.length > 0 ? (
              <Button
                label={listed.length === 1 ? 'Share this one' : `Share these ${listed.length}`}
                icon="out"
                hint="Without the places, unless you say so"
                onPress={() => setSharing(listed)}
              />
            ) : null}
            <WaysIn />
          </Fold>
        )}
      />
      {sharing ? (
        <ShareSheet
          title={sharing.length === 1 ? 'Share this outing' : `Share ${sharing.length} outings`}
          outingIds={sharing.map((r) => r.outing.id)}
          onClose={() => setSharing(null)}
        />
      ) : null}
    </Block>
  );
}

/** Days that were not logged on the water. */
function WaysIn() {
  const router = useRouter();
  return (
    <Stack>
      <Button label="Enter a past day" icon="plus" onPress={() => router.navigate('/learn/new')} />
      <Button
        label="Import a spreadsheet"
        icon="in"
        hint="Years of notes, saved as CSV"
        onPress={() => router.navigate('/learn/sheet')}
      />
    </Stack>
  );
}
