import { Text as SvgText } from 'react-native-svg';
import { FONT, useTheme } from '../theme';

interface WordsProps {
  x: number;
  y: number;
  text: string;
  bold?: boolean;
  anchor?: 'start' | 'middle' | 'end';
  /** Of its letters, in the drawing’s own points; not said: as on a chart. */
  size?: number;
}

export function Words({ x, y, text, bold, anchor = 'middle', size = 13 }: WordsProps) {
  const theme = useTheme();
  return (
    <SvgText
      x={x}
      y={y}
      textAnchor={anchor}
      fontFamily={FONT}
      fontSize={size}
      fontWeight={bold ? '700' : '400'}
      fill={bold ? theme.ink : theme.ink2}
    >
      {text}
    </SvgText>
  );
}

/** Round values from 0 to at most `max`, about `count` of them. */
export function ticks(max: number, count: number): number[] {
  const raw = max / count;
  const power = 10 ** Math.floor(Math.log10(raw));
  const step = [1, 2, 5, 10].map((k) => k * power).find((k) => k >= raw) ?? raw;
  const out: number[] = [];
  for (let v = 0; v <= max + 1e-9; v += step) out.push(Number(v.toFixed(6)));
  return out;
}
