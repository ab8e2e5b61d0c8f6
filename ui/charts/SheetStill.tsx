import { memo } from 'react';
import { StyleSheet, View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import type { Survey } from '@/core/lies';
import type { Feature, PlanPoint } from '@/core/water';
import type { Theme } from '../theme';
import { FeatureMark } from './FeatureMark';
import { pathOf, type Plane, type Window } from './plane';
import { DepthLabels, ShadeBand, WadeLine, type Shade } from './SheetDay';
import { type badges, Lies } from './SheetLies';
import { SectionLine } from './SheetMarks';
import { Water } from './SheetWater';
import { type UnitSystem } from '@/words/units';

/** Layers of a sheet, the later over the earlier; the browser keeps each as a picture of its own. */
export const LAYER = StyleSheet.create({
  layer: { position: 'absolute', left: 0, top: 0, pointerEvents: 'none', ...({ willChange: 'transform' } as object) },
}).layer;

interface Props {
  survey: Survey;
  features: readonly Feature[];
  placed: ReturnType<typeof badges>;
  chosen: number | null;
  covered?: readonly (readonly (readonly [number, number])[])[];
  planned?: readonly (readonly (readonly [number, number])[])[];
  /** Of another plan, to compare with. */
  other?: readonly (readonly (readonly [number, number])[])[];
  gaps?: readonly PlanPoint[];
  shade?: Shade | null;
  wade?: readonly PlanPoint[] | null;
  explained?: boolean;
  sectionX?: number;
  units: UnitSystem;
  window: Window;
  at: Plane;
  theme: Theme;
}

interface WaysProps {
  paths: readonly (readonly (readonly [number, number])[])[];
  at: Plane;
  color: string;
  opacity: number;
  /** Dashed, in a halo of this colour. */
  halo?: string;
}

/** The ways of flies that have not been cast yet, thin; dashed ones in a halo, so that they stand out on deep water, too. */
function Ways({ paths, at, color, opacity, halo }: WaysProps) {
  const d = paths.map((path) => pathOf(path.map(([x, y]) => at.px(x, y)))).join('');
  return (
    <>
      {halo ? <Path d={d} stroke={halo} strokeOpacity={0.75} strokeWidth={3.2} fill="none" /> : null}
      <Path
        d={d}
        stroke={color}
        strokeOpacity={opacity}
        strokeWidth={halo ? 1.4 : 0.8}
        {...(halo ? { strokeDasharray: '3 3' } : null)}
        fill="none"
      />
    </>
  );
}

/** The way of a fly that was cast: made once, however many follow. */
const Painted = memo(({ path, at, theme }: { path: WaysProps['paths'][number]; at: Plane; theme: Theme }) => {
  const d = pathOf(path.map(([x, y]) => at.px(x, y)));
  return (
    <>
      <Path
        d={d}
        stroke={theme.paper}
        strokeOpacity={0.4}
        strokeWidth={Math.max(2.5, at.scale)}
        fill="none"
        strokeLinecap="round"
      />
      <Path d={d} stroke={theme.ink} strokeOpacity={0.7} strokeWidth={0.9} fill="none" />
    </>
  );
});
Painted.displayName = 'Painted';

/** Dots stand no nearer together than this, px. */
const DOT_PX = 7;

/** Holding water that has not been shown the fly: dotted. */
function Gaps({ gaps, at, theme }: { gaps: readonly PlanPoint[]; at: Plane; theme: Theme }) {
  const dots = new Map<string, string>();
  for (const { xM, yM } of gaps) {
    const [x, y] = at.px(xM, yM);
    const key = `${Math.round(x / DOT_PX)} ${Math.round(y / DOT_PX)}`;
    if (!dots.has(key)) dots.set(key, `${pathOf([[x, y]])}h0`);
  }
  const d = [...dots.values()].join('');
  return (
    <>
      <Path d={d} stroke={theme.flyHalo} strokeWidth={3} strokeLinecap="round" />
      <Path d={d} stroke={theme.ink} strokeWidth={1.7} strokeLinecap="round" />
    </>
  );
}

/** What lies under a swing: water, what stands in it, painted casts, the way on foot. A layer of its own, that is neither
 * made nor painted again while a swing is dragged over it. */
export const SheetStill = memo(function SheetStill(p: Props) {
  const { at, theme } = p;
  return (
    <View style={LAYER}>
      <Svg width={at.width} height={at.height} pointerEvents="none">
        <Water tints={p.survey.tints} flow={p.survey.flow} at={at} theme={theme} />
        {p.features.map((f) => (
          <FeatureMark key={f.id} feature={f} at={at} theme={theme} />
        ))}
        {p.gaps && p.gaps.length > 0 ? <Gaps gaps={p.gaps} at={at} theme={theme} /> : null}
        {p.other ? <Ways paths={p.other} at={at} color={theme.ink} opacity={0.3} /> : null}
        {p.planned ? <Ways paths={p.planned} at={at} color={theme.fly} opacity={1} halo={theme.flyHalo} /> : null}
        {p.covered?.map((path, i) => (
          <Painted key={i} path={path} at={at} theme={theme} />
        ))}
        {p.shade ? <ShadeBand channel={p.survey.channel} shade={p.shade} at={at} theme={theme} /> : null}
        {p.explained ? (
          <DepthLabels
            tints={p.survey.tints}
            taken={p.placed.map((l) => l.badge)}
            at={at}
            theme={theme}
            units={p.units}
          />
        ) : null}
        {p.wade ? <WadeLine way={p.wade} at={at} theme={theme} /> : null}
        {p.sectionX !== undefined ? <SectionLine at={at} xM={p.sectionX} theme={theme} window={p.window} /> : null}
        <Lies placed={p.placed} theme={theme} chosen={p.chosen} />
      </Svg>
    </View>
  );
});
