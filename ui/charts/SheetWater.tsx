import { memo } from 'react';
import { StyleSheet, View } from 'react-native';
import { G, Path } from 'react-native-svg';
import type { Survey } from '@/core/lies';
import { TINTS } from '@/core/water';

import { Text } from '../Text';
import { space, useTheme, type Theme } from '../theme';
import { pathOf, type Plane } from './plane';
import { format, type UnitSystem } from '@/words/units';

interface WaterProps extends Pick<Survey, 'tints' | 'flow'> {
  at: Plane;
  theme: Theme;
}

/** Depth as tints, current as lines. */
export const Water = memo(function Water({ tints, flow, at, theme }: WaterProps) {
  return (
    <G>
      {tints.map((tint) => (
        <Path
          key={tint.fromM}
          d={tint.rings
            .map((ring) =>
              pathOf(
                ring.map(([x, y]) => at.px(x, y)),
                true,
              ),
            )
            .join('')}
          fill={theme.depth[TINTS.indexOf(tint.fromM as (typeof TINTS)[number])]}
          fillRule="evenodd"
        />
      ))}
      {flow.map((line, i) => (
        <Path
          key={i}
          d={pathOf(line.map(([x, y]) => at.px(x, y)))}
          stroke={theme.flow}
          strokeOpacity={0.8}
          strokeWidth={1.2}
          fill="none"
        />
      ))}
    </G>
  );
});

/** What the tints mean. */
export function DepthKey({ units, deepest }: { units: UnitSystem; deepest: number }) {
  const t = useTheme();
  const shown = TINTS.filter((d) => d < deepest);
  return (
    <View style={s.key} role="img" aria-label={`Depth tints from 0 to ${format('depth', deepest, units)}`}>
      <Text size="small" tone="ink2">
        depth over
      </Text>
      {shown.map((d, i) => (
        <View key={d} style={s.keyItem}>
          <View style={[s.swatch, { backgroundColor: t.depth[i], borderColor: t.ink2 }]} />
          <Text size="small">
            {i === 0
              ? '0'
              : format('depth', d, units)
                  .replace(/\.?0+ /, ' ')
                  .replace(/ .*/, '')}
          </Text>
        </View>
      ))}
      <Text size="small" tone="ink2">
        {units === 'metric' ? 'm' : 'ft'}
      </Text>
    </View>
  );
}

const s = StyleSheet.create({
  key: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    columnGap: space.m,
    rowGap: 2,
    paddingTop: space.xs,
  },
  keyItem: { flexDirection: 'row', alignItems: 'center', gap: 4 },
  swatch: { width: 18, height: 14, borderWidth: 0.5, borderRadius: 3 },
});
