import type { Feature, FeatureKind, Run, Section, SpeedAt } from '@/core/water';
import type { Water } from '@/store/records';

import { normalStage } from './river/river';
import { STATIONS } from './stations';

const station = (id: string) => {
  const s = STATIONS.find((x) => x.id === id)!;
  return {
    simulated: true as const,
    stationId: s.id,
    latDeg: s.latDeg,
    lonDeg: s.lonDeg,
    normalStageM: normalStage(s),
  };
};

/** The invented Merrowick coast: one river with sea trout, one with steelhead, one small stream with resident trout, one below a dam. */
export const WATERS: readonly Water[] = [
  {
    id: 'sorrelvane',
    name: 'Sorrelvane',
    character: 'sea-trout river',
    quarry: 'sea trout',
    ...station('sorrelvane-ford'),
    river: { kind: 'spate', peaty: false },
    driveMin: 35,
    rules: {
      maxFlies: 2,
      barbless: true,
      noAddedWeight: false,
      season: { from: '04-01', to: '10-15' },
      closesAtC: 19,
      text: 'Fish of over 50 cm go back. No wading in the upper three runs after 1 October.',
      source: 'board at the ford, read 2026-04-02',
    },
  },
  {
    id: 'talluquin',
    name: 'Talluquin',
    character: 'steelhead river',
    quarry: 'steelhead',
    ...station('talluquin-narrows'),
    river: { kind: 'snowmelt', peaty: false },
    driveMin: 90,
    rules: {
      maxFlies: 1,
      barbless: true,
      noAddedWeight: true,
      season: { from: '08-01', to: '03-31' },
      closesAtC: 18,
      text: 'Wild fish stay in the water.',
      source: 'leaflet of the valley, read 2026-08-01',
    },
  },
  {
    id: 'pimmeril',
    name: 'Pimmeril',
    character: 'small stream',
    quarry: 'brown trout',
    ...station('pimmeril-bridge'),
    river: { kind: 'spate', peaty: true },
    driveMin: 15,
    rules: {
      maxFlies: 2,
      barbless: false,
      noAddedWeight: false,
      season: { from: '03-15', to: '09-30' },
      closesAtC: null,
      text: '',
      source: 'told by the farmer at the bridge, 2026-03-20',
    },
  },
  {
    id: 'ondrelle',
    name: 'Ondrelle',
    character: 'tailwater',
    quarry: 'rainbow trout',
    also: ['brown trout', 'grayling'],
    ...station('ondrelle-dam'),
    river: { kind: 'below a dam', peaty: false },
    driveMin: 55,
    releases: [
      { fromMin: 7 * 60, toMin: 10 * 60 },
      { fromMin: 17 * 60, toMin: 21 * 60 },
    ],
    rules: {
      maxFlies: 3,
      barbless: true,
      noAddedWeight: false,
      season: null,
      closesAtC: null,
      text: 'Nobody in the water while the siren sounds and for an hour after it.',
      source: 'board at the dam, read 2026-05-11',
    },
  },
];

/** A section at x: depths at equal distances over a width, from the described bank outwards. */
const section = (xM: number, widthM: number, ...depths: number[]): Section => ({
  xM,
  points: depths.map((depthM, i) => ({ yM: Math.round((i * widthM * 10) / (depths.length - 1)) / 10, depthM })),
});
const feature = (kind: FeatureKind, xM: number, yM: number, lengthM: number, widthM: number): Feature => ({
  id: `${kind}-${xM}-${yM}`,
  kind,
  xM,
  yM,
  lengthM,
  widthM,
});
const float = (surfaceMps: number, xM: number, yM: number): SpeedAt => ({ surfaceMps, xM, yM });

function run(
  id: string,
  waterId: string,
  name: string,
  o: Pick<Run, 'lengthM' | 'bearingDeg' | 'bed' | 'speed' | 'notes'> &
    Partial<Pick<Run, 'bank' | 'bend' | 'downM' | 'room' | 'trees'>>,
  sections: Section[],
  features: Feature[],
): Run {
  // Read at normal level: the gauge then told its usual flow.
  const { stationId } = WATERS.find((w) => w.id === waterId)!;
  const flowM3s = STATIONS.find((s) => s.id === stationId)!.normalFlowM3s;
  return { id, waterId, name, levelM: 0, bank: 'left', flowM3s, ...o, sections, features };
}

export const RUNS: readonly Run[] = [
  run(
    'lantern-riffle',
    'sorrelvane',
    'Lantern Riffle',
    {
      downM: 0,
      lengthM: 70,
      bearingDeg: 200,
      trees: { nearM: 6, farM: 9 },
      bed: 'cobble',
      speed: float(0.95, 45, 15),
      notes: 'The gravel bar at the head moved in last winter’s flood; the way in is by the stile above the hawthorns.',
    },
    [
      section(0, 26, 0, 0.25, 0.3, 0.35, 0.3, 0),
      section(16, 26, 0, 0.3, 0.35, 0.45, 0.4, 0),
      section(20, 25, 0, 0.45, 0.9, 1.5, 1.3, 0),
      section(40, 24, 0, 0.5, 1.0, 1.7, 1.5, 0),
      section(58, 25, 0, 0.45, 0.8, 1.1, 0.9, 0),
      section(70, 27, 0, 0.35, 0.55, 0.7, 0.5, 0),
    ],
    [
      feature('riffle', 8, 13, 16, 22),
      feature('drop-off', 18, 14, 2, 16),
      feature('foam line', 38, 15, 24, 1),
      feature('boulder', 50, 9, 1.2, 1.4),
    ],
  ),
  run(
    'copper-bend',
    'sorrelvane',
    'Copper Bend',
    {
      downM: 450,
      lengthM: 60,
      bearingDeg: 240,
      bend: { turns: 'left', radiusM: 45 },
      trees: { nearM: 4, farM: 12 },
      bed: 'gravel',
      speed: float(0.6, 30, 17),
      notes:
        'The alder that fell two years ago still lies at the tail of the bend. Cattle drink on the inside in the evening.',
    },
    [
      section(0, 20, 0, 0.4, 0.7, 0.9, 0.6, 0),
      section(15, 23, 0, 0.3, 0.7, 1.3, 1.9, 0.3),
      section(32, 25, 0, 0.3, 0.8, 1.6, 2.5, 0.6),
      section(48, 24, 0, 0.3, 0.7, 1.3, 1.8, 0.2),
      section(60, 22, 0, 0.35, 0.6, 0.9, 0.8, 0),
    ],
    [
      feature('eddy', 36, 4, 12, 4),
      feature('log', 44, 21, 5, 1.2),
      feature('foam line', 30, 18, 26, 1),
      feature('brush', 20, 23.5, 14, 2),
    ],
  ),
  run(
    'osier-tail',
    'sorrelvane',
    'Osier Tail',
    {
      downM: 900,
      lengthM: 55,
      bank: 'right',
      bearingDeg: 190,
      room: 'low bushes',
      trees: { nearM: 5, farM: 8 },
      bed: 'gravel',
      speed: float(0.7, 25, 14),
      notes: 'An old weir stone marks normal level: its top is just dry. Otters most evenings.',
    },
    [
      section(0, 28, 0, 0.6, 1.0, 1.2, 0.9, 0),
      section(25, 30, 0, 0.5, 0.8, 1.0, 0.8, 0),
      section(42, 32, 0, 0.4, 0.6, 0.75, 0.55, 0),
      section(55, 34, 0, 0.2, 0.35, 0.4, 0.3, 0),
    ],
    [feature('redd', 50, 24, 4, 4), feature('boulder', 34, 12, 1, 1), feature('weed', 20, 4, 8, 3)],
  ),
  run(
    'long-even',
    'talluquin',
    'Long Even',
    {
      downM: 0,
      lengthM: 120,
      bearingDeg: 260,
      trees: { nearM: 0, farM: 14 },
      bed: 'cobble',
      speed: float(1.15, 60, 26),
      notes: 'The hut is at the head, the last bench half way down. The far bank is another beat’s.',
    },
    [
      section(0, 44, 0, 0.4, 0.9, 1.3, 1.4, 0.9, 0),
      section(40, 46, 0, 0.4, 0.9, 1.4, 1.7, 1.2, 0),
      section(80, 46, 0, 0.45, 1.0, 1.5, 1.8, 1.3, 0),
      section(120, 48, 0, 0.4, 0.8, 1.1, 1.2, 0.8, 0),
    ],
    [feature('boulder', 52, 20, 1.4, 1.6), feature('boulder', 88, 25, 1.6, 1.8), feature('bar', 30, 3, 20, 4)],
  ),
  run(
    'millrace-step',
    'talluquin',
    'Millrace Step',
    {
      downM: 700,
      lengthM: 60,
      bank: 'right',
      bearingDeg: 280,
      trees: { nearM: 7, farM: 10 },
      bed: 'boulders',
      speed: float(1.5, 15, 12),
      notes: 'One hears it from the road. The ledge on the near side is slick with algae from June on.',
    },
    [
      section(0, 24, 0, 0.5, 0.7, 0.8, 0.6, 0),
      section(18, 25, 0, 0.6, 0.9, 1.0, 0.8, 0),
      section(24, 27, 0, 0.9, 1.4, 1.5, 1.1, 0),
      section(40, 27, 0, 0.9, 1.4, 1.6, 1.1, 0),
      section(47, 25, 0, 0.6, 0.9, 0.9, 0.7, 0),
      section(60, 24, 0, 0.5, 0.7, 0.7, 0.6, 0),
    ],
    [
      feature('riffle', 9, 12, 16, 20),
      feature('level step', 32, 13, 16, 16),
      feature('boulder', 22, 8, 1.5, 1.6),
      feature('boulder', 20, 17, 1.8, 2),
      feature('riffle', 54, 12, 12, 20),
    ],
  ),
  run(
    'giants-table',
    'talluquin',
    'Giants’ Table',
    {
      downM: 1500,
      lengthM: 80,
      bearingDeg: 250,
      bed: 'boulders',
      speed: float(1.2, 40, 18),
      notes: 'The largest stone shows a white ring at summer level. Climb in by the iron rungs only.',
    },
    [
      section(0, 32, 0, 0.5, 0.8, 0.9, 0.7, 0),
      section(30, 34, 0, 0.6, 0.9, 1.0, 0.8, 0),
      section(60, 34, 0, 0.6, 1.0, 1.1, 0.8, 0),
      section(80, 33, 0, 0.5, 0.8, 0.9, 0.7, 0),
    ],
    [
      feature('boulder', 12, 10, 1.8, 2),
      feature('boulder', 22, 18, 2.2, 2.4),
      feature('boulder', 36, 12, 1.6, 1.8),
      feature('boulder', 45, 21, 2.4, 2.6),
      feature('boulder', 58, 15, 2, 2.2),
      feature('boulder', 68, 9, 1.4, 1.6),
    ],
  ),
  run(
    'shadow-bank',
    'pimmeril',
    'Shadow Bank',
    {
      downM: 0,
      lengthM: 35,
      bearingDeg: 170,
      room: 'trees behind',
      trees: { nearM: 9, farM: 14 },
      bed: 'gravel',
      speed: float(0.55, 18, 7),
      notes: 'Willows all along the far side, trimmed each March. A heron stands at the lower end.',
    },
    [
      section(0, 9, 0, 0.2, 0.3, 0.4, 0.2, 0),
      section(10, 9.5, 0, 0.2, 0.35, 0.6, 0.75, 0.3),
      section(22, 9.5, 0, 0.2, 0.35, 0.65, 0.85, 0.4),
      section(35, 10, 0, 0.2, 0.3, 0.4, 0.3, 0),
    ],
    [feature('cut bank', 17, 9, 18, 1.4), feature('brush', 26, 9.6, 6, 1.2)],
  ),
  run(
    'sallow-glide',
    'pimmeril',
    'Sallow Glide',
    {
      downM: 600,
      lengthM: 40,
      bank: 'right',
      bearingDeg: 150,
      bed: 'gravel',
      speed: float(0.5, 20, 6),
      notes: 'The farm’s ford; tractors cross at seven and at five and cloud it for half an hour.',
    },
    [
      section(0, 10, 0, 0.3, 0.45, 0.5, 0.3, 0),
      section(20, 11, 0, 0.35, 0.55, 0.6, 0.4, 0),
      section(40, 11, 0, 0.25, 0.35, 0.4, 0.3, 0),
    ],
    [feature('weed', 12, 8, 6, 2), feature('log', 28, 3, 3, 0.6), feature('spring', 6, 10, 2, 1)],
  ),
  run(
    'siren-flat',
    'ondrelle',
    'Siren Flat',
    {
      lengthM: 90,
      bearingDeg: 120,
      room: 'open',
      trees: { nearM: 0, farM: 9 },
      bed: 'cobble',
      speed: float(0.8, 45, 16),
      notes: 'The siren stands on the far bank. When the gravel tongue is under water one should be out.',
    },
    [
      section(0, 30, 0, 0.4, 0.7, 0.9, 0.8, 0),
      section(45, 32, 0, 0.4, 0.8, 1.1, 0.9, 0),
      section(90, 33, 0, 0.3, 0.6, 0.8, 0.6, 0),
    ],
    [feature('bar', 20, 4, 14, 3), feature('boulder', 48, 15, 1.4, 1.6), feature('weed', 70, 10, 10, 4)],
  ),
];
