import { useRouter } from 'expo-router';
import { DATE_ORDERS, NEW_WATER } from '@/formats/sheet/terms';
import type { SheetPreview } from '@/store/sheets';
import { useRecords } from '@/store/hooks';
import {
  Block,
  Button,
  Choice,
  Empty,
  Fact,
  Hint,
  IconButton,
  Loading,
  plainOptions,
  Problem,
  Screen,
  Stack,
  Stepper,
  Text,
} from '@/ui';
import { SheetColumns } from './SheetColumns';
import { FaultyRows, ReadRows } from './SheetRows';
import { type OpenSheet, useSheet } from './useSheet';

/** A log that was kept in a spreadsheet: shown before anything is stored, brought in whole or not at all. */
export function SheetScreen() {
  const router = useRouter();
  const { data: waters } = useRecords('water');
  const { open, change, waterId, preview, busy, problem, choose, bring } = useSheet();
  const back = <IconButton label="Back to Learn" icon="back" onPress={() => router.navigate('/learn')} />;
  if (waters?.length === 0)
    return (
      <Screen title="A spreadsheet" lead={back}>
        <Empty title="No water yet" actions={<Button label="Add a water" onPress={() => router.navigate('/water')} />}>
          Add your water first: the sheet’s other waters are made like it.
        </Empty>
      </Screen>
    );
  const ready = !busy && preview !== null && preview.outings > 0;
  return (
    <Screen
      title="A spreadsheet"
      subtitle={open ? `${open.name}, ${open.offer.rows} rows` : 'Your old log'}
      lead={back}
      footer={
        open ? (
          <Button
            label={busy ?? `Import ${preview?.outings ?? 0} days`}
            kind="primary"
            disabled={!ready}
            onPress={() => void bring().then((done) => done && router.navigate('/learn'))}
          />
        ) : null
      }
    >
      {open ? null : (
        <Text>
          Save your spreadsheet as CSV and choose the file. Headings, dates and units may be your own. You see what each
          column and row becomes before you import, and can undo it.
        </Text>
      )}
      <Button label={open ? 'Choose another file' : 'Choose the file'} icon="in" onPress={() => void choose()} />
      {busy ? <Loading what={busy} /> : null}
      {problem ? <Problem title="Couldn’t import">{`${problem.replace(/\.$/, '')}.`}</Problem> : null}
      {open ? (
        <>
          {open.offer.western ? (
            <Hint>The file’s text encoding is unknown; read as Western European. Check letters like ä or é.</Hint>
          ) : null}
          {preview ? <Outcome preview={preview} sheet={open} onChange={change} /> : null}
          <SheetColumns sheet={open} onColumns={(columns) => change({ columns })} />
          <Dates sheet={open} onChange={change} />
          <Waters sheet={open} onChange={change} preview={preview} waterId={waterId} />
          {preview ? (
            <>
              <FaultyRows sheet={open} preview={preview} onMended={(mended) => change({ mended })} />
              <ReadRows preview={preview} />
            </>
          ) : (
            <Loading what="Reading the rows…" />
          )}
        </>
      ) : null}
    </Screen>
  );
}

interface PartProps {
  sheet: OpenSheet;
  onChange: (part: Partial<OpenSheet>) => void;
}

function Dates({ sheet, onChange }: PartProps) {
  if (!sheet.columns.some((c) => c.field === 'date')) return null;
  return (
    <Block title="Dates">
      <Choice
        label="Dates are written"
        options={plainOptions(DATE_ORDERS)}
        value={sheet.order}
        onChange={(order) => onChange({ order })}
      />
      {sheet.offer.orderSure ? null : (
        <Hint>The sheet doesn’t show which is day and which is month. Check the days below before you continue.</Hint>
      )}
    </Block>
  );
}

function Waters({
  sheet,
  onChange,
  preview,
  waterId,
}: PartProps & { preview: SheetPreview | null; waterId: string | null }) {
  const { data: waters } = useRecords('water');
  const own = (waters ?? []).map((w) => ({ value: w.id, label: w.name }));
  const names = preview?.waters ?? [];
  const column = sheet.columns.some((c) => c.field === 'water');
  const hasNew = names.some((n) => n.is === NEW_WATER);
  return (
    <Block title="Waters">
      {column && !hasNew && names.length > 0 ? null : (
        <Choice
          label={column ? 'Rows without a name, and the place of new waters, are of' : 'The rows are of'}
          options={own}
          value={waterId}
          onChange={(id) => onChange({ waterId: id })}
        />
      )}
      {names.map((n) => (
        <Choice
          key={n.name}
          label={`“${n.name}”, ${n.rows} ${n.rows === 1 ? 'row' : 'rows'}, is`}
          options={[{ value: NEW_WATER, label: 'a new water' }, ...own]}
          value={n.is}
          onChange={(id) => onChange({ waters: { ...sheet.waters, [n.name.toLowerCase()]: id } })}
        />
      ))}
      {hasNew ? (
        <Hint>A new water takes the place and rules of the one chosen above until you change them under Plan.</Hint>
      ) : null}
    </Block>
  );
}

const STEP = 10;

function Outcome({ preview, sheet, onChange }: PartProps & { preview: SheetPreview }) {
  const { good, bad, asAbove, outings, here, casts, landed } = preview;
  const an = sheet.castsAnHour;
  return (
    <Block title="What will be imported">
      <Stack gap="xs">
        <Fact name="Days" value={String(outings)} />
        <Fact name="Casts, about" value={casts.toLocaleString('en-GB')} />
        <Fact name="Fish landed" value={String(landed)} />
        <Fact name="Rows read" value={String(good)} />
        {bad > 0 ? <Fact name="Rows that can’t be read" value={String(bad)} /> : null}
      </Stack>
      {here > 0 ? (
        <Text
          size="small"
          tone="ink2"
        >{`${here} ${here === 1 ? 'day is' : 'days are'} in your log already and stay as they are.`}</Text>
      ) : null}
      {asAbove > 0 ? (
        <Text
          size="small"
          tone="ink2"
        >{`${asAbove} ${asAbove === 1 ? 'row has' : 'rows have'} no date: read as the day above.`}</Text>
      ) : null}
      {sheet.columns.some((c) => ['hours', 'from', 'to'].includes(c.field ?? '')) ? (
        <Stepper
          label="Where only hours are known, casts an hour"
          text={an === null ? 'unknown' : `about ${an}`}
          canLess={an !== null}
          canMore={an === null || an < 120}
          onLess={() => onChange({ castsAnHour: an === STEP || an === null ? null : an - STEP })}
          onMore={() => onChange({ castsAnHour: (an ?? 0) + STEP })}
        />
      ) : null}
      <Text size="small" tone="ink2">
        All imported days are marked as by hand and count for half in the rates.
      </Text>
    </Block>
  );
}
