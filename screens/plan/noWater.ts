import type { Water } from '@/store/records';

/** A water of which nothing is known yet. */
export const NO_WATER: Water = {
  id: '',
  name: '',
  character: '',
  quarry: 'brown trout',
  latDeg: null,
  lonDeg: null,
  stationId: null,
  normalStageM: null,
  rules: null,
};
