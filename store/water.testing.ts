import type { Water } from './records';

/** A plain water for tests. */
export const water = (o: Partial<Water> = {}): Water => ({
  id: 'w1',
  name: 'Test water',
  character: 'small stream',
  quarry: 'brown trout',
  latDeg: 57,
  lonDeg: -4,
  stationId: null,
  normalStageM: null,
  rules: { maxFlies: 1, barbless: true, noAddedWeight: false, season: null, closesAtC: null, text: '', source: '' },
  ...o,
});
