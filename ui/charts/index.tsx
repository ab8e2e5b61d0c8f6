import { lazy, Suspense, type ComponentType } from 'react';
import { View } from 'react-native';
import type * as All from './all';

/** Charts come in one chunk of their own, with the SVG library, after the first screen; their place is kept meanwhile. */
function later<P extends object>(pick: (all: typeof All) => ComponentType<P>, height: (props: P) => number) {
  const Chart = lazy(() => import('./all').then((m) => ({ default: pick(m) }))) as unknown as ComponentType<P>;
  return function LaterChart(props: P) {
    return (
      <Suspense fallback={<View style={{ height: height(props) }} />}>
        <Chart {...props} />
      </Suspense>
    );
  };
}

const KEY_HEIGHT = 26;
export const DepthStrip = later(
  (m) => m.DepthStrip,
  (p) => p.height,
);
export const MoveCurve = later(
  (m) => m.ResponseCurve,
  (p) => p.height,
);
export const RunSheet = later(
  (m) => m.RunSheet,
  (p) => p.height + KEY_HEIGHT,
);
export const SectionEditor = later(
  (m) => m.SectionEditor,
  (p) => p.height,
);
export const SectionView = later(
  (m) => m.SectionView,
  (p) => p.height,
);
export const Hydrograph = later(
  (m) => m.Hydrograph,
  (p) => p.height,
);
export const SunArc = later(
  (m) => m.SunArc,
  (p) => p.height,
);
export const ColourBand = later(
  (m) => m.ColourBand,
  (p) => p.height,
);
export const DayLine = later(
  (m) => m.DayLine,
  (p) => p.height,
);
export const RateBar = later(
  (m) => m.RateBar,
  () => 16,
);
export const FlyLikeness = later(
  (m) => m.FlyLikeness,
  (p) => p.fly.lengthM * p.perM * 0.6,
);
export const KnotSteps = later(
  (m) => m.KnotSteps,
  () => 110,
);
export const RigCardPicture = later(
  (m) => m.RigCardPicture,
  (p) => p.height,
);
