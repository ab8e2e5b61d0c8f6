import { Circle, G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { FONT, type Theme } from '../theme';
import type { Plane, Window } from './plane';
import { format, type UnitSystem } from '@/words/units';

type Px = readonly [number, number];

/** Where words stand to their place, px. */
export interface Off {
  readonly dx?: number;
  readonly dy?: number;
  readonly anchor?: 'start' | 'middle' | 'end';
}

interface LabelProps extends Off {
  at: Px;
  theme: Theme;
  text: string;
  width: number;
}

/** Half the width of a letter, px. */
const HALF_LETTER = 4;
/** Radius of the circle round a lie’s number, px. */
export const NUMBER_R = 11;

/** Whether words beside a place keep clear of the numbers of the lies. */
export function clearOfNumbers([x, y]: Px, text: string, { dx = 0, dy = 0, anchor }: Off, numbers: readonly Px[]) {
  const half = HALF_LETTER * text.length;
  const middle = x + dx + (anchor === 'end' ? -half : dx ? half : 0);
  return numbers.every(([a, b]) => Math.abs(a - middle) > half + NUMBER_R || Math.abs(b - (y + dy - 5)) > NUMBER_R + 9);
}

/** The names of the banks stand along the sheet's sides, px. */
const BANK_PX = 18;
/** Whether words beside a place stay clear of the sheet's sides: else they would be pushed back over it. */
export function clearOfSides([x]: Px, text: string, { dx = 0, anchor }: Off, width: number): boolean {
  const length = 2 * HALF_LETTER * text.length;
  return dx === 0 || (anchor === 'end' ? x + dx - length >= BANK_PX : x + dx + length <= width - BANK_PX);
}

/** Words on the sheet, with a halo so that no tint swallows them; kept inside the frame. */
export function Label({
  at: [x, y],
  theme,
  text,
  dx = 0,
  dy = 0,
  anchor = dx ? 'start' : 'middle',
  width,
}: LabelProps) {
  const half = text.length * HALF_LETTER;
  const left = anchor === 'start' ? 4 : half + 4;
  const px = Math.max(left, Math.min(width - (anchor === 'start' ? 2 * half : half) - 4, x + dx));
  const common = {
    x: px,
    y: Math.max(13, y + dy),
    fontFamily: FONT,
    fontSize: 14,
    fontWeight: '700',
    textAnchor: anchor,
  } as const;
  return (
    <G>
      <SvgText {...common} stroke={theme.flyHalo} strokeWidth={4} strokeLinejoin="round" fill={theme.flyHalo}>
        {text}
      </SvgText>
      <SvgText {...common} fill={theme.ink}>
        {text}
      </SvgText>
    </G>
  );
}

export function Angler({ at, theme, xM, yM }: { at: Plane; theme: Theme; xM: number; yM: number }) {
  const [x, top] = at.px(xM, yM);
  const y = Math.max(26, top); // at the head of the run the mark still stands whole on the sheet
  return (
    <G>
      <Circle cx={x} cy={y} r={9} fill={theme.ink} stroke={theme.flyHalo} strokeWidth={2} />
      <Circle cx={x} cy={y} r={3.5} fill={theme.paper} />
      <Label at={[x, y]} theme={theme} text="you" dx={0} dy={-14} width={at.width} />
    </G>
  );
}

interface GripProps {
  at: Px;
  theme: Theme;
  text: string;
  width: number;
  /** Where somebody stands: the words keep clear of them. */
  clearOf: Px | null;
}

/** Words of a grip need so much room, px. */
const GRIP_WORDS = { across: 70, along: 24 } as const;

/** Where a thumb can take hold: a ring that looks like nothing in the river. */
export function Grip({ at: [x, y], theme, text, width, clearOf }: GripProps) {
  const [besideX, besideY] = clearOf ?? [x, y];
  const turned = besideX > x && besideX - x < GRIP_WORDS.across && Math.abs(besideY - y) < GRIP_WORDS.along;
  const side = turned ? ({ dx: -13, anchor: 'end' } as const) : ({ dx: 13 } as const);
  return (
    <G>
      <Circle cx={x} cy={y} r={10} fill={theme.paper} fillOpacity={0.85} stroke={theme.ink} strokeWidth={1.6} />
      <Path
        d={`M${x - 5} ${y - 2}h10M${x - 5} ${y + 2}h10`}
        stroke={theme.ink}
        strokeWidth={1.6}
        strokeLinecap="round"
      />
      <Label at={[x, y]} theme={theme} text={text} {...side} dy={5} width={width} />
    </G>
  );
}

export function SectionLine({ at, xM, theme, window }: { at: Plane; xM: number; theme: Theme; window: Window }) {
  const [x1, y1] = at.px(xM, window.nearM);
  const [x2] = at.px(xM, window.farM);
  return <Line x1={x1} x2={x2} y1={y1} y2={y1} stroke={theme.ink} strokeWidth={2} strokeDasharray="8 4" />;
}

/** The banks by name, along the edges. Flow goes down the screen, so the true left bank is at the reader's right. */
export function BankNames({ at, theme }: { at: Plane; theme: Theme }) {
  const y = at.height / 2;
  const name = (x: number, turn: number, text: string) => (
    <SvgText
      transform={`translate(${x} ${y}) rotate(${turn})`}
      textAnchor="middle"
      fontFamily={FONT}
      fontSize={13}
      fontWeight="700"
      fill={theme.ink2}
    >
      {text}
    </SvgText>
  );
  return (
    <G>
      {name(15, -90, 'right bank')}
      {name(at.width - 15, 90, 'left bank')}
    </G>
  );
}

/** Room that the arrow needs with a word beside it, px. */
const ARROW_ROOM = { across: 48, down: 74 } as const;

/** The way of the current, in the upper right corner; in the other one where somebody stands in that. */
export function FlowArrow({ at, theme, clearOf }: { at: Plane; theme: Theme; clearOf: Px | null }) {
  const taken = clearOf !== null && clearOf[0] > at.width - ARROW_ROOM.across && clearOf[1] < ARROW_ROOM.down;
  const x = taken ? 18 : at.width - 18;
  return (
    <Path
      d={`M${x} 12V44M${x - 7} 36L${x} 45L${x + 7} 36`}
      stroke={theme.ink}
      strokeWidth={2.5}
      fill="none"
      strokeLinecap="round"
      strokeLinejoin="round"
    />
  );
}

/** Where a bar so many px wide, with its words over it, lies on no lie's number: below on the left, on the right, or above. */
export function barPlace({ width, height }: Plane, wide: number, numbers: readonly Px[]): Px {
  const places: Px[] = [
    [8, height - 18],
    [width - 8 - wide, height - 18],
    [8, 20],
  ];
  const free = ([x, y]: Px) =>
    numbers.every(([a, b]) => a < x - NUMBER_R || a > x + wide + NUMBER_R || Math.abs(b - y) > NUMBER_R + 9);
  return places.find(free) ?? places[0]!;
}

/** A length to measure by, where no lie's number stands. */
export function ScaleBar({
  at,
  theme,
  units,
  numbers,
}: {
  at: Plane;
  theme: Theme;
  units: UnitSystem;
  numbers: readonly Px[];
}) {
  const foot = 0.3048;
  const lengths = units === 'metric' ? [2, 5, 10, 20] : [5 * foot, 10 * foot, 20 * foot, 50 * foot];
  const m = lengths.find((l) => l * at.across >= 40) ?? lengths[lengths.length - 1]!;
  const w = m * at.across;
  const times = at.across / at.scale;
  // Of two scales the bar measures across, as it lies.
  const text = `${format('length', m, units)}${times > 1.05 ? ` across, drawn ${times.toFixed(1)} × as wide` : ''}`;
  const [x, y] = barPlace(at, Math.max(w, 2 * HALF_LETTER * text.length), numbers);
  return (
    <G>
      <Rect x={x} y={y + 6} width={w} height={4} fill={theme.ink} stroke={theme.flyHalo} strokeWidth={1} />
      <Label at={[x, y]} theme={theme} text={text} dx={0.01} width={at.width} />
    </G>
  );
}
