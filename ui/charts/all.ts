export { DepthStrip } from './DepthStrip';
export { MoveCurve } from './MoveCurve';
export { RunSheet } from './RunSheet';
export { SectionView } from './SectionView';
export { Hydrograph, RateBar, SunArc } from './TimeCharts';
