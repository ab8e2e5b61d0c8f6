import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import {
  type CurvePoint,
  type CurveRequest,
  effect,
  type Variable,
  VARIABLE_NAMES,
  type VariableName,
  VARIABLES,
} from '@/core/practice';

import { useSettings } from '@/store/hooks';
import { Block, Choice, Hint, IconButton, Loading, Problem, Screen, Slider, Stack, Text } from '@/ui';
import { MoveCurve } from '@/ui/charts';
import { curveOf } from '@/workers/river';
import { useJob } from '../shared/useJob';
import { format, toShown, unitOf, type UnitSystem } from '@/words/units';
import { BROKE_OFF } from '@/words/refusals';

const CURRENTS = { slow: 0.5, walking: 0.9, fast: 1.3 } as const;
type Current = keyof typeof CURRENTS;

/** One thing varied, all else held: what it does to depth and speed, by the same engine as every swing. */
export function MovesScreen() {
  const router = useRouter();
  const [{ units }] = useSettings();
  const [variable, setMover] = useState<VariableName>('angle');
  const [current, setCurrent] = useState<Current>('walking');
  const [line, setLine] = useState<'clean' | 'dirty'>('clean');
  const ask = useMemo<CurveRequest>(
    () => ({ variable, u: CURRENTS[current], lineClean: line === 'clean' }),
    [variable, current, line],
  );
  const { value, error } = useJob(ask, curveOf, 0);
  return (
    <Screen
      title="What moves the fly"
      subtitle="One thing at a time, the rest fixed"
      lead={<IconButton label="Back to the rig" icon="back" onPress={() => router.navigate('/rig')} />}
      picture={
        error ? (
          <Problem title="Couldn’t draw the curve">{BROKE_OFF}</Problem>
        ) : value ? (
          <Curves variable={variable} points={value} units={units} />
        ) : (
          <Loading what="Simulating…" room={CURVES_PX} />
        )
      }
    >
      {value ? <Sentences variable={variable} points={value} units={units} /> : null}
      <Choice
        label="Vary"
        options={VARIABLE_NAMES.map((m) => ({ value: m, label: VARIABLES[m].label }))}
        value={variable}
        onChange={setMover}
      />
      {variable === 'current' ? null : (
        <Choice
          label="In water of this pace at the surface"
          options={(Object.keys(CURRENTS) as Current[]).map((c) => ({
            value: c,
            label: `${c}, ${format('speed', CURRENTS[c], units)}`,
          }))}
          value={current}
          onChange={setCurrent}
        />
      )}
      <Choice
        label="The floating line is"
        options={[
          { value: 'clean', label: 'clean' },
          { value: 'dirty', label: 'dirty' },
        ]}
        value={line}
        onChange={setLine}
      />
      <Block title="What stays fixed">
        <Text>
          {`${format('line', 18, units)} of line out at 75°, ${format('length', 3.048, units)} of tip (${format('sinkRate', 0.1778, units)}), a bulky fly without weight. Rod still, no mend. Even water ${format('depth', 4, units)} deep, so that the fly never touches the bed.`}
        </Text>
      </Block>
    </Screen>
  );
}

const valueWords = (m: Variable, p: CurvePoint, units: UnitSystem): string =>
  p.words ?? (m.quantity === 'angle' ? `${p.value}°` : format(m.quantity!, p.value, units));

/** The curves with their words and slider on a phone, px. */
const CURVES_PX = 660;

interface CurveProps {
  variable: VariableName;
  points: readonly CurvePoint[];
  units: UnitSystem;
}

function Curves({ variable, points, units }: CurveProps) {
  const m: Variable = VARIABLES[variable];
  const [picked, setPicked] = useState<{ variable: VariableName; i: number } | null>(null);
  const i = Math.min(points.length - 1, picked?.variable === variable ? picked.i : Math.floor(points.length / 2));
  const here = points[i]!;
  const depth = (v: number | null) => (v === null ? null : toShown('depth', v, units));
  const labels = points.map((p) => valueWords(m, p, units).replace(/ (m|ft|m\/s|ft\/s|in\/s|cm\/s|ips)$/, ''));
  const at = points.map((p) => p.value);
  const half = here.halfwayM === null ? '' : `, ${format('depth', here.halfwayM, units)} half way round`;
  const words = `At ${valueWords(m, here, units)}: deepest ${format('depth', here.deepestM, units)}${half}, ${format('depth', here.dangleM, units)} on the dangle, ${format('speed', here.crossMps, units)} across.`;
  return (
    <Stack>
      <Text size="strong">How deep the fly runs</Text>
      <MoveCurve
        labels={labels}
        at={at}
        curves={[
          { name: 'deepest', values: points.map((p) => depth(p.deepestM)) },
          { name: 'dangle', values: points.map((p) => depth(p.dangleM)), dashed: true },
        ]}
        chosen={i}
        unit={unitOf('depth', units)}
        down
        height={210}
        summary={`Depth of the fly by ${m.label}. ${words}`}
      />
      <Text size="strong">How fast it goes across</Text>
      <MoveCurve
        labels={labels}
        at={at}
        curves={[{ name: 'across', values: points.map((p) => toShown('speed', p.crossMps, units)) }]}
        chosen={i}
        unit={unitOf('speed', units)}
        height={130}
        summary={`Speed across by ${m.label}. ${words}`}
      />
      <Slider
        label={m.label}
        value={i}
        min={0}
        max={points.length - 1}
        step={1}
        onChange={(k) => setPicked({ variable, i: k })}
        format={(k) => valueWords(m, points[k]!, units)}
      />
      <Text aria-live="polite">{words}</Text>
    </Stack>
  );
}

/** What the curves say, from their own numbers. */
function Sentences({ variable, points, units }: CurveProps) {
  const m: Variable = VARIABLES[variable];
  const depth = (v: number) => format('depth', v, units);
  const say = (what: string, e: ReturnType<typeof effect>, show: (v: number) => string) =>
    `${what} ${e.word} (${show(e.from)} to ${show(e.to)})`;
  const first = valueWords(m, points[0]!, units);
  const last = valueWords(m, points[points.length - 1]!, units);
  return (
    <Hint>
      {`From ${first} to ${last}, the ${m.label} moves ${say(
        'the deepest point',
        effect(points, (p) => p.deepestM),
        depth,
      )}, ${say(
        'the dangle',
        effect(points, (p) => p.dangleM),
        depth,
      )}, ${say(
        'the speed across',
        effect(points, (p) => p.crossMps),
        (v) => format('speed', v, units),
      )}.${m.claim ? ` ${m.claim}` : ''}`}
    </Hint>
  );
}
