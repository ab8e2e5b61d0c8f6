import { useRecords } from '@/store/hooks';
import type { ImportSummary } from '@/store/backup';
import { Block, Button, Fact, Hint, Problem, Sheet, Stack, Text } from '@/ui';
import { useFiles } from './useFiles';

/** Everything out as a file, and in again. */
export function Files() {
  const { data: waters } = useRecords('water');
  const { busy, refused, pending, forget, exportAll, exportCsv, choose, bring, clear, demo } = useFiles();
  return (
    <Block title="Files">
      <Button
        label="Export everything"
        icon="out"
        hint="One JSON file, to keep or to move"
        onPress={() => void exportAll()}
      />
      <Button
        label="Export the log as CSV"
        icon="out"
        hint="One row an event, for a spreadsheet"
        onPress={() => void exportCsv()}
      />
      <Button
        label="Import a backup"
        icon="in"
        hint="Shows what it would do before it does it"
        onPress={() => void choose()}
      />
      {waters?.length === 0 ? null : <Button label="Load the demo beside it" onPress={() => void demo()} />}
      <Button
        label="Clear this device"
        hint="Removes everything stored here; can be undone for a moment"
        onPress={() => void clear()}
      />
      {busy ? <Text role="status">{busy}</Text> : null}
      {refused ? (
        <Problem title={`${refused.name} was not imported`}>{`${refused.why} Nothing here was changed.`}</Problem>
      ) : null}
      {pending ? (
        <Sheet title={`Import ${pending.name}`} open onClose={forget}>
          <ImportFacts summary={pending.summary} />
          <Stack>
            <Button
              label="Merge"
              kind="primary"
              hint="Adds what is new; of two versions the later saved stays"
              onPress={() => void bring('merge')}
            />
            <Button
              label="Replace"
              hint={`Puts the file in place of everything; removes ${pending.summary.onlyHere} records that are only here`}
              onPress={() => void bring('replace')}
            />
          </Stack>
        </Sheet>
      ) : null}
      <Hint>
        Your data live in this browser only. A browser may clear them when the device runs out of room: export now and
        then.
      </Hint>
    </Block>
  );
}

function ImportFacts({ summary }: { summary: ImportSummary }) {
  const rows = Object.entries(summary.kinds).filter(([, k]) => k.added + k.changed + k.kept > 0);
  return (
    <Stack gap="xs">
      {rows.map(([kind, k]) => (
        <Fact key={kind} name={`${kind}: new, changed, kept as here`} value={`${k.added}, ${k.changed}, ${k.kept}`} />
      ))}
      <Fact name="log entries: new, already here" value={`${summary.events.added}, ${summary.events.kept}`} />
    </Stack>
  );
}
