import type { ReactNode } from 'react';
import Svg, { Circle, Ellipse, G, Line, Path, Rect } from 'react-native-svg';
import type { FlyColour, FlyFamily, FlyItem } from '@/core/tackle';
import { useTheme } from '../theme';

/** Dyes as they are drawn: ours, for a person in daylight. */
const DYES: Record<FlyColour, string> = {
  black: '#262320',
  'black and blue': '#2d3f86',
  olive: '#6d7236',
  brown: '#6e4a2c',
  tan: '#c19b66',
  white: '#f3efe4',
  yellow: '#e8c024',
  red: '#b5302a',
  orange: '#dd7a24',
  pink: '#e391ab',
  purple: '#6a3f86',
};

/** What a family is made of, as shares of its length: the head at 1, the end of the tail at 0. */
interface Likeness {
  /** Where the hook's bend is, and how far its point comes forward. */
  readonly bend: number;
  /** Height of the body. */
  readonly body: number;
  readonly tail?: 'plume' | 'strip' | 'claws' | 'fibres' | 'none';
  readonly wing?: 'hair' | 'strip' | 'feather';
  readonly hackle?: 'along' | 'collar' | 'long collar';
  readonly head?: 'small' | 'wide' | 'egg' | 'foam';
  readonly joint?: true;
  readonly tube?: true;
}
const LIKENESSES: Record<FlyFamily, Likeness> = {
  'woolly bugger': { bend: 0.42, body: 0.13, tail: 'plume', hackle: 'along', head: 'small' },
  'rabbit strip': { bend: 0.5, body: 0.14, tail: 'strip', wing: 'strip', head: 'small' },
  sculpin: { bend: 0.55, body: 0.2, tail: 'strip', hackle: 'collar', head: 'wide' },
  'slim baitfish': { bend: 0.6, body: 0.07, tail: 'fibres', wing: 'hair', head: 'small' },
  'lead-eye baitfish': { bend: 0.62, body: 0.08, tail: 'fibres', wing: 'hair', head: 'small' },
  'articulated streamer': { bend: 0.3, body: 0.13, tail: 'plume', hackle: 'along', head: 'wide', joint: true },
  muddler: { bend: 0.45, body: 0.1, tail: 'none', wing: 'feather', hackle: 'collar', head: 'wide' },
  crayfish: { bend: 0.6, body: 0.17, tail: 'claws', hackle: 'along', head: 'small' },
  'egg-sucking leech': { bend: 0.45, body: 0.12, tail: 'strip', hackle: 'along', head: 'egg' },
  'micro streamer': { bend: 0.55, body: 0.13, tail: 'plume', head: 'small' },
  'shank fly': { bend: 0.35, body: 0.08, tail: 'none', hackle: 'long collar', head: 'small', joint: true },
  'tube fly': { bend: 0.3, body: 0.06, tail: 'none', wing: 'hair', hackle: 'collar', head: 'small', tube: true },
  'winged wet': { bend: 0.22, body: 0.12, tail: 'fibres', wing: 'feather', hackle: 'collar', head: 'small' },
  'soft-hackle spider': { bend: 0.15, body: 0.1, tail: 'none', hackle: 'collar', head: 'small' },
  'large soft hackle': { bend: 0.2, body: 0.14, tail: 'none', hackle: 'long collar', head: 'small' },
  'hair-wing wet': { bend: 0.3, body: 0.11, tail: 'fibres', wing: 'hair', hackle: 'collar', head: 'small' },
  'waking fly': { bend: 0.3, body: 0.14, tail: 'fibres', wing: 'hair', hackle: 'collar', head: 'foam' },
};

/** The height of a drawing as a share of its length. */
const HIGH = 0.62;
const MIDDLE = 0.3;
/** A fly of a centimetre is still seen. */
const LEAST_PX = 26;

interface Props {
  fly: Pick<FlyItem, 'family' | 'colour' | 'also' | 'flash' | 'lengthM' | 'hookUp' | 'weight'>;
  /** So many points to the metre; all flies of a list alike. */
  perM: number;
  /** Drawn in other colours: as they arrive at an eye. */
  tint?: (colour: FlyColour) => string;
  label?: string;
}

/** A small likeness of a fly by its family and colours, to scale, its head to the right. */
export function FlyLikeness({ fly, perM, tint = (c) => DYES[c], label }: Props) {
  const theme = useTheme();
  const width = Math.max(LEAST_PX, fly.lengthM * perM);
  const l = LIKENESSES[fly.family];
  const main = tint(fly.colour);
  const body = tint(fly.also?.[0]?.colour ?? fly.colour);
  // The third colour is a stripe along the flank.
  const flank = fly.also?.[1] && tint(fly.also[1].colour);
  const height = HIGH * width;
  const x = (share: number) => share * width;
  const y = (share: number) => (MIDDLE + share) * width * 1;
  const ink = theme.ink;
  const edge = { stroke: ink, strokeWidth: 0.8, strokeLinejoin: 'round' as const };
  const flip = fly.hookUp ? `translate(0 ${2 * y(0)}) scale(1 -1)` : undefined;
  return (
    <Svg width={width} height={height} role="img" aria-label={label} aria-hidden={label ? undefined : true}>
      <G transform={flip}>
        <Hook bend={l.bend} width={width} x={x} y={y} ink={ink} />
      </G>
      <Tail kind={l.tail ?? 'none'} bend={l.bend} x={x} y={y} fill={main} edge={edge} />
      {l.tube ? <Rect x={x(0.34)} y={y(-0.02)} width={x(0.62)} height={x(0.04)} fill={theme.paper} {...edge} /> : null}
      <Body l={l} x={x} y={y} fill={body} edge={edge} />
      <Wing kind={l.wing} bend={l.bend} x={x} y={y} fill={main} edge={edge} />
      {flank ? (
        <Path
          d={`M${x(0.9)} ${y(-0.03)}C${x(0.7)} ${y(-0.08)} ${x(0.4)} ${y(-0.08)} ${x(0.2)} ${y(-0.06)}`}
          stroke={flank}
          strokeWidth={Math.max(1.5, 0.03 * width)}
          fill="none"
        />
      ) : null}
      <Hackle kind={l.hackle} l={l} x={x} y={y} stroke={main === body ? ink : main} />
      {fly.flash ? (
        <Path
          d={`M${x(0.88)} ${y(-0.05)}L${x(0.12)} ${y(-0.08)}M${x(0.88)} ${y(-0.02)}L${x(0.2)} ${y(-0.13)}`}
          stroke={theme.ink2}
          strokeWidth={0.8}
          strokeDasharray="2 2"
          fill="none"
        />
      ) : null}
      <Head
        l={l}
        weight={fly.weight}
        x={x}
        y={y}
        fill={main}
        edge={edge}
        metal={theme.ink2}
        paper={theme.card}
        egg={tint('orange')}
      />
    </Svg>
  );
}

type Place = (share: number) => number;
interface Part {
  x: Place;
  y: Place;
}
interface Filled extends Part {
  fill: string;
  edge: object;
}

function Hook({ bend, x, y, ink, width }: Part & { bend: number; width: number; ink: string }) {
  const gape = 0.13;
  const d = `M${x(0.98)} ${y(0)}L${x(bend)} ${y(0.02)}C${x(bend - 0.1)} ${y(0.03)} ${x(bend - 0.08)} ${y(gape + 0.03)} ${x(bend + 0.02)} ${y(gape + 0.02)}L${x(bend + 0.12)} ${y(gape - 0.01)}`;
  return <Path d={d} stroke={ink} strokeWidth={Math.max(1, 0.022 * width)} strokeLinecap="round" fill="none" />;
}

function Tail({ kind, bend, x, y, fill, edge }: Filled & { kind: NonNullable<Likeness['tail']>; bend: number }) {
  switch (kind) {
    case 'plume':
      return (
        <Path
          d={`M${x(bend + 0.04)} ${y(-0.03)}C${x(0.25)} ${y(-0.12)} ${x(0.1)} ${y(-0.03)} ${x(0.02)} ${y(0.02)}C${x(0.1)} ${y(0.05)} ${x(0.25)} ${y(0.07)} ${x(bend + 0.04)} ${y(0.03)}Z`}
          fill={fill}
          {...edge}
        />
      );
    case 'strip':
      return (
        <Path
          d={`M${x(bend + 0.06)} ${y(-0.07)}C${x(0.34)} ${y(-0.14)} ${x(0.2)} ${y(0.02)} ${x(0.01)} ${y(-0.05)}C${x(0.12)} ${y(0.08)} ${x(0.3)} ${y(0.02)} ${x(bend + 0.06)} ${y(0.03)}Z`}
          fill={fill}
          {...edge}
        />
      );
    case 'claws':
      return (
        <>
          {[-1, 1].map((side) => (
            <Path
              key={side}
              d={`M${x(bend + 0.05)} ${y(0)}C${x(0.4)} ${y(side * 0.02)} ${x(0.3)} ${y(side * 0.16)} ${x(0.03)} ${y(side * 0.17)}C${x(0.18)} ${y(side * 0.08)} ${x(0.02)} ${y(side * 0.05)} ${x(bend + 0.05)} ${y(side * 0.05)}Z`}
              fill={fill}
              {...edge}
            />
          ))}
        </>
      );
    case 'fibres':
      return (
        <Path
          d={[-0.06, -0.02, 0.02].map((o) => `M${x(bend + 0.08)} ${y(0)}L${x(0.03)} ${y(o)}`).join('')}
          stroke={fill}
          strokeWidth={1.4}
          fill="none"
        />
      );
    case 'none':
      return null;
  }
}

function Body({ l, x, y, fill, edge }: Filled & { l: Likeness }) {
  const ball = (from: number, to: number) => (
    <Ellipse cx={x((from + to) / 2)} cy={y(0)} rx={x((to - from) / 2)} ry={x(l.body / 2)} fill={fill} {...edge} />
  );
  if (l.tube) return null;
  if (!l.joint) return ball(l.bend - 0.02, 0.94);
  const mid = (l.bend + 0.94) / 2;
  return (
    <>
      {ball(l.bend - 0.02, mid - 0.03)}
      {ball(mid + 0.03, 0.94)}
    </>
  );
}

function Wing({ kind, bend, x, y, fill, edge }: Filled & { kind: Likeness['wing']; bend: number }) {
  switch (kind) {
    case 'hair':
      return (
        <Path
          d={`M${x(0.92)} ${y(-0.02)}C${x(0.7)} ${y(-0.2)} ${x(0.3)} ${y(-0.16)} ${x(0.04)} ${y(-0.07)}C${x(0.3)} ${y(-0.03)} ${x(0.7)} ${y(-0.05)} ${x(0.92)} ${y(-0.02)}Z`}
          fill={fill}
          {...edge}
        />
      );
    case 'strip':
      return (
        <Path
          d={`M${x(0.92)} ${y(-0.04)}C${x(0.75)} ${y(-0.18)} ${x(0.55)} ${y(-0.13)} ${x(bend)} ${y(-0.07)}L${x(bend)} ${y(-0.02)}L${x(0.92)} ${y(-0.02)}Z`}
          fill={fill}
          {...edge}
        />
      );
    case 'feather':
      return (
        <Path
          d={`M${x(0.9)} ${y(-0.03)}C${x(0.7)} ${y(-0.22)} ${x(0.35)} ${y(-0.22)} ${x(0.12)} ${y(-0.16)}C${x(0.3)} ${y(-0.06)} ${x(0.6)} ${y(-0.05)} ${x(0.9)} ${y(-0.03)}Z`}
          fill={fill}
          {...edge}
        />
      );
    default:
      return null;
  }
}

function Hackle({ kind, l, x, y, stroke }: Part & { kind: Likeness['hackle']; l: Likeness; stroke: string }) {
  const fibre = (at: number, back: number, rise: number) => `M${x(at)} ${y(0)}L${x(at - back)} ${y(rise)}`;
  const draw = (lines: readonly string[], width: number) => (
    <Path d={lines.join('')} stroke={stroke} strokeWidth={width} strokeLinecap="round" fill="none" />
  );
  switch (kind) {
    case 'along':
      return draw(
        Array.from({ length: 9 }, (_, i) => l.bend + 0.02 + (i * (0.9 - l.bend)) / 8).flatMap((at) => [
          fibre(at, 0.05, -0.13),
          fibre(at, 0.05, 0.11),
        ]),
        0.9,
      );
    case 'collar':
      return draw(
        [-0.18, -0.14, -0.09, 0.09, 0.13, 0.17].map((rise, i) => fibre(0.9, 0.24 - 0.02 * (i % 3), rise)),
        1,
      );
    case 'long collar':
      return draw(
        [-0.2, -0.16, -0.12, -0.08, -0.04, 0.05, 0.09, 0.13, 0.16].map((rise, i) =>
          fibre(0.88, 0.6 + 0.09 * (i % 3), rise),
        ),
        1,
      );
    default:
      return null;
  }
}

interface HeadProps extends Filled {
  l: Likeness;
  weight: FlyItem['weight'];
  metal: string;
  paper: string;
  egg: string;
}

function Head({ l, weight, x, y, fill, edge, metal, paper, egg }: HeadProps): ReactNode {
  const parts: ReactNode[] = [];
  if (l.head === 'wide')
    parts.push(
      <Path
        key="h"
        d={`M${x(0.97)} ${y(0)}C${x(0.95)} ${y(-0.14)} ${x(0.83)} ${y(-0.15)} ${x(0.76)} ${y(-0.12)}L${x(0.76)} ${y(0.11)}C${x(0.84)} ${y(0.14)} ${x(0.95)} ${y(0.12)} ${x(0.97)} ${y(0)}Z`}
        fill={fill}
        {...edge}
      />,
    );
  if (l.head === 'egg') parts.push(<Circle key="e" cx={x(0.9)} cy={y(0)} r={x(0.085)} fill={egg} {...edge} />);
  if (l.head === 'foam')
    parts.push(
      <Path
        key="f"
        d={`M${x(1)} ${y(-0.12)}C${x(0.8)} ${y(-0.2)} ${x(0.5)} ${y(-0.16)} ${x(0.35)} ${y(-0.06)}L${x(0.9)} ${y(-0.03)}Z`}
        fill={fill}
        {...edge}
      />,
    );
  if (l.head === 'small') parts.push(<Circle key="s" cx={x(0.94)} cy={y(0)} r={x(0.035)} fill={fill} {...edge} />);
  if (weight === 'bead') parts.push(<Circle key="b" cx={x(0.92)} cy={y(0)} r={x(0.075)} fill={metal} {...edge} />);
  if (weight === 'cone')
    parts.push(
      <Path key="c" d={`M${x(1)} ${y(0)}L${x(0.86)} ${y(-0.09)}L${x(0.86)} ${y(0.09)}Z`} fill={metal} {...edge} />,
    );
  if (weight === 'lead eyes')
    parts.push(
      <Circle key="l" cx={x(0.88)} cy={y(-0.08)} r={x(0.065)} fill={metal} {...edge} />,
      <Circle key="p" cx={x(0.885)} cy={y(-0.08)} r={x(0.02)} fill={paper} />,
    );
  if (weight === 'wire')
    parts.push(
      <G key="w">
        {[0.6, 0.66, 0.72, 0.78].map((at) => (
          <Line key={at} x1={x(at)} y1={y(-0.06)} x2={x(at)} y2={y(0.06)} stroke={metal} strokeWidth={1.4} />
        ))}
      </G>,
    );
  return parts;
}
