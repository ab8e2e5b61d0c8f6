import { memo } from 'react';
import { G, Path } from 'react-native-svg';
import type { Feature } from '@/core/water';
import type { Theme } from '../theme';
import { FEATURE_MARKS, type MarkStroke } from './featureMarks';
import type { Plane } from './plane';

const inkOf = (ink: MarkStroke['ink'], t: Theme) =>
  ({ ink: t.ink, 'second ink': t.ink2, bed: t.bed, flow: t.flow, caution: t.cautionLine })[ink];
const fillOf = (fill: MarkStroke['fill'], t: Theme) =>
  fill ? { bed: t.bed, sand: t.sand, caution: t.cautionGround }[fill] : 'none';

interface Props {
  feature: Feature;
  at: Plane;
  theme: Theme;
}

/** Our own symbols for what stands in a run, drawn to scale where size matters. */
export const FeatureMark = memo(function FeatureMark({ feature: f, at, theme: t }: Props) {
  const [x, y] = at.px(f.xM, f.yM);
  const box = { x, y, l: (f.lengthM * at.scale) / 2, w: (f.widthM * at.across) / 2, sheetWidth: at.width };
  return (
    <G>
      {FEATURE_MARKS[f.kind](box).map((s, i) => (
        <Path
          key={i}
          d={s.d}
          stroke={inkOf(s.ink, t)}
          strokeWidth={s.width}
          fill={fillOf(s.fill, t)}
          strokeDasharray={s.dash}
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      ))}
    </G>
  );
});
