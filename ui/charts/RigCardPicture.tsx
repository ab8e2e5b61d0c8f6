import Svg, { Circle, G, Line, Path, Rect } from 'react-native-svg';
import type { CardMark, CardPiece, RigCard } from '@/core/tackle/card';
import { useTheme } from '../theme';
import { Words } from './marks';
import { markWords } from '@/words/rigCard';
import { format, type UnitSystem } from '@/words/units';

interface Props {
  card: RigCard;
  units: UnitSystem;
  width: number;
  height: number;
}

const TOP = 56;
const BOTTOM = 34;
/** The leader hangs here from the left edge. */
const SPINE = 96;
/** Diameters are drawn so many times as wide as lengths are long: they could not be seen otherwise. */
const WIDER = 14;
const LEAST_GAP = 16;
const GROUP_GAP = 5;
/** Mean width of a letter of the words beside it, points. */
const LETTER = 7;

const lengthText = (m: number, units: UnitSystem) => format(m < 0.4 ? 'small' : 'depth', m, units);

/** Words in lines of so many letters at the most. */
function wrapped(text: string, letters: number): string[] {
  const out: string[] = [];
  for (const word of text.split(' ')) {
    const last = out.at(-1);
    if (last !== undefined && last.length + word.length < letters) out[out.length - 1] = `${last} ${word}`;
    else out.push(word);
  }
  return out;
}

/** Groups of lines that would stand over each other are moved apart: where each begins. */
function apart(wanted: readonly { readonly from: number; readonly lines: readonly string[] }[]): number[] {
  const out: number[] = [];
  let free = -Infinity;
  for (const { from, lines } of wanted) {
    out.push(Math.max(from, free));
    free = out.at(-1)! + lines.length * LEAST_GAP + GROUP_GAP;
  }
  return out;
}

/** A rig as it is tied, to scale from the line’s loop down to the point fly. */
export function RigCardPicture({ card, units, width, height }: Props) {
  const theme = useTheme();
  const perM = (height - TOP - BOTTOM) / card.leaderM;
  const at = (aboveM: number) => TOP + (card.leaderM - aboveM) * perM;
  const letters = Math.floor((width - SPINE - 34) / LETTER);
  const words = [
    ...card.pieces.map((p) => ({ from: at(p.aboveM - p.lengthM / 2), text: pieceText(p, units), bold: false })),
    ...card.marks
      .filter((m) => m.kind !== 'ring')
      .map((m) => {
        const arm = m.armM ? `, ${lengthText(m.armM, units)} arm` : '';
        const up = m.aboveM > 0 && m.kind !== 'knot' ? `, ${lengthText(m.aboveM, units)} up` : '';
        return { from: at(m.aboveM), text: `${markWords(m)}${up}${arm}`, bold: m.kind !== 'knot' };
      }),
  ]
    .map((w) => ({ ...w, lines: wrapped(w.text, w.bold ? letters - 3 : letters) }))
    .sort((a, b) => a.from - b.from);
  const ys = apart(words);
  const lowest = (ys.at(-1) ?? 0) + (words.at(-1)?.lines.length ?? 1) * LEAST_GAP;
  return (
    <Svg width={width} height={Math.max(height, lowest + 8)} role="img" aria-label={summary(card, units)}>
      <Path
        d={`M${SPINE} 6V${TOP - 22}M${SPINE - 7} ${TOP - 16}l14 -6M${SPINE - 7} ${TOP - 10}l14 -6M${SPINE} ${TOP - 10}V${TOP}`}
        stroke={theme.ink}
        strokeWidth={3}
        fill="none"
      />
      <Words x={SPINE + 18} y={24} text={card.above.slice(-2).join(' + ')} anchor="start" bold />
      <Spine card={card} at={at} perM={perM} />
      {words.map((w, i) => (
        <G key={`${w.from} ${w.text}`}>
          <Line x1={SPINE + 8} y1={w.from} x2={SPINE + 26} y2={ys[i]! - 4} stroke={theme.hairline} strokeWidth={1} />
          {w.lines.map((line, j) => (
            <Words key={j} x={SPINE + 30} y={ys[i]! + j * LEAST_GAP} text={line} anchor="start" bold={w.bold} />
          ))}
        </G>
      ))}
      {card.marks.map((m, i) => (
        <Mark key={i} mark={m} y={at(m.aboveM)} perM={perM} />
      ))}
    </Svg>
  );
}

const mm = (m: number) => (1000 * m).toFixed(2);
const pieceText = (p: CardPiece, units: UnitSystem): string =>
  `${p.label} ${lengthText(p.lengthM, units)}, ${p.toDiameterM === p.diameterM ? mm(p.diameterM) : `${mm(p.diameterM)} to ${mm(p.toDiameterM)}`} mm`;

const summary = (card: RigCard, units: UnitSystem): string =>
  [
    `From the line down: ${card.above.join(', ')}`,
    ...card.pieces.map((p) => pieceText(p, units)),
    ...card.marks.filter((m) => m.kind !== 'knot').map(markWords),
  ].join('; ');

function Spine({ card, at, perM }: { card: RigCard; at: (aboveM: number) => number; perM: number }) {
  const theme = useTheme();
  return card.pieces.map((p, i) => {
    const from = at(p.aboveM);
    const to = at(p.aboveM - p.lengthM);
    const [a, b] = [p.diameterM, p.toDiameterM].map((d) => Math.max(1.2, (d * perM * WIDER) / 2)) as [number, number];
    const d = `M${SPINE - a} ${from}L${SPINE + a} ${from}L${SPINE + b} ${to}L${SPINE - b} ${to}Z`;
    return (
      <G key={i}>
        <Path d={d} fill={p.sighter ? theme.paper : theme.ink2} stroke={theme.ink} strokeWidth={1} />
        {p.sighter
          ? [0.15, 0.45, 0.75].map((f) => (
              <Rect
                key={f}
                x={SPINE - a}
                y={from + f * (to - from)}
                width={2 * a}
                height={0.13 * (to - from)}
                fill={theme.ink}
              />
            ))
          : null}
      </G>
    );
  });
}

/** What is at a place: a knot, a ring, shot, a float, or a fly on its arm. */
function Mark({ mark, y, perM }: { mark: CardMark; y: number; perM: number }) {
  const theme = useTheme();
  switch (mark.kind) {
    case 'knot':
      return <Circle cx={SPINE} cy={y} r={3.5} fill={theme.ink} />;
    case 'ring':
      return <Circle cx={SPINE} cy={y} r={5} fill={theme.paper} stroke={theme.ink} strokeWidth={2} />;
    case 'shot':
      return <Circle cx={SPINE} cy={y - 5} r={4.5} fill={theme.ink2} stroke={theme.ink} strokeWidth={1} />;
    case 'float':
      return (
        <G>
          <Circle cx={SPINE} cy={y} r={11} fill={theme.paper} stroke={theme.ink} strokeWidth={2} />
          <Line x1={SPINE - 11} y1={y} x2={SPINE + 11} y2={y} stroke={theme.ink} strokeWidth={2} />
        </G>
      );
    case 'fly':
      return <Hung mark={mark} y={y} perM={perM} />;
  }
}

/** A fly on its arm, in line or at the end: all to scale, but no smaller than can be seen. */
function Hung({ mark, y, perM }: { mark: CardMark; y: number; perM: number }) {
  const theme = useTheme();
  const arm = Math.max(mark.armM ? 14 : 0, (mark.armM ?? 0) * perM);
  const long = Math.max(16, (mark.fly?.lengthM ?? 0.03) * perM);
  // An arm stands off to the left and hangs; without one the fly lies in the line.
  const [x0, y0] = mark.armM ? [SPINE - 0.8 * arm, y + 0.6 * arm] : [SPINE, y];
  const body = mark.armM
    ? `M${x0} ${y0}q-7 ${long / 2} 0 ${long}q7 ${-long / 2} 0 ${-long}Z`
    : `M${x0} ${y0}q-8 ${long / 2} 0 ${long}q8 ${-long / 2} 0 ${-long}Z`;
  return (
    <G>
      {mark.armM ? <Line x1={SPINE} y1={y} x2={x0} y2={y0} stroke={theme.ink} strokeWidth={1.6} /> : null}
      <Path d={body} fill={theme.fly} stroke={theme.ink} strokeWidth={1} />
      <Path d={`M${x0} ${y0 + long * 0.75}q9 4 6 -7`} stroke={theme.ink} strokeWidth={1.4} fill="none" />
    </G>
  );
}
