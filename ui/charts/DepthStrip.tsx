import { useMemo } from 'react';
import { View } from 'react-native';
import Svg from 'react-native-svg';
import type { Verdict } from '@/core/advice';
import type { Band, FishingEnd, SwingResult } from '@/core/swing';
import { flyAt, HZ, lengthS, rowOf } from '@/core/swing/series';
import { sample, sampleWater, type WaterGrid } from '@/core/water';

import { DRAGGED, PALE, useDrag } from '../useDrag';
import { useWidth } from './plane';
import { Axes, DoubtBand, FlyWays, Ground, LieBands, Moment, Now, Over, type StripScale } from './StripLayers';
import { toShown, unitOf, type UnitSystem } from '@/words/units';

interface Props {
  result: SwingResult;
  grid: WaterGrid;
  verdicts: readonly Verdict[];
  band: Band | null;
  /** Another swing to compare with. */
  kept?: SwingResult | null;
  units: UnitSystem;
  t: number;
  onScrub: (t: number) => void;
  /** Rank of the lie that is talked about. */
  chosen?: number | null;
  height: number;
  /** Only a first look: what is drawn is pale. */
  pale?: boolean;
  summary: string;
}

const LEFT = 34;
const RIGHT = 6;
const TOP = 8;
const BOTTOM = 20;
/** The bed is drawn at every so many rows. */
const BED_ROWS = 5;
/** The least depth that the strip shows, m. */
const SHALLOWEST_M = 0.6;

/** Depth of the water under the fly, and the greatest of it. */
function bedUnder(result: SwingResult, grid: WaterGrid) {
  const bed: number[] = [];
  for (let i = 0; i < result.rows; i += BED_ROWS) {
    const { xM, yM } = flyAt(result, i);
    sampleWater(grid, xM, yM);
    bed.push(sample.h);
  }
  return { bed, deepestM: Math.max(SHALLOWEST_M, ...bed) };
}

/** Where a swing stops fishing, in a word. */
const OVER: Record<FishingEnd, string> = { bed: 'drags', slow: 'hangs', hang: 'hangs', end: '' };
/** What comes after it gets so much of the width. */
const STUB = 0.12;

/** Seconds to pixels and back: what fishes has nearly the whole width, the rest is a stub. */
function timeScale(result: SwingResult, left: number, width: number) {
  const seconds = lengthS(result);
  const to = result.fishing && result.fishing.toS < seconds - 1 ? result.fishing.toS : null;
  if (to === null) {
    return { sx: (t: number) => left + (t / seconds) * width, timeAt: (x: number) => ((x - left) / width) * seconds };
  }
  const main = (1 - STUB) * width;
  return {
    sx: (t: number) => left + (t <= to ? (t / to) * main : main + ((t - to) / (seconds - to)) * (width - main)),
    timeAt: (x: number) =>
      x - left <= main ? ((x - left) / main) * to : to + ((x - left - main) / (width - main)) * (seconds - to),
  };
}

/** The same seconds as the path on the sheet: surface, bed under the fly, the band wanted at each lie, the fly's depth. */
export function DepthStrip(props: Props) {
  const { result, grid, verdicts, band, kept = null, units, t, onScrub, chosen = null, height } = props;
  const [width, onLayout] = useWidth();
  const seconds = lengthS(result);
  const { bed, deepestM } = useMemo(() => bedUnder(result, grid), [grid, result]);
  const plotW = Math.max(1, width - LEFT - RIGHT);
  const plotH = height - TOP - BOTTOM;
  const { sx, timeAt } = timeScale(result, LEFT, plotW);
  const scale: StripScale = {
    sx,
    sy: (depth) => TOP + (depth / (1.1 * deepestM)) * plotH,
    left: LEFT,
    right: LEFT + plotW,
    top: TOP,
    bottom: TOP + plotH,
  };
  const scrub = (time: number) => onScrub(Math.min(seconds, Math.max(0, time)));
  const drag = useDrag((p) => scrub(timeAt(p.x * width)));
  const keys = (e: { key: string; preventDefault: () => void }) => {
    const by = { ArrowLeft: -0.5, ArrowRight: 0.5, PageDown: -5, PageUp: 5, Home: -1e3, End: 1e3 }[e.key];
    if (by === undefined) return;
    e.preventDefault();
    scrub(t + by);
  };
  const here = flyAt(result, rowOf(result, t));
  const { fishing } = result;
  return (
    <View
      onLayout={onLayout}
      {...drag}
      {...({ onKeyDown: keys } as object)}
      role="slider"
      tabIndex={0}
      aria-label={props.summary}
      aria-valuemin={0}
      aria-valuemax={Math.round(seconds)}
      aria-valuenow={Math.round(t)}
      aria-valuetext={`${t.toFixed(1)} seconds, fly at ${toShown('depth', here.depthM, units).toFixed(2)} ${unitOf('depth', units)}`}
      style={[{ height }, DRAGGED, props.pale ? PALE : null]}
    >
      {width > 0 ? (
        <Svg width={width} height={height} pointerEvents="none">
          <Ground bed={bed} hz={HZ / BED_ROWS} scale={scale} />
          <LieBands verdicts={verdicts} chosen={chosen} scale={scale} />
          {band ? <DoubtBand band={band} rows={result.rows} scale={scale} /> : null}
          <FlyWays result={result} kept={kept} scale={scale} />
          {fishing && fishing.fromS > 1 ? <Moment tS={fishing.fromS} text="tight" scale={scale} /> : null}
          {fishing && fishing.toS < seconds - 1 ? (
            <Over tS={fishing.toS} text={OVER[fishing.ends]} scale={scale} />
          ) : null}
          <Axes units={units} deepestM={deepestM} seconds={fishing?.toS ?? seconds} height={height} scale={scale} />
          <Now fly={here} scale={scale} />
        </Svg>
      ) : null}
    </View>
  );
}
