import { useRef, useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, Line, Path, Rect } from 'react-native-svg';
import type { Section } from '@/core/water';

import { useTheme } from '../theme';
import { DRAGGED, useDrag, type DragPoint } from '../useDrag';
import { ticks, Words } from './marks';
import { pathOf, useWidth } from './plane';
import { format, toShown, type UnitSystem } from '@/words/units';

interface Props {
  section: Section;
  bank: 'left' | 'right';
  units: UnitSystem;
  height: number;
  /** Called once, when a point is let go. */
  onChange: (points: Section['points']) => void;
}

const LEFT = 34;
const TOP = 12;
const BOTTOM = 20;
/** Points keep this distance from their neighbours, m. */
const APART_M = 0.2;
const HOLD_PX = 26;

/** A cross-section whose points can be dragged: sideways and down. */
export function SectionEditor({ section, bank, units, height, onChange }: Props) {
  const theme = useTheme();
  const [width, onLayout] = useWidth();
  const [moved, setMoved] = useState<{ readonly i: number; readonly points: Section['points'] } | null>(null);
  const held = useRef<number | null>(null);
  const points = moved?.points ?? section.points;
  // The scale stays as it was when the drag began.
  const first = section.points[0]!.yM;
  const last = section.points[section.points.length - 1]!.yM;
  const span = last - first;
  const deepest = 1.35 * Math.max(0.6, ...section.points.map((p) => p.depthM));
  const w = Math.max(1, width - LEFT - 14);
  const h = height - TOP - BOTTOM;
  const share = (y: number) => (bank === 'left' ? (last - y) / span : (y - first) / span);
  const sx = (y: number) => LEFT + share(y) * w;
  const sy = (d: number) => TOP + (d / deepest) * h;
  const start = (at: DragPoint) => {
    const near = points
      .map((p, i) => ({ i, d: Math.hypot(sx(p.yM) - at.x * width, sy(p.depthM) - at.y * height) }))
      .sort((a, b) => a.d - b.d)[0]!;
    held.current = near.d < HOLD_PX ? near.i : null;
  };
  const move = (at: DragPoint) => {
    const i = held.current;
    if (i === null) return;
    const part = (at.x * width - LEFT) / w;
    const y = bank === 'left' ? last - part * span : first + part * span;
    const d = ((at.y * height - TOP) / h) * deepest;
    const edge = i === 0 || i === points.length - 1;
    const least = i === 0 ? -Infinity : points[i - 1]!.yM + APART_M;
    const most = i === points.length - 1 ? Infinity : points[i + 1]!.yM - APART_M;
    const yM = Math.round(10 * Math.min(most, Math.max(least, y))) / 10;
    const depthM = edge ? points[i]!.depthM : Math.round(20 * Math.max(0, d)) / 20;
    setMoved({ i, points: points.map((p, j) => (j === i ? { yM, depthM } : p)) });
  };
  const end = () => {
    held.current = null;
    if (moved) onChange(moved.points);
    setMoved(null);
  };
  const drag = useDrag(move, start, end);
  const bed = points.map((p) => [sx(p.yM), sy(p.depthM)] as const);
  const heldPoint = moved?.points[moved.i];
  return (
    <View
      onLayout={onLayout}
      {...drag}
      role="img"
      aria-label={`Cross-section of ${points.length} points; drag them, or type below`}
      style={[{ height }, DRAGGED]}
    >
      {width > 0 ? (
        <Svg width={width} height={height} pointerEvents="none">
          <Rect x={LEFT} y={TOP} width={w} height={h} fill={theme.bed} />
          <Path d={pathOf([[bed[0]![0], TOP], ...bed, [bed[bed.length - 1]![0], TOP]], true)} fill={theme.depth[2]} />
          <Line x1={LEFT} x2={LEFT + w} y1={TOP} y2={TOP} stroke={theme.ink} strokeWidth={2} />
          <Path d={pathOf(bed)} stroke={theme.ink} strokeWidth={2} fill="none" strokeLinejoin="round" />
          {bed.map(([x, y], i) => (
            <Circle key={i} cx={x} cy={y} r={8} fill={theme.paper} stroke={theme.ink} strokeWidth={2.5} />
          ))}
          {/* Not the surface: the bank’s point lies on it. */}
          {ticks(toShown('depth', deepest, units), 3)
            .slice(1)
            .map((d) => (
              <Words key={d} x={LEFT - 6} y={sy(d / toShown('depth', 1, units)) + 4} text={String(d)} anchor="end" />
            ))}
          <Words x={LEFT} y={height - 4} text="right bank" anchor="start" />
          <Words x={LEFT + w} y={height - 4} text="left bank" anchor="end" />
          {heldPoint ? (
            <Words
              x={Math.min(width - 50, Math.max(LEFT + 46, sx(heldPoint.yM)))}
              y={Math.max(TOP + 14, sy(heldPoint.depthM) - 14)}
              text={`${format('depth', heldPoint.depthM, units)} at ${format('line', heldPoint.yM, units)}`}
              bold
            />
          ) : null}
        </Svg>
      ) : null}
    </View>
  );
}
