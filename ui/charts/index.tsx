import type { ComponentType } from 'react';
import { View } from 'react-native';
import { later } from '../later';
import type * as All from './all';

export type { Moved } from './SheetLies';

export const charts = () => import('./all');

/** Charts come in one part of their own, with the SVG library, after the first screen; their place is kept meanwhile. */
const chart = <P extends object>(pick: (all: typeof All) => ComponentType<P>, height: (props: P) => number) =>
  later(charts, pick, (props) => <View style={{ height: height(props) }} />);

const KEY_HEIGHT = 26;
export const DepthStrip = chart(
  (m) => m.DepthStrip,
  (p) => p.height,
);
export const DepthTracks = chart(
  (m) => m.DepthTracks,
  (p) => p.height,
);
const SCENE_PX = 200;
export const LessonScene = chart(
  (m) => m.LessonScene,
  () => SCENE_PX,
);
export const MoveCurve = chart(
  (m) => m.ResponseCurve,
  (p) => p.height,
);
export const RunSheet = chart(
  (m) => m.RunSheet,
  (p) => p.height + KEY_HEIGHT,
);
export const SectionEditor = chart(
  (m) => m.SectionEditor,
  (p) => p.height,
);
export const SectionView = chart(
  (m) => m.SectionView,
  (p) => p.height,
);
export const Hydrograph = chart(
  (m) => m.Hydrograph,
  (p) => p.height,
);
export const SunArc = chart(
  (m) => m.SunArc,
  (p) => p.height,
);
export const ColourBand = chart(
  (m) => m.ColourBand,
  (p) => p.height,
);
export const DayLine = chart(
  (m) => m.DayLine,
  (p) => p.height,
);
export const RateBar = chart(
  (m) => m.RateBar,
  () => 16,
);
export const FlyLikeness = chart(
  (m) => m.FlyLikeness,
  (p) => p.fly.lengthM * p.perM * 0.6,
);
export const KnotSteps = chart(
  (m) => m.KnotSteps,
  () => 110,
);
export const RigCardPicture = chart(
  (m) => m.RigCardPicture,
  (p) => p.height,
);
export const YearCalendar = chart(
  (m) => m.YearCalendar,
  () => 314,
);
export const CrossTable = chart(
  (m) => m.CrossTable,
  (p) => 100 + 40 * p.table.rows.length,
);
