import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import type { Dimension } from '@/core/learn/evidence';
import { crossed, daysOf } from '@/core/learn/pictures';
import { Block, Button, Choice, Empty, IconButton, Loading, Screen, Stack, Text } from '@/ui';
import { CrossTable, YearCalendar } from '@/ui/charts';
import { capital } from '@/words/capital';
import { monthWords, yearWords } from '@/words/pictures';
import { countsWords, type Namer, withoutPlaces } from '@/words/proofs';
import { DIMENSION_NAMES } from '@/words/properties';
import type { Outings } from '@/workers/learn';
import { type OutingRow, yearOf } from './outings';
import { Beside } from './Beside';
import { Picture } from '../shared/Picture';
import { PickOne } from '../shared/PickOne';
import { useOutings } from './useOutings';
import { useDimensions } from './useDimensions';
import { useCounted, useNamer } from './useProofs';

/** A year by its days, and any two things crossed, as pictures that can be taken along. */
export function YearScreen() {
  const router = useRouter();
  const rows = useOutings();
  const outings = useCounted(rows);
  const name = useNamer();
  const back = <IconButton label="Back to Learn" icon="back" onPress={() => router.navigate('/learn')} />;
  if (!rows || !outings)
    return (
      <Screen title="Your fishing in pictures" lead={back}>
        <Loading what="Adding up the log…" />
      </Screen>
    );
  if (rows.length === 0)
    return (
      <Screen title="Your fishing in pictures" lead={back}>
        <Empty title="No outing yet" actions={<Button label="Go fishing" onPress={() => router.navigate('/fish')} />}>
          Days you log are drawn here, month by month.
        </Empty>
      </Screen>
    );
  return (
    <Screen title="Your fishing in pictures" lead={back} full>
      <Beside>
        <Year rows={rows} />
        <Two outings={outings} name={name} />
      </Beside>
    </Screen>
  );
}

function Year({ rows }: { rows: readonly OutingRow[] }) {
  const years = [...new Set(rows.map((r) => yearOf(r.outing)))].sort((a, b) => b - a);
  const [year, setYear] = useState(years[0]!);
  const [water, setWater] = useState('');
  const waters = [...new Map(rows.map((r) => [r.outing.waterId, r.water]))];
  const own = rows.filter((r) => water === '' || r.outing.waterId === water);
  const days = daysOf(
    own.map((r) => ({ startedAt: r.outing.startedAt, tally: r.log.tally })),
    year,
  );
  const sum = yearWords(days, year);
  return (
    <Block title="A year">
      {years.length > 1 ? (
        <Choice
          label="Year"
          showLabel={false}
          options={years.map((y) => ({ value: String(y), label: String(y) }))}
          value={String(year)}
          onChange={(y) => setYear(Number(y))}
        />
      ) : null}
      {waters.length > 1 ? (
        <PickOne
          label="Water"
          options={[{ value: '', label: 'All waters' }, ...waters.map(([value, label]) => ({ value, label }))]}
          value={water}
          onChange={setWater}
        />
      ) : null}
      <Text>{sum}</Text>
      <Picture
        name={`wanderung-${year}`}
        page={() => ({ title: `Fishing in ${year}`, lines: [sum], after: monthWords(days) })}
        csv={() => [
          ['month', 'day', 'minutes', 'casts', 'takes', 'landed'],
          days.map((d) => ({ ...d, month: d.month + 1 })),
        ]}
      >
        <YearCalendar days={days} summary={sum} />
      </Picture>
      <Text size="small" tone="ink2">
        A mark for each day out: larger for a longer day, full where a fish took.
      </Text>
      <Stack gap="xs" role="list" aria-label="By month">
        {monthWords(days).map((m) => (
          <Text key={m} size="small" tone="ink2" role="listitem">
            {m}
          </Text>
        ))}
      </Stack>
    </Block>
  );
}

/** What is crossed with what at first. */
const FIRST = { row: 'temperature', column: 'hour' } as const satisfies Record<string, Dimension>;

function Two({ outings, name }: { outings: Outings; name: Namer }) {
  const dims = useDimensions();
  const [row, setRow] = useState<Dimension>(FIRST.row);
  const [column, setColumn] = useState<Dimension>(FIRST.column);
  const table = useMemo(() => crossed(outings, row, column), [outings, row, column]);
  const options = (not: Dimension) =>
    dims.filter((d) => d !== not).map((d) => ({ value: d, label: capital(DIMENSION_NAMES[d]) }));
  const told = table.rows.flatMap((r, i) =>
    table.columns.flatMap((c, j) => {
      const cell = table.cells[i]![j]!;
      return cell.casts > 0 ? [{ r, c, ...cell }] : [];
    }),
  );
  return (
    <Block title="Two things at once">
      <PickOne label="Down" options={options(column)} value={row} onChange={setRow} />
      <PickOne label="Across" options={options(row)} value={column} onChange={setColumn} />
      {told.length === 0 ? (
        <Text>{`No casts with both noted yet: ${DIMENSION_NAMES[row]} and ${DIMENSION_NAMES[column]}.`}</Text>
      ) : (
        <>
          <Picture
            name={`wanderung-${row}-${column}`}
            page={() => {
              const veiled = withoutPlaces(name);
              return {
                title: `${capital(DIMENSION_NAMES[row])} by ${DIMENSION_NAMES[column]}`,
                lines: [],
                after: told.map((t) => `${capital(veiled(row, t.r))}, ${veiled(column, t.c)}: ${countsWords(t)}.`),
              };
            }}
            csv={() => [
              [row, column, 'casts', 'takes'],
              told.map(({ r, c, casts, takes }) => ({
                [row]: name(row, r),
                [column]: name(column, c),
                casts,
                takes,
              })),
            ]}
          >
            <CrossTable
              table={table}
              rowNames={table.rows.map((r) => name(row, r))}
              columnNames={table.columns.map((c) => name(column, c))}
              summary={`${capital(DIMENSION_NAMES[row])} by ${DIMENSION_NAMES[column]}: ${told.map((t) => `${name(row, t.r)}, ${name(column, t.c)}, ${countsWords(t)}`).join('; ')}`}
            />
          </Picture>
          <Text size="small" tone="ink2">
            A larger disc is more casts. The number is takes; a disc without one brought none.
          </Text>
        </>
      )}
    </Block>
  );
}
