import { View } from 'react-native';
import Svg, { Circle, G, Line, Text as SvgText } from 'react-native-svg';
import type { Crossed } from '@/core/learn/pictures';
import { FONT, useTheme } from '../theme';
import { Words } from './marks';
import { useWidth } from './plane';

interface Props {
  readonly table: Crossed;
  readonly rowNames: readonly string[];
  readonly columnNames: readonly string[];
  readonly summary: string;
}

const [TOP, ROW, LEFT] = [96, 40, 112];
/** For the end of the last leaning name, px. */
const RIGHT = 48;
/** Names of columns lean, so that long ones have room. */
const LEAN_DEG = -50;
export const crossHeight = (rows: number): number => TOP + rows * ROW + 4;
/** Below this radius a number of takes has no room within, px. */
const ROOM_PX = 9;

/** Two things crossed: a disc for the casts made where both stood, and in it how many takes they brought. */
export function CrossTable({ table: { rows, columns, cells }, rowNames, columnNames, summary }: Props) {
  const theme = useTheme();
  const [width, onLayout] = useWidth();
  const step = Math.min(72, Math.max(1, width - LEFT - RIGHT) / Math.max(1, columns.length));
  const sx = (i: number) => LEFT + (i + 0.5) * step;
  const sy = (i: number) => TOP + (i + 0.5) * ROW;
  const most = Math.max(1, ...cells.flat().map((c) => c.casts));
  const largest = Math.min(ROW, step) / 2 - 1;
  return (
    <View onLayout={onLayout} role="img" aria-label={summary} style={{ height: crossHeight(rows.length) }}>
      {width > 0 ? (
        <Svg width={width} height={crossHeight(rows.length)} pointerEvents="none">
          {columns.map((c, i) => (
            <SvgText
              key={c}
              x={sx(i)}
              y={TOP - 8}
              fontFamily={FONT}
              fontSize={13}
              fill={theme.ink2}
              transform={`rotate(${LEAN_DEG} ${sx(i)} ${TOP - 8})`}
            >
              {columnNames[i]}
            </SvgText>
          ))}
          {rows.map((r, i) => (
            <G key={r}>
              <Line
                x1={LEFT}
                x2={LEFT + columns.length * step}
                y1={sy(i)}
                y2={sy(i)}
                stroke={theme.hairline}
                strokeWidth={1}
              />
              <Words x={0} y={sy(i) + 4} text={rowNames[i]!} anchor="start" />
              {columns.map((c, j) => {
                const { casts, takes } = cells[i]![j]!;
                if (casts === 0) return null;
                const radius = Math.max(2, largest * Math.sqrt(casts / most));
                const isWithin = radius >= ROOM_PX;
                return (
                  <G key={c}>
                    <Circle
                      cx={sx(j)}
                      cy={sy(i)}
                      r={radius}
                      fill={takes > 0 ? theme.depth[1] : theme.paper}
                      stroke={theme.line}
                      strokeWidth={1.5}
                    />
                    {takes > 0 ? (
                      <Words x={isWithin ? sx(j) : sx(j) + radius + 7} y={sy(i) + 4} text={String(takes)} bold />
                    ) : null}
                  </G>
                );
              })}
            </G>
          ))}
        </Svg>
      ) : null}
    </View>
  );
}
