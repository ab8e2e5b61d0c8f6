import { StyleSheet, View } from 'react-native';
import Svg, { Path, Rect } from 'react-native-svg';
import type { Feature } from '@/core/water';
import { Text } from '../Text';
import { space, useTheme } from '../theme';
import { FeatureMark } from './FeatureMark';
import { plane } from './plane';

const WAY = { name: 'your way on foot', path: 'M3 11H27', stroke: { strokeWidth: 2.5, strokeDasharray: '1 6' } };
const SHADE = {
  name: 'shade of trees',
  path: 'M15 0V22',
  stroke: { strokeWidth: 1, strokeDasharray: '2 4' },
};
const SIZE = { width: 30, height: 22 };

interface Props {
  features: readonly Feature[];
  /** Whether the way on foot and shade are drawn, too. */
  way: boolean;
  shade: boolean;
}

/** What the symbols on a sheet mean: those that stand in this run. */
export function FeatureKey({ features, way, shade }: Props) {
  const theme = useTheme();
  const kinds = [...new Set(features.map((f) => f.kind))];
  const drawn = [...(way ? [WAY] : []), ...(shade ? [SHADE] : [])];
  if (kinds.length + drawn.length === 0) return null;
  // A patch of a few metres with the thing in its middle.
  const at = plane('right', { fromM: 0, toM: 4.4, nearM: 0, farM: 6 }, SIZE.width, SIZE.height);
  return (
    <View style={s.key} role="img" aria-label={`Symbols: ${[...kinds, ...drawn.map((d) => d.name)].join(', ')}`}>
      {kinds.map((kind) => (
        <View key={kind} style={s.item}>
          <Svg width={SIZE.width} height={SIZE.height}>
            <Rect width={SIZE.width} height={SIZE.height} rx={3} fill={theme.depth[1]} />
            <FeatureMark feature={{ id: kind, kind, xM: 2.2, yM: 3, lengthM: 3, widthM: 4 }} at={at} theme={theme} />
          </Svg>
          <Text size="small">{kind}</Text>
        </View>
      ))}
      {drawn.map((d) => (
        <View key={d.name} style={s.item}>
          <Svg width={SIZE.width} height={SIZE.height}>
            {d.name === SHADE.name ? (
              <>
                <Rect width={SIZE.width} height={SIZE.height} rx={3} fill={theme.depth[1]} />
                <Rect width={SIZE.width / 2} height={SIZE.height} fill={theme.ink} fillOpacity={0.12} />
              </>
            ) : null}
            <Path d={d.path} stroke={theme.ink} {...d.stroke} strokeLinecap="round" />
          </Svg>
          <Text size="small">{d.name}</Text>
        </View>
      ))}
    </View>
  );
}

const s = StyleSheet.create({
  key: { flexDirection: 'row', flexWrap: 'wrap', columnGap: space.m, rowGap: 4, paddingTop: space.xs },
  item: { flexDirection: 'row', alignItems: 'center', gap: 5 },
});
