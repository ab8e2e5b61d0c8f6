import { flyAt, rowOf } from '@/core/swing/series';
import { Circle, G, Path } from 'react-native-svg';
import type { SwingResult } from '@/core/swing';
import type { Theme } from '../theme';
import { pathOf, type Plane } from './plane';
import { clearOfNumbers, clearOfSides, Label, type Off } from './SheetMarks';

export interface SheetSwing {
  readonly result: SwingResult;
  /** Moment whose line is drawn strong, s. */
  readonly t: number;
  /** Only the line and the fly as they are now: where it goes is what is asked. */
  readonly hushed?: boolean;
}

interface Props {
  swing: SheetSwing;
  at: Plane;
  theme: Theme;
}
interface PathProps extends Props {
  /** Where other words stand already, px. */
  taken: readonly (readonly [number, number])[];
  /** Where the numbers of the lies stand, px. */
  numbers: readonly (readonly [number, number])[];
}

const placeOf = (r: SwingResult, at: Plane) => (row: number) => {
  const { xM, yM } = flyAt(r, row);
  return at.px(xM, yM);
};

/** A path of no more points than the eye tells apart. */
const MOST_POINTS = 240;
function wayOf(r: SwingResult, at: Plane, fromRow = 0, toRow = r.rows - 1) {
  const every = Math.max(2, Math.ceil(r.rows / MOST_POINTS));
  const rows = Array.from({ length: Math.ceil((toRow - fromRow) / every) }, (_, i) => fromRow + every * i);
  return [...rows, toRow].map(placeOf(r, at));
}

function lineAt(r: SwingResult, at: Plane, when: number): string {
  const l = r.lines[Math.min(r.lines.length - 1, Math.max(0, Math.round(when * 2)))];
  if (!l) return '';
  const points: (readonly [number, number])[] = [];
  for (let k = 0; k < l.xyz.length; k += 3) points.push(at.px(l.xyz[k]!, l.xyz[k + 1]!));
  return pathOf(points);
}

/** A narrower sheet has no room for words. */
const NARROW_PX = 240;
/** Height of a line of words, px. */
const LINE_PX = 26;
/** Words stand beside their place or above it; elsewhere about it where a lie’s number is in the way. */
const BESIDE: readonly Off[] = [
  { dx: 12, dy: 4 },
  { dx: -12, dy: 4, anchor: 'end' },
];
/** Nearer to the fly than this, a word would lie under it, px. */
const UNDER_FLY_PX = 16;
const ABOVE: readonly Off[] = [{ dy: -8 }, { dy: 22 }, ...BESIDE];
/** Seconds between two marks. */
const MARK_S = 5;

/** The fly's way, strong where it fishes, with a mark every five seconds, and the line where it is. */
export function SwingPath({ swing: { result, t, hushed }, at, theme, taken, numbers }: PathProps) {
  const place = placeOf(result, at);
  if (hushed) {
    const [x, y] = place(rowOf(result, t));
    return (
      <G>
        <Path d={lineAt(result, at, t)} stroke={theme.ink} strokeWidth={2.6} fill="none" strokeLinejoin="round" />
        <Circle cx={x} cy={y} r={7.5} fill={theme.fly} stroke={theme.flyHalo} strokeWidth={2.5} />
      </G>
    );
  }
  const { rows, fishing } = result;
  const all = pathOf(wayOf(result, at));
  const fishes = fishing && pathOf(wayOf(result, at, rowOf(result, fishing.fromS), rowOf(result, fishing.toS)));
  const marks = Array.from({ length: Math.floor((fishing?.toS ?? 0) / MARK_S) }, (_, i) =>
    place(rowOf(result, MARK_S * (i + 1))),
  );
  const now = place(rowOf(result, t));
  const tight = fishing?.fromS ?? null;
  const touch = result.firstTouchS;
  const roomy = at.width > NARROW_PX;
  // Words that would lie on one another are left out: the strip below has them all.
  const said = [...taken];
  const event = (when: number, text: string, offs: readonly Off[]) => {
    const there = place(rowOf(result, when));
    const underFly = offs === BESIDE && Math.hypot(there[0] - now[0], there[1] - now[1]) < UNDER_FLY_PX;
    const [x, y] = underFly ? now : there;
    const clear = offs.filter((o) => clearOfNumbers([x, y], text, o, numbers));
    const off = clear.find((o) => clearOfSides([x, y], text, o, at.width)) ?? clear[0];
    if (!off || !roomy || said.some(([a, b]) => Math.abs(a - x) < 90 && Math.abs(b - y) < LINE_PX)) return null;
    said.push([x, y]);
    return <Label at={[x, y]} theme={theme} text={text} {...off} width={at.width} />;
  };
  return (
    <G>
      {[0, 0.25, 0.6].map((share) => (
        <Path
          key={share}
          d={lineAt(result, at, (share * rows) / 10)}
          stroke={theme.ink}
          strokeOpacity={0.35}
          strokeWidth={1.5}
          fill="none"
        />
      ))}
      <Path d={lineAt(result, at, t)} stroke={theme.ink} strokeWidth={2.6} fill="none" strokeLinejoin="round" />
      <Path d={all} stroke={theme.flyHalo} strokeWidth={5} fill="none" strokeLinejoin="round" strokeLinecap="round" />
      <Path d={all} stroke={theme.fly} strokeWidth={1.5} fill="none" strokeLinejoin="round" strokeLinecap="round" />
      {fishes ? (
        <>
          <Path d={fishes} stroke={theme.flyHalo} strokeWidth={7} fill="none" strokeLinecap="round" />
          <Path d={fishes} stroke={theme.fly} strokeWidth={4} fill="none" strokeLinecap="round" />
        </>
      ) : null}
      {marks.map(([x, y], i) => (
        <Circle key={i} cx={x} cy={y} r={3.6} fill={theme.flyHalo} stroke={theme.fly} strokeWidth={2} />
      ))}
      {event(0, 'lands', ABOVE)}
      {tight !== null && tight > 1 ? event(tight, 'tight', BESIDE) : null}
      {touch !== null && Math.abs(touch - (tight ?? -9)) > 2 ? event(touch, 'touches', BESIDE) : null}
      <Circle cx={now[0]} cy={now[1]} r={7.5} fill={theme.fly} stroke={theme.flyHalo} strokeWidth={2.5} />
    </G>
  );
}

/** A swing kept to compare with: thinner, dashed, its line at the same second. */
export function KeptPath({ swing: { result, t }, at, theme }: Props) {
  const [x, y] = placeOf(result, at)(rowOf(result, t));
  return (
    <G>
      <Path d={lineAt(result, at, t)} stroke={theme.ink} strokeOpacity={0.5} strokeWidth={1.6} fill="none" />
      <Path
        d={pathOf(wayOf(result, at))}
        stroke={theme.fly}
        strokeWidth={2}
        strokeDasharray="2 5"
        strokeLinecap="round"
        fill="none"
      />
      <Circle cx={x} cy={y} r={5.5} fill={theme.flyHalo} stroke={theme.fly} strokeWidth={2.5} />
    </G>
  );
}
