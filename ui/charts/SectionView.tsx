import { View } from 'react-native';
import Svg, { Line, Path, Rect } from 'react-native-svg';
import type { FishLie } from '@/core/lies';
import type { SectionPoint } from '@/core/water';

import { useTheme } from '../theme';
import { ticks, Words } from './marks';
import { pathOf, useWidth } from './plane';
import { format, toShown, type UnitSystem } from '@/words/units';

interface Props {
  points: readonly SectionPoint[];
  bank: 'left' | 'right';
  /** Lies that the section cuts. */
  lies: readonly FishLie[];
  units: UnitSystem;
  height: number;
}

const LEFT = 34;
const TOP = 34;
const BOTTOM = 20;

/** The river cut across, seen looking downstream turned as the sheet is: depth below, speed as bars above. */
export function SectionView({ points, bank, lies, units, height }: Props) {
  const theme = useTheme();
  const [width, onLayout] = useWidth();
  const first = points[0]!.yM;
  const last = points[points.length - 1]!.yM;
  const deepest = Math.max(0.3, ...points.map((p) => p.depthM));
  const fastest = Math.max(0.1, ...points.map((p) => p.speedMps));
  const w = Math.max(1, width - LEFT - 6);
  const h = height - TOP - BOTTOM;
  const sx = (y: number) => LEFT + (bank === 'left' ? (last - y) / (last - first) : (y - first) / (last - first)) * w;
  const sy = (d: number) => TOP + (d / (1.12 * deepest)) * h;
  const bed = points.map((p) => [sx(p.yM), sy(p.depthM)] as const);
  const water = pathOf([[sx(first), TOP], ...bed, [sx(last), TOP]], true);
  const ground = pathOf([[sx(first), TOP], ...bed, [sx(last), TOP], [sx(last), TOP + h], [sx(first), TOP + h]], true);
  const mean = points.find((p) => p.speedMps === fastest);
  const deep = points.find((p) => p.depthM === deepest) ?? points[0]!;
  return (
    <View
      onLayout={onLayout}
      role="img"
      aria-label={`Cross-section ${format('length', last - first, units)} wide, deepest ${format('depth', deepest, units)}, fastest ${format('speed', fastest, units)}`}
      style={{ height }}
    >
      {width > 0 ? (
        <Svg width={width} height={height} pointerEvents="none">
          <Rect x={LEFT} y={TOP} width={w} height={h} fill={theme.bed} />
          <Path d={water} fill={theme.depth[2]} />
          <Path d={ground} fill={theme.bed} fillRule="evenodd" />
          {points
            .filter((_, i) => i % 3 === 1)
            .map((p) => (
              <Line
                key={p.yM}
                x1={sx(p.yM)}
                x2={sx(p.yM)}
                y1={TOP - 1}
                y2={TOP - 1 - (p.speedMps / fastest) * 22}
                stroke={theme.ink2}
                strokeWidth={3}
              />
            ))}
          <Line x1={LEFT} x2={LEFT + w} y1={TOP} y2={TOP} stroke={theme.ink} strokeWidth={2} />
          {lies.map((l) => {
            const half = Math.max(6, ((l.widthM / 2) * w) / (last - first));
            return (
              <Rect
                key={l.rank}
                x={sx(l.yM) - half}
                y={sy(l.band.topM)}
                width={2 * half}
                height={Math.max(4, sy(l.band.bottomM) - sy(l.band.topM))}
                fill={theme.paper}
                fillOpacity={0.8}
                stroke={theme.ink}
                strokeWidth={1.5}
              />
            );
          })}
          {lies.map((l) => (
            <Words
              key={l.rank}
              x={sx(l.yM)}
              y={(sy(l.band.topM) + sy(l.band.bottomM)) / 2 + 5}
              text={String(l.rank)}
              bold
            />
          ))}
          {ticks(toShown('depth', deepest, units), 3).map((d) => (
            <Words key={d} x={LEFT - 5} y={sy(d / toShown('depth', 1, units)) + 4} text={String(d)} anchor="end" />
          ))}
          <Words
            x={Math.min(width - 60, Math.max(LEFT + 40, sx(mean?.yM ?? first)))}
            y={9}
            text={`${format('speed', fastest, units)} at most`}
          />
          <Words
            x={sx(deep.yM)}
            y={Math.min(TOP + h + 15, sy(deepest) + 16)}
            text={format('depth', deepest, units)}
            bold
          />
          <Words x={LEFT} y={height - 4} text="right bank" anchor="start" />
          <Words x={LEFT + w} y={height - 4} text="left bank" anchor="end" />
        </Svg>
      ) : null}
    </View>
  );
}
