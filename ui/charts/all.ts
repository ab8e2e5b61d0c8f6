export { DepthStrip } from './DepthStrip';
export { ResponseCurve } from './ResponseCurve';
export { RunSheet } from './RunSheet';
export { SectionEditor } from './SectionEditor';
export { SectionView } from './SectionView';
export { Hydrograph, RateBar, SunArc } from './TimeCharts';
export { FlyLikeness } from './FlyLikeness';
export { KnotSteps } from './KnotSteps';
export { RigCardPicture } from './RigCardPicture';
