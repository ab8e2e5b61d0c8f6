import { View } from 'react-native';
import Svg, { Circle, Line } from 'react-native-svg';
import type { DayOut } from '@/core/learn/pictures';
import { useTheme } from '../theme';
import { Words } from './marks';
import { useWidth } from './plane';

interface Props {
  readonly days: readonly DayOut[];
  readonly summary: string;
}

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
const [LEFT, TOP, ROW] = [36, 22, 24];
export const CALENDAR_HEIGHT = TOP + 12 * ROW + 4;
/** Every so many days a number stands above. */
const NUMBERED = [1, 10, 20, 31];
/** A day of so many hours is drawn as large as there is room, min. */
const LONG_DAY_MIN = 8 * 60;
const SMALLEST = 3;

/** A line for each month: a mark for each day out, larger for a longer one, full where a fish took. */
export function YearCalendar({ days, summary }: Props) {
  const theme = useTheme();
  const [width, onLayout] = useWidth();
  const step = Math.max(1, width - LEFT - 8) / 31;
  const sx = (day: number) => LEFT + (day - 0.5) * step;
  const sy = (month: number) => TOP + (month + 0.5) * ROW;
  const largest = Math.min(ROW / 2 - 1, 1.3 * step);
  const radius = (minutes: number) => Math.max(SMALLEST, largest * Math.sqrt(Math.min(1, minutes / LONG_DAY_MIN)));
  return (
    <View onLayout={onLayout} role="img" aria-label={summary} style={{ height: CALENDAR_HEIGHT }}>
      {width > 0 ? (
        <Svg width={width} height={CALENDAR_HEIGHT} pointerEvents="none">
          {NUMBERED.map((d) => (
            <Words key={d} x={sx(d)} y={14} text={String(d)} />
          ))}
          {MONTHS.map((m, i) => (
            <Words key={m} x={0} y={sy(i) + 4} text={m} anchor="start" />
          ))}
          {MONTHS.map((m, i) => (
            <Line key={m} x1={LEFT} x2={width - 8} y1={sy(i)} y2={sy(i)} stroke={theme.hairline} strokeWidth={1} />
          ))}
          {days.map((d) => (
            <Circle
              key={`${d.month}-${d.day}`}
              cx={sx(d.day)}
              cy={sy(d.month)}
              r={radius(d.minutes)}
              fill={d.takes > 0 ? theme.line : theme.paper}
              stroke={theme.line}
              strokeWidth={1.5}
            />
          ))}
        </Svg>
      ) : null}
    </View>
  );
}
