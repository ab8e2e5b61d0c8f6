import { Circle, Ellipse, G, Path, Text as SvgText } from 'react-native-svg';
import type { FishLie } from '@/core/lies';
import { FONT, type Theme } from '../theme';
import type { Plane } from './plane';
import { NUMBER_R } from './SheetMarks';

type Placed = ReturnType<typeof badges>;

export function Lies({ placed, theme, chosen }: { placed: Placed; theme: Theme; chosen: number | null }) {
  return (
    <G>
      {placed.map(({ lie, x, y, rx, ry }) => {
        const on = lie.rank === chosen;
        return (
          <Ellipse
            key={lie.rank}
            cx={x}
            cy={y}
            rx={rx}
            ry={ry}
            fill={theme.paper}
            fillOpacity={0.22}
            stroke={theme.ink}
            strokeWidth={on ? 3 : 1.6}
            strokeDasharray={on ? undefined : '5 4'}
          />
        );
      })}
    </G>
  );
}

/** The numbers lie over the path, so that none is lost under it. */
export function LieNumbers({
  placed,
  theme,
  chosen,
  names,
}: {
  placed: Placed;
  theme: Theme;
  chosen: number | null;
  /** What stands in place of a rank. */
  names?: ReadonlyMap<number, string>;
}) {
  return (
    <G>
      {placed.map(({ lie, badge: [x, y] }) => {
        const on = lie.rank === chosen;
        return (
          <G key={lie.rank}>
            <Circle
              cx={x}
              cy={y}
              r={NUMBER_R}
              fill={on ? theme.ink : theme.paper}
              stroke={theme.ink}
              strokeWidth={1.6}
            />
            <SvgText
              x={x}
              y={y + 5}
              textAnchor="middle"
              fontFamily={FONT}
              fontSize={14}
              fontWeight="700"
              fill={on ? theme.onInk : theme.ink}
            >
              {names?.get(lie.rank) ?? lie.rank}
            </SvgText>
          </G>
        );
      })}
    </G>
  );
}

/** Lies in sight, each with its number beside it, on the side where no other number stands. */
export function badges(lies: readonly FishLie[], at: Plane) {
  const placed: (readonly [number, number])[] = [];
  return lies.flatMap((lie) => {
    const [x, y] = at.px(lie.xM, lie.yM);
    if (y < 0 || y > at.height) return [];
    const rx = Math.max(9, (lie.widthM * at.across) / 2);
    const ry = Math.max(9, (lie.lengthM * at.scale) / 2);
    const free = ([px, py]: readonly [number, number]) =>
      px > 12 && px < at.width - 12 && placed.every(([qx, qy]) => Math.hypot(px - qx, py - qy) > 24);
    const around = [
      [x - rx - 9, y],
      [x + rx + 9, y],
      [x, y - ry - 6],
      [x, y + ry + 6],
      [x - rx - 9, y + 20],
    ] as const;
    const badge = around.find(free) ?? around[0];
    placed.push(badge);
    return [{ lie, x, y, rx, ry, badge }];
  });
}

/** Where a lie was on another day, and where it went; null: it is gone. */
export interface Moved {
  readonly from: readonly [number, number];
  readonly to: readonly [number, number] | null;
}

/** Half of the cross of what is gone, the head of an arrow, and the least move that is drawn, px. */
const [CROSS, HEAD, LEAST_PX] = [6, 8, 12];

/** Arrows from where lies were to where they are; a cross where one is gone. */
export function Moves({ moves, at, theme }: { moves: readonly Moved[]; at: Plane; theme: Theme }) {
  const d = moves.flatMap(({ from, to }) => {
    const [x, y] = at.px(...from);
    if (!to) return [`M${x - CROSS} ${y - CROSS}l${2 * CROSS} ${2 * CROSS}m0 ${-2 * CROSS}l${-2 * CROSS} ${2 * CROSS}`];
    const [u, v] = at.px(...to);
    if (Math.hypot(u - x, v - y) < LEAST_PX) return [];
    const way = Math.atan2(v - y, u - x);
    const barb = (by: number) => `L${u - HEAD * Math.cos(way + by)} ${v - HEAD * Math.sin(way + by)}`;
    return [`M${x} ${y}L${u} ${v}${barb(0.5)}M${u} ${v}${barb(-0.5)}`];
  });
  return (
    <>
      <Path d={d.join('')} stroke={theme.paper} strokeWidth={5} fill="none" strokeLinecap="round" />
      <Path d={d.join('')} stroke={theme.ink} strokeWidth={2} fill="none" strokeLinecap="round" />
    </>
  );
}
