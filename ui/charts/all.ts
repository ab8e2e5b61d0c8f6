export { DepthStrip } from './DepthStrip';
export { ResponseCurve } from './ResponseCurve';
export { RunSheet } from './RunSheet';
export { SectionEditor } from './SectionEditor';
export { SectionView } from './SectionView';
export { Hydrograph, RateBar, SunArc } from './TimeCharts';
