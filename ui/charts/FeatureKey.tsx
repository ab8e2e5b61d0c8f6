import { StyleSheet, View } from 'react-native';
import Svg, { Line, Rect } from 'react-native-svg';
import type { Feature } from '@/core/water';
import { Text } from '../Text';
import { space, useTheme } from '../theme';
import { FeatureMark } from './FeatureMark';
import { plane } from './plane';

const SIZE = { width: 30, height: 22 };

/** What the symbols on a sheet mean: those that stand in this run. */
export function FeatureKey({ features, way }: { features: readonly Feature[]; way: boolean }) {
  const theme = useTheme();
  const kinds = [...new Set(features.map((f) => f.kind))];
  if (kinds.length === 0 && !way) return null;
  // A patch of a few metres with the thing in its middle.
  const at = plane('right', { fromM: 0, toM: 4.4, nearM: 0, farM: 6 }, SIZE.width, SIZE.height);
  return (
    <View
      style={s.key}
      role="img"
      aria-label={`Symbols: ${[...kinds, ...(way ? ['your way on foot'] : [])].join(', ')}`}
    >
      {kinds.map((kind) => (
        <View key={kind} style={s.item}>
          <Svg width={SIZE.width} height={SIZE.height}>
            <Rect width={SIZE.width} height={SIZE.height} rx={3} fill={theme.depth[1]} />
            <FeatureMark feature={{ id: kind, kind, xM: 2.2, yM: 3, lengthM: 3, widthM: 4 }} at={at} theme={theme} />
          </Svg>
          <Text size="small">{kind}</Text>
        </View>
      ))}
      {way ? (
        <View style={s.item}>
          <Svg width={SIZE.width} height={SIZE.height}>
            <Line
              x1={3}
              x2={27}
              y1={11}
              y2={11}
              stroke={theme.ink}
              strokeWidth={2.5}
              strokeDasharray="1 6"
              strokeLinecap="round"
            />
          </Svg>
          <Text size="small">your way on foot</Text>
        </View>
      ) : null}
    </View>
  );
}

const s = StyleSheet.create({
  key: { flexDirection: 'row', flexWrap: 'wrap', columnGap: space.m, rowGap: 4, paddingTop: space.xs },
  item: { flexDirection: 'row', alignItems: 'center', gap: 5 },
});
