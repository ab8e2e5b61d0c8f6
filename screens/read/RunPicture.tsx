import { useWindowDimensions, View } from 'react-native';
import { type LieOptions, shadeOf, type Survey } from '@/core/lies';
import { acrossAt, type PlanPoint, type Run } from '@/core/water';

import { Button, Slider, Stack, Text, useWide } from '@/ui';
import { RunSheet, SectionView } from '@/ui/charts';
import { lieReasons } from '@/words/lies';
import { format, formatLevel, type UnitSystem } from '@/words/units';
import { Fold } from '../shared/Fold';
import { useZoom } from './useZoom';

interface Props {
  run: Run;
  survey: Survey;
  /** The way on foot. */
  wade: readonly PlanPoint[] | null;
  options: LieOptions;
  units: UnitSystem;
  x: number;
  chosen: number | null;
  onChoose: (rank: number) => void;
  onX: (x: number) => void;
  /** Level that is shown, and today's. */
  levelM: number;
  todayM: number;
  onLevel: (levelM: number | null) => void;
  /** Hour of the day whose sun is shown. */
  hour: number;
  onHour: (hour: number) => void;
  problem: string | null;
  /** What is drawn is of before. */
  pale: boolean;
}

const LEVELS = { below: 0.6, above: 1.2, step: 0.05 } as const;

/** The run from above and cut across; level and hour can be moved and the picture follows. */
export function RunPicture(p: Props) {
  const { run, survey, units, x } = p;
  const wide = useWide();
  const { height } = useWindowDimensions();
  const sheet = Math.max(280, wide ? height - 170 : Math.min(400, height * 0.44));
  const cut = survey.lies.filter((l) => Math.abs(l.xM - x) <= l.lengthM / 2 + survey.channel.dx);
  const { sun } = p.options;
  const shade = sun && run.trees ? shadeOf(run, sun) : null;
  const dark = sun !== undefined && sun.altitudeDeg <= 0;
  const summary =
    `${run.name} from above, ${format('length', run.lengthM, units)} long, flowing down the picture, at ${formatLevel(p.levelM, units)}. ` +
    survey.lies.map((l) => `Lie ${l.rank}: ${lieReasons(l)[0]}, ${format('length', l.xM, units)} down`).join('. ');
  const away = Math.abs(p.levelM - p.todayM) > 0.001;
  const zoom = useZoom(run.lengthM);
  const sheetView = (
    <>
      <RunSheet
        run={run}
        survey={survey}
        units={units}
        height={sheet}
        from={zoom.from}
        to={zoom.to}
        {...zoom.gestures}
        chosen={p.chosen}
        sectionX={x}
        shade={dark ? null : shade}
        wade={p.wade}
        explained
        pale={p.pale}
        summary={summary}
        handles={survey.lies.map((l) => ({ id: String(l.rank), xM: l.xM, yM: l.yM }))}
        onHold={(rank) => p.onChoose(Number(rank))}
        onPoint={(at) => p.onX(Math.min(run.lengthM, Math.max(0, at.xM)))}
      />
      {zoom.zoomed ? <Button kind="quiet" label="Whole run" onPress={zoom.whole} /> : null}
    </>
  );
  const section = (
    <SectionView points={acrossAt(survey.channel, x)} bank={run.bank} lies={cut} units={units} height={150} />
  );
  const level = (
    <>
      {p.problem ? <Text role="alert">{`At this level: ${p.problem}.`}</Text> : null}
      <Slider
        label={away ? 'Level, not today’s' : 'Level, as today'}
        value={Math.round(p.levelM * 100) / 100}
        min={Math.round((p.todayM - LEVELS.below) * 20) / 20}
        max={Math.round((p.todayM + LEVELS.above) * 20) / 20}
        step={LEVELS.step}
        onChange={(v) => p.onLevel(v)}
        format={(v) => formatLevel(v, units)}
      />
      {away ? <Button kind="quiet" label="Back to today’s level" onPress={() => p.onLevel(null)} /> : null}
    </>
  );
  const looks = (
    <>
      {run.trees ? (
        <Slider
          label="Sun and shade at"
          value={p.hour}
          min={4}
          max={22}
          step={1}
          onChange={p.onHour}
          format={(v) => `${v}:00${dark ? ', dark' : ''}`}
        />
      ) : null}
      <Slider
        label="Cross-section"
        value={x}
        min={0}
        max={run.lengthM}
        step={0.5}
        onChange={p.onX}
        format={(v) => `${format('length', v, units)} down the run`}
      />
    </>
  );
  // On a wide screen sheet and section stand side by side; on a phone under each other.
  return wide ? (
    <Stack row gap="l">
      <View style={{ flex: 1 }}>{sheetView}</View>
      <Stack style={{ flex: 1 }}>
        {section}
        {level}
        {looks}
      </Stack>
    </Stack>
  ) : (
    <Stack>
      {sheetView}
      {level}
      <Fold title="Depth across, sun and shade" summary={`At ${format('length', x, units)} down the run, ${p.hour}:00`}>
        {looks}
        {section}
      </Fold>
    </Stack>
  );
}
