import { useMemo, useState } from 'react';
import { byLevel } from '@/core/learn/levels';
import type { Survey } from '@/core/lies';
import { placeOf } from '@/core/logbook/placed';
import { aboutLevel, type Spot } from '@/core/logbook/spots';
import { roundTo } from '@/core/maths';
import type { Run } from '@/core/water';
import { useFolded, useSettings } from '@/store/hooks';
import { Button, Slider, Stack, Text } from '@/ui';
import { RunSheet } from '@/ui/charts';
import { Fold } from '../shared/Fold';
import { FishRow } from '../shared/FishRow';
import { ShareSheet } from '../shared/later';
import { Picture } from '../shared/Picture';
import { several } from '@/words/counting';
import { takenWords } from '@/words/spots';
import { formatLevel } from '@/words/units';

const FISH = 4;
const per100 = (v: number) => (100 * v).toFixed(1);

interface Props {
  run: Run;
  /** As it is at the level in view. */
  survey: Survey;
  levelM: number;
  onLevel: (levelM: number) => void;
}

/** What a run brought so far, where, and at which level. */
export function CaughtHere({ run, survey, levelM, onLevel }: Props) {
  const folded = useFolded();
  const [sharing, setSharing] = useState(false);
  const here = useMemo(
    () =>
      (folded ?? []).flatMap(({ outingId, log }) => {
        const visits = log.visits.filter((v) => v.runId === run.id);
        const fish = log.fish.filter((c) => c.take.runId === run.id);
        const spots = log.spots.filter((s) => s.runId === run.id);
        return visits.length > 0 ? [{ outingId, visits, fish, spots }] : [];
      }),
    [folded, run.id],
  );
  if (here.length === 0) return null;
  const levels = byLevel(here.flatMap((o) => o.visits));
  const spots = here.flatMap((o) => o.spots);
  const fish = here
    .flatMap((o) => o.fish.map((c) => ({ ...c, outingId: o.outingId })))
    .sort((a, b) => b.take.at - a.take.at);
  return (
    <Fold
      block
      title="Takes here"
      summary={`${several(
        levels.reduce((n, l) => n + l.takes, 0),
        'take',
      )}, ${fish.length} landed, by level`}
    >
      {spots.length > 0 ? <TakenAt {...{ run, survey, levelM, onLevel, spots }} /> : null}
      <Stack gap="s" role="list" aria-label="By level">
        {levels.map((l) => (
          <Stack key={l.band} role="listitem" gap="xs">
            <Stack row justify="space-between" gap="m">
              <Text>{l.band === 'not read' ? 'level not read' : `level ${l.band}`}</Text>
              <Text size="strong">{`${several(l.takes, 'take')}, ${l.landed} landed`}</Text>
            </Stack>
            <Text size="small" tone="ink2">
              {`${several(l.visits, 'visit')}, ${several(l.casts, 'cast')}${l.rate ? `; per hundred casts between ${per100(l.rate.low)} and ${per100(l.rate.high)}` : ''}`}
            </Text>
          </Stack>
        ))}
      </Stack>
      <Text size="small" tone="ink2">
        Low is more than 10 cm below normal, raised from 10 cm above, high from 30. Where the ranges overlap, no
        difference is proved yet.
      </Text>
      {fish.slice(0, FISH).map((f) => (
        <FishRow key={f.take.id} fish={f} level />
      ))}
      <Button
        label="Share takes here"
        icon="out"
        hint="Without the place, unless you say so"
        onPress={() => setSharing(true)}
      />
      {sharing ? (
        <ShareSheet
          title={`Share ${several(here.length, 'outing')} on this run`}
          outingIds={here.map((o) => o.outingId)}
          runId={run.id}
          onClose={() => setSharing(false)}
        />
      ) : null}
    </Fold>
  );
}

/** The sheet reaches so far past the lowest take, m; its height, px; steps of the level, m. */
const [PAST_M, SHEET_PX, STEP_M] = [2, 300, 0.05];

/** Where fish took over the years, at the level in view. */
function TakenAt({ run, survey, levelM, onLevel, spots }: Props & { spots: readonly Spot[] }) {
  const [{ units }] = useSettings();
  const levels = spots.flatMap((s) => s.levelM ?? []);
  const near = aboutLevel(spots, levelM);
  const takes = near.map((s) => placeOf(s, survey.channel));
  const said = takenWords({ levelM, here: near.length, all: spots.length, known: levels.length }, units);
  return (
    <Picture
      name="wanderung-takes"
      page={() => ({ title: 'Where fish took', lines: [said], after: [] })}
      csv={() => [
        ['time', 'level_m', 'down_m', 'out_m', 'landed'],
        near.map(({ at, levelM: of, landed }, i) => ({
          ...{ time: new Date(at).toISOString(), level_m: of, landed },
          ...{ down_m: roundTo(10, takes[i]!.xM), out_m: roundTo(10, takes[i]!.yM) },
        })),
      ]}
    >
      <Stack gap="xs">
        <RunSheet
          run={run}
          survey={survey}
          units={units}
          height={SHEET_PX}
          takes={takes}
          to={Math.max(run.lengthM, ...takes.map((p) => p.xM + PAST_M))}
          showKey={false}
          summary={`${run.name} from above. ${said}`}
        />
        {levels.length > 0 ? (
          <Slider
            label="Takes at a level of"
            value={roundTo(100, levelM)}
            min={STEP_M * Math.floor(Math.min(levelM, ...levels) / STEP_M)}
            max={STEP_M * Math.ceil(Math.max(levelM, ...levels) / STEP_M)}
            step={STEP_M}
            onChange={onLevel}
            format={(v) => formatLevel(v, units)}
          />
        ) : null}
        <Text>{said}</Text>
      </Stack>
    </Picture>
  );
}
