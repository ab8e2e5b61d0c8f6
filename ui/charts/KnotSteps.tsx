import Svg, { Circle, G, Path } from 'react-native-svg';
import { View } from 'react-native';
import type { Knot } from '@/core/tackle/card';
import { Text } from '../Text';
import { space, useTheme } from '../theme';

const WIDE = 150;
const HIGH = 74;

interface Drawing {
  /** The line that stands: leader or line. */
  readonly standing: string;
  /** The end that is led. */
  readonly end?: string;
  /** A hook’s eye. */
  readonly eye?: readonly [number, number];
}

const HOOK_EYE = [128, 37] as const;
const TURNS = (from: number, count: number, y: number): string =>
  Array.from({ length: count }, (_, i) => `M${from + 9 * i} ${y - 7}q7 7 -2 14`).join('');

/** Three moments of each knot, drawn by ourselves on 150 by 74 points. */
const DRAWINGS: Record<Knot, readonly [Drawing, Drawing, Drawing]> = {
  'loop to loop': [
    { standing: 'M4 37H50q26 -20 32 0q-6 20 -32 0', end: 'M146 37H100q-26 -16 -30 0q4 16 30 0' },
    {
      standing: 'M4 37H50q26 -20 32 0q-6 20 -32 0',
      end: 'M146 60C120 60 100 46 66 37q-16 -10 -12 0q4 8 14 6C92 40 100 20 146 14',
    },
    { standing: 'M4 37H58q14 -14 24 0q-10 14 -24 0', end: 'M146 37H92q-14 -14 -24 0q10 14 24 0' },
  ],
  'surgeon’s join': [
    { standing: 'M4 44H60c40 0 44 -34 20 -34s-20 34 20 34H140', end: 'M20 50H60c44 0 50 -46 20 -46s-26 46 20 46H146' },
    {
      standing: 'M4 44H60c40 0 44 -34 20 -34s-20 34 6 34q14 -18 -6 -22t0 26H140',
      end: 'M20 50H60c44 0 50 -46 20 -46s-26 46 8 46q18 -22 -8 -28t2 32H146',
    },
    { standing: 'M4 37H62q8 -12 13 0t13 0H146', end: 'M40 18L62 34q8 12 13 0t13 0L112 18' },
  ],
  clinch: [
    { standing: 'M4 37H122', end: `M122 37C112 52 104 50 96 44${TURNS(44, 5, 37)}M44 30L30 22`, eye: HOOK_EYE },
    {
      standing: 'M4 37H122',
      end: `M122 37q-8 16 -16 6q8 -22 4 -28C92 2 60 8 40 24${TURNS(56, 5, 37)}M110 15l-14 -8`,
      eye: HOOK_EYE,
    },
    { standing: 'M4 37H82', end: `${TURNS(84, 5, 37)}M86 28l-10 -12`, eye: HOOK_EYE },
  ],
  'open loop': [
    {
      standing: 'M4 37H60q14 -20 18 0q-4 18 -18 0',
      end: 'M78 37C96 20 112 26 122 37C112 50 92 52 70 38',
      eye: HOOK_EYE,
    },
    {
      standing: 'M4 37H60q14 -20 18 0q-4 18 -18 0',
      end: `M78 37C96 22 112 28 122 37C112 50 92 52 70 38${TURNS(24, 4, 37)}M24 44L40 58C52 62 62 54 70 40`,
      eye: HOOK_EYE,
    },
    { standing: 'M4 37H62', end: `${TURNS(64, 4, 37)}M100 37q12 -14 24 0q-12 14 -24 0`, eye: HOOK_EYE },
  ],
  'stop knot': [
    { standing: 'M4 44H146', end: 'M20 38H112q14 -10 0 -20H48' },
    { standing: 'M4 44H146', end: `M20 38H112q14 -10 0 -20H60${TURNS(58, 3, 36)}M58 30L40 16` },
    { standing: 'M4 44H146', end: `${TURNS(62, 4, 44)}M62 38L46 26M98 50L114 62` },
  ],
};

/** How a knot is tied, in three drawings with their words. */
export function KnotSteps({ knot, steps }: { knot: Knot; steps: readonly string[] }) {
  const theme = useTheme();
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.m }}>
      {DRAWINGS[knot].map((d, i) => (
        <View key={i} style={{ width: WIDE, flexGrow: 1, maxWidth: 260 }}>
          <Svg width={WIDE} height={HIGH} aria-hidden>
            {d.eye ? (
              <G>
                <Circle cx={d.eye[0]} cy={d.eye[1]} r={6} stroke={theme.ink} strokeWidth={2} fill="none" />
                <Path d={`M${d.eye[0] + 6} ${d.eye[1]}H150`} stroke={theme.ink} strokeWidth={3} fill="none" />
              </G>
            ) : null}
            <Path d={d.standing} stroke={theme.ink} strokeWidth={2.4} fill="none" strokeLinecap="round" />
            {d.end ? (
              <Path
                d={d.end}
                stroke={theme.ink2}
                strokeWidth={2.4}
                fill="none"
                strokeLinecap="round"
                strokeDasharray={d.eye ? undefined : '7 3'}
              />
            ) : null}
          </Svg>
          <Text size="small">{`${i + 1}. ${steps[i]}`}</Text>
        </View>
      ))}
    </View>
  );
}
