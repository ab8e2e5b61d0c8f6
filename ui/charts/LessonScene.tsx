import { useEffect, useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, Ellipse, G, Path } from 'react-native-svg';
import { type Theme, useTheme } from '../theme';
import { useMedia } from '../useMedia';
import { type At, type Body as BodyKind, SCENES, type SceneName, type Shape } from './lessonScenes';
import { Words } from './marks';
import { pathOf } from './plane';

interface Props {
  scene: SceneName;
  /** What is seen, for who cannot see it. */
  summary: string;
  /** Counted up, it plays again. */
  round: number;
}

const [WIDE, HIGH] = [160, 90];
/** A scene plays once, so long, s. */
const PLAYS_S = 3;

/** Between two frames, by a share of all of them. */
function between<T>(frames: readonly T[], share: number, mix: (a: T, b: T, f: number) => T): T {
  const at = share * (frames.length - 1);
  const i = Math.min(frames.length - 1, Math.floor(at));
  return mix(frames[i]!, frames[Math.min(frames.length - 1, i + 1)]!, at - i);
}
const point = (a: At, b: At, f: number): At => [a[0] + f * (b[0] - a[0]), a[1] + f * (b[1] - a[1])];
const points = (a: readonly At[], b: readonly At[], f: number): readonly At[] =>
  a.map((p, i) => point(p, b[i] ?? p, f));

/** The share of a scene that has played; where no motion is wanted, its end at once. */
function usePlayed(round: number): number {
  const calm = useMedia('(prefers-reduced-motion: reduce)');
  const [played, setPlayed] = useState({ round, share: 0 });
  useEffect(() => {
    if (calm) return;
    const since = performance.now();
    let frame = requestAnimationFrame(function step(now) {
      const share = Math.min(1, Math.max(0, (now - since) / 1000 / PLAYS_S));
      setPlayed({ round, share });
      if (share < 1) frame = requestAnimationFrame(step);
    });
    return () => cancelAnimationFrame(frame);
  }, [calm, round]);
  return calm ? 1 : played.round === round ? played.share : 0;
}

/** A step of a lesson, drawn and moving. */
export function LessonScene({ scene, summary, round }: Props) {
  const theme = useTheme();
  const share = usePlayed(round);
  return (
    <View role="img" aria-label={summary} style={{ aspectRatio: WIDE / HIGH, backgroundColor: theme.sand }}>
      <Svg width="100%" height="100%" viewBox={`0 0 ${WIDE} ${HIGH}`} pointerEvents="none">
        {SCENES[scene].map((shape: Shape, i) => (
          <Drawn key={i} shape={shape} share={share} theme={theme} />
        ))}
      </Svg>
    </View>
  );
}

function Drawn({ shape, share, theme }: { shape: Shape; share: number; theme: Theme }) {
  switch (shape.is) {
    case 'words':
      return <Words x={shape.at[0]} y={shape.at[1]} text={shape.text} size={8} />;
    case 'flow': {
      const [x, y] = shape.at;
      const d = shape.across ? `M${x - 10} ${y}h16m-5 -4l5 4l-5 4` : `M${x} ${y - 10}v16m-4 -5l4 5l4 -5`;
      return <Path d={d} stroke={theme.ink} strokeWidth={1.5} fill="none" />;
    }
    case 'fly':
    case 'you':
    case 'stick':
    case 'fish': {
      const at = between(shape.frames, share, point);
      return (
        <G>
          <Path
            d={pathOf(shape.frames)}
            stroke={theme.ink2}
            strokeWidth={0.8}
            strokeDasharray="1.5 3"
            strokeLinecap="round"
            fill="none"
          />
          <Body is={shape.is} at={at} theme={theme} />
        </G>
      );
    }
    case 'water':
    case 'ground':
    case 'tongue': {
      const fill = { water: theme.depth[1]!, ground: theme.edge, tongue: theme.depth[3]! }[shape.is];
      return <Path d={pathOf(between(shape.frames, share, points), true)} fill={fill} />;
    }
    default:
      return (
        <Path
          d={pathOf(between(shape.frames, share, points))}
          stroke={theme.ink}
          strokeWidth={{ line: 1.2, rod: 2.4, bed: 4, sight: 1 }[shape.is]}
          strokeDasharray={shape.is === 'sight' ? '3 3' : undefined}
          strokeLinecap="round"
          strokeLinejoin="round"
          fill="none"
        />
      );
  }
}

/** What moves, on the way that it takes. */
function Body({ is, at: [x, y], theme }: { is: BodyKind; at: At; theme: Theme }) {
  switch (is) {
    case 'fish':
      return <Ellipse cx={x} cy={y} rx={7} ry={2.6} fill={theme.ink} />;
    case 'you':
      return <Circle cx={x} cy={y} r={4} fill={theme.paper} stroke={theme.ink} strokeWidth={2} />;
    case 'stick':
      return <Path d={`M${x - 5} ${y}h10`} stroke={theme.ink} strokeWidth={2.5} />;
    case 'fly':
      return <Circle cx={x} cy={y} r={3} fill={theme.fly} stroke={theme.flyHalo} strokeWidth={1} />;
  }
}
