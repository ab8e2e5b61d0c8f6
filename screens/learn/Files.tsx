import { useQuery } from '@tanstack/react-query';
import { useOwnLog, useRecords, useSettings } from '@/store/hooks';
import type { Offer } from '@/store/files';
import { keeping } from '@/store/keeping';
import { Block, Button, Fact, Hint, Notice, Problem, Sheet, Stack, Text, Working } from '@/ui';
import { canShare } from '../shared/files';
import { longDayText } from '../shared/time';
import { Fold } from '../shared/Fold';
import { useFiles } from './useFiles';

/** After so many casts that are in no file, one is reminded. */
const REMIND_CASTS = 300;
const megabytes = (bytes: number) =>
  bytes > 1e9 ? `${(bytes / 1e9).toFixed(1)} GB` : `${Math.max(0.1, bytes / 1e6).toFixed(bytes < 1e7 ? 1 : 0)} MB`;

/** Casts that no exported file holds yet. */
function useUnexported(): number {
  const { casts } = useOwnLog();
  const [{ exported }] = useSettings();
  return Math.max(0, casts - (exported?.casts ?? 0));
}

/** Says, quietly, that an export is due. */
export function ExportReminder() {
  const casts = useUnexported();
  const [{ exported }] = useSettings();
  if (casts < REMIND_CASTS) return null;
  return (
    <Hint>
      {exported
        ? `${casts.toLocaleString('en-GB')} casts since your last export: export everything below.`
        : `${casts.toLocaleString('en-GB')} casts are in this browser only: export everything below.`}
    </Hint>
  );
}

/**
 * Everything out as a file, and in again.
 *
 * @param open all of it is in sight at first
 */
export function Files({ open = false }: { open?: boolean }) {
  const { data: waters } = useRecords('water');
  const sends = canShare('a.json', 'application/json') || canShare('a.txt', 'text/plain');
  const { busy, leftOut, refused, pending, forget, exportAll, exportCsv, choose, bring, clear, demo, ...sending } =
    useFiles();
  return (
    <Block title="Files">
      <Button
        label="Export everything"
        icon="out"
        hint="One JSON file, as a backup or to move"
        onPress={() => void exportAll()}
      />
      <Fold
        title="Import, send, clear"
        summary="Backups in, a spreadsheet out, another device, how it is kept"
        begins={open}
      >
        {sends ? (
          <Button
            label="Send to another device"
            icon="out"
            hint="By your device’s own sharing; import it there"
            onPress={() => void sending.prepare()}
          />
        ) : null}
        <Button
          label="Export the log as CSV"
          icon="out"
          hint="One row an event, for a spreadsheet"
          onPress={() => void exportCsv()}
        />
        <Button label="Import a backup" icon="in" hint="Shows what would change first" onPress={() => void choose()} />
        {waters?.length === 0 ? null : <Button label="Load the demo beside it" onPress={() => void demo()} />}
        <Button
          label="Clear this device"
          hint="Removes everything stored here; can be undone for a moment"
          onPress={() => void clear()}
        />
        <HowKept />
      </Fold>
      {busy?.stop ? <Working what={busy.what} stopLabel="Stop reading the file" onStop={busy.stop} /> : null}
      {busy && !busy.stop ? <Text role="status">{busy.what}</Text> : null}
      {refused ? <Problem title={refused.title}>{`${refused.why} Nothing here was changed.`}</Problem> : null}
      {leftOut ? (
        <Notice role="alert">
          <Text>{leftOut}</Text>
        </Notice>
      ) : null}
      {sending.ready ? (
        <Sheet title="Send to another device" open onClose={sending.forgetReady}>
          <Text>{`${sending.ready.name}, ${megabytes(sending.ready.file.size)}. On the other device choose “Import a backup”, then “Merge”.`}</Text>
          <Button label="Send the file" kind="primary" onPress={() => void sending.sendReady()} />
        </Sheet>
      ) : null}
      {pending ? (
        <Sheet title={`Import ${pending.name}`} open onClose={forget}>
          <ImportFacts {...pending} />
          <Stack>
            <Button
              label="Merge"
              kind="primary"
              hint="Adds what is new. Of two versions, the later one stays."
              onPress={() => void bring('merge')}
            />
            <Button
              label="Replace"
              hint={`Replaces everything with the file; removes ${pending.summary.onlyHere} records that are only here`}
              onPress={() => void bring('replace')}
            />
          </Stack>
        </Sheet>
      ) : null}
    </Block>
  );
}

/** Whether the browser keeps it, how much room is left, and when it was last exported. */
function HowKept() {
  const [{ exported }] = useSettings();
  const unexported = useUnexported();
  const { data } = useQuery({ queryKey: ['keeping'], queryFn: keeping, staleTime: 0, refetchOnMount: 'always' });
  const last = exported ? `${longDayText(exported.at)}, ${unexported.toLocaleString('en-GB')} casts ago` : 'never';
  return (
    <>
      <Stack gap="xs">
        <Fact name="Last export" value={last} />
        {data?.usedBytes != null && data.leftBytes != null ? (
          <Fact name="Used, left" value={`${megabytes(data.usedBytes)}, ${megabytes(data.leftBytes)}`} />
        ) : null}
      </Stack>
      <Hint>
        {data?.persisted
          ? 'Your data lives in this browser only. The browser keeps it when the device runs out of room, but clearing site data removes it. Export now and then.'
          : 'Your data lives in this browser only, and the browser may clear it when the device runs out of room. Export now and then.'}
      </Hint>
    </>
  );
}

function ImportFacts({ summary, repaired }: Offer) {
  const rows = Object.entries(summary.kinds).filter(([, k]) => k.added + k.changed + k.kept > 0);
  return (
    <Stack gap="xs">
      {rows.map(([kind, k]) => (
        <Fact key={kind} name={`${kind}: new, changed, unchanged`} value={`${k.added}, ${k.changed}, ${k.kept}`} />
      ))}
      <Fact name="log entries: new, already here" value={`${summary.events.added}, ${summary.events.kept}`} />
      {repaired.map((r) => (
        <Text key={r} size="small">
          {r}
        </Text>
      ))}
    </Stack>
  );
}
