import { useMemo, useState } from 'react';
import { useWindowDimensions } from 'react-native';
import { duringVisit, type EventOf, type Happened, rigsOf, type Visit } from '@/core/logbook';
import type { Run } from '@/core/water';
import type { Water } from '@/store/records';
import { useRecord, useSettings } from '@/store/hooks';
import { Choice, Loading, Stack, Text, useWide } from '@/ui';
import { RunSheet } from '@/ui/charts';
import { placeOfTake } from '../shared/paths';
import { clock } from '../shared/time';
import { useCovered } from '../shared/useCovered';
import { useSurvey } from '../shared/useRunDay';
import { several } from '@/words/counting';
import { saidOf } from '@/words/said';

interface Props {
  visits: readonly Visit[];
  all: readonly Happened[];
  water: Water | null | undefined;
}

/** Where the casts of an outing went and where the takes came, run by run, simulated as they were made. */
export function VisitMap({ visits, all, water }: Props) {
  const [at, setAt] = useState(0);
  const index = Math.min(at, visits.length - 1);
  const visit = visits[index];
  const run = useRecord('run', visit?.runId);
  if (!visit) return null;
  return (
    <Stack gap="s">
      {visits.length > 1 ? (
        <Choice
          label="Run"
          showLabel={false}
          options={visits.map((v, i) => ({ value: String(i), label: `${v.runName}, ${clock(v.fromAt)}` }))}
          value={String(index)}
          onChange={(i) => setAt(Number(i))}
        />
      ) : null}
      {run ? (
        <Drawn key={`${run.id} ${visit.fromAt}`} run={run} visit={visit} all={all} water={water} />
      ) : (
        <Text size="small" tone="ink2">{`${visit.runName} is not among your runs: it has no map.`}</Text>
      )}
    </Stack>
  );
}

/** The map reaches so far past the lowest take, m. */
const ROUND_TAKE_M = 2;

function Drawn({
  run,
  visit,
  all,
  water,
}: {
  run: Run;
  visit: Visit;
  all: readonly Happened[];
  water: Props['water'];
}) {
  const [{ units }] = useSettings();
  const wide = useWide();
  const { height } = useWindowDimensions();
  const during = useMemo(() => duringVisit(visit, all), [visit, all]);
  const of = <K extends Happened['kind']>(kind: K) => during.filter((e): e is Happened & EventOf<K> => e.kind === kind);
  const casts = useMemo(() => during.filter((e) => e.kind === 'cast'), [during]);
  const reading = of('reading')[0]?.reading ?? null;
  const rigs = useMemo(() => rigsOf(all), [all]);
  const survey = useSurvey(run, reading, water);
  const { covered, pending } = useCovered(survey.data, rigs, casts);
  if (survey.isError) return <Text>{`Couldn’t rebuild the run: ${saidOf(survey.error)}.`}</Text>;
  if (!survey.data) return <Loading what="Rebuilding the run as it was…" />;
  const left = casts.length - covered.length;
  const takes = of('take').filter((t) => !t.juvenile);
  const placed = takes.flatMap((t) => placeOfTake(t, casts, covered) ?? []);
  const unknown = takes.length - placed.length;
  return (
    <Stack gap="xs">
      <RunSheet
        run={run}
        survey={survey.data}
        units={units}
        height={wide ? Math.max(300, height - 420) : Math.min(360, height * 0.42)}
        covered={covered.map((c) => c.path)}
        takes={placed}
        to={Math.max(run.lengthM, ...placed.map((p) => p.xM + ROUND_TAKE_M))}
        summary={`${run.name} from above as it was, ${covered.length} casts painted, ${several(placed.length, 'take')} marked`}
      />
      <Text size="small" tone="ink2">
        {pending > 0
          ? `Simulating the casts: ${casts.length - pending} of ${casts.length}`
          : casts.length === 0
            ? `No single casts logged, so none are painted.${reading ? '' : ' The run is drawn as on a usual day.'}`
            : [
                'Pale: water the fly swung through. Red: takes, about where on the swing.',
                left > 0 ? `${several(left, 'cast')} as logged can’t be made here: not painted.` : null,
                unknown > 0 ? `${several(unknown, 'take')} not marked: the cast is not known.` : null,
              ]
                .filter(Boolean)
                .join(' ')}
      </Text>
    </Stack>
  );
}
