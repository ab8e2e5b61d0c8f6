import { day, PLAN, RIG, RUN, withAt } from '@/core/testing/fixtures';
import { checkEvents, checkRecord, checkStations } from './check';
import { DEFAULT_SETTINGS, EMPTY_SESSION, type RecordKind } from './records';
import { checkWeather } from './weatherCheck';
import { water } from './records.testing';

/** A whole record of each kind, with every field that it may have. */
const hands = { way: 'strip', countS: 4, pullM: 0.2, pullMps: 0.5, restS: 1, feedM: 0, walkM: 0 };
const plan = { ...PLAN, mendAtS: 2, mendBy: 'flick', tipUnder: true, tip: 'high', inwards: false, hands };
const owned = { id: 'k', name: 'K', aside: false, low: true };
const choice = {
  ...{ rodId: 'r', headId: 'h', runningId: '', tipId: 't', leaderId: 'l', flyId: 'f', floatId: '', lineClean: true },
  ...{ droppers: [{ flyId: 'g', way: 'tag', aboveM: 0.5, armM: 0.1 }] },
  ...{ shotKg: 0.001, shotAboveM: 0.3, floatAboveM: 1 },
};
const whole = {
  water: {
    ...water({ normalStageM: 0.5, driveMin: 60, releases: [{ fromMin: 420, toMin: 600 }] }),
    river: { kind: 'spate', peaty: false },
    rules: {
      ...water().rules,
      ...{ season: { from: '03-01', to: '10-31' }, hours: { beforeSunriseMin: 60, afterSunsetMin: 60 } },
      ...{ closesAtC: 20, closedRuns: ['a'] },
    },
  },
  run: {
    ...RUN,
    ...{ flowM3s: 9, bend: { turns: 'left', radiusM: 100 }, trees: { nearM: 2, farM: 3 }, room: 'open' },
    origin: { latDeg: 57, lonDeg: -4 },
  },
  reading: {
    ...day({
      speed: { surfaceMps: 1, xM: 5, yM: 5 },
      flowM3s: 9,
      wind: { from: 'upstream', force: 'light' } as never,
    }),
    depths: [{ xM: 1, yM: 2, depthM: 0.4, how: 'leg' }],
  },
  settings: {
    ...DEFAULT_SETTINGS,
    means: {
      ...{
        casts: ['roll'],
        shoulders: ['left'],
        longestM: 12,
        lines: [],
        wadeM: 0.5,
        fineKnots: false,
        children: true,
      },
    },
    ...{ exported: { at: 1, casts: 3 }, walkMin: 10 },
  },
  session: {
    ...EMPTY_SESSION,
    ...{ day: '2026-09-10', rig: choice, cast: plan, time: { minutes: 45, patience: 4 } },
    beat: { key: 'k', stands: [], casts: [PLAN] },
  },
  feed: { id: 'f', name: 'levels.csv', importedAt: 1, values: [[1, 0.5, 9, 8, 2]] },
  forecast: { id: 's', waterId: 'w', madeAt: 1, forAt: 2, medianM: 1, low80M: 0.5, high80M: 2 },
  trip: {
    ...{ id: 'w-2026-09-10', waterId: 'w', day: '2026-09-10', leaveMin: 300, packed: [] },
    stops: [
      { kind: 'run', runId: 'a', minutes: 40 },
      { kind: 'break', minutes: 30 },
    ],
  },
  outing: { id: 'o', waterId: 'w', startedAt: 1, endedAt: 2, notes: '' },
  report: { id: 'r', waterId: 'w', at: 1, source: 'a guide', text: 'Low.', fished: true },
  rod: { ...RIG.rod, ...owned, windowKg: [0.01, 0.03] },
  head: { ...RIG.head, ...owned, cutBackM: 1 },
  running: { ...owned, type: 'running', kind: 'mono', diameterM: 7e-4 },
  tip: { ...RIG.tip, ...owned, massKg: 0.005 },
  leader: {
    ...{ ...owned, type: 'leader' },
    pieces: [{ part: 'tippet', lengthM: 1, diameterM: 2e-4, toDiameterM: 3e-4, material: 'nylon', strengthN: 30 }],
  },
  ring: { ...owned, type: 'ring', diameterM: 2e-3 },
  shot: { ...owned, type: 'shot', massKg: 1e-3 },
  float: { ...owned, type: 'float', diameterM: 0.02, massKg: 0.002 },
  fly: { ...RIG.fly, ...owned, also: [{ colour: 'olive', share: 0.3 }], beadM: 0.003, count: 4 },
};
const event = { id: 'e', at: 1, runId: null, xM: 1, yM: 1, rig: null };
const fish = { species: 'sea trout', lengthM: 0.5, sex: null, condition: '', origin: null };
const remembered = { levelM: 0, visibilityM: 1, waterTempC: 9, sky: null };
const did = { v: 1, s: 20, flies: [[100, 50, 120, 20, 31, 55, 22, 40]], lies: [2], touches: 0 };
const events = {
  cast: { ...event, kind: 'cast', plan, did },
  step: { ...event, kind: 'step', byM: 1 },
  go: { ...event, kind: 'go', how: 'skip', lie: 3 },
  trial: { ...event, kind: 'trial', flyId: 'f', hands: null, block: 2 },
  take: { ...event, kind: 'take', where: null, sign: null, what: 'landed', juvenile: false, fish, place: 1 },
  rest: { ...event, kind: 'rest', minutes: 5 },
  estimate: {
    ...{ ...event, kind: 'estimate', casts: 80, takes: 2, minutes: 60, timed: true, fly: null, water: remembered },
  },
};
const station = [{ id: 's', name: 'S', latDeg: 57, lonDeg: -4, normalStageM: 0.5 }];
const weather = {
  issuedAt: 1,
  hours: [{ at: 1, rainMm: 0, airTempC: 9, cloud: 0.5, windMps: 4, windFromDeg: 180 }],
};

const KIT = ['rod', 'head', 'running', 'tip', 'leader', 'ring', 'shot', 'float', 'fly'];
/** Throws where this version does not allow it. */
function check(kind: string, data: object): void {
  if (kind === 'station') checkStations(data);
  else if (kind === 'weather') checkWeather(data);
  else if (kind in events) checkEvents([data]);
  else checkRecord((KIT.includes(kind) ? 'kit' : kind) as RecordKind, data);
}
const samples: Readonly<Record<string, object>> = { ...whole, ...events, station, weather };

/** Rows of kind, path, least and most, out of lines of a kind. */
const table = (text: string): [string, string, number, number][] =>
  text.split('\n').flatMap((line) => {
    const [kind, all] = line.trim().split(': ');
    return (all ?? '').split(' | ').flatMap((field): [string, string, number, number][] => {
      const [path, least, most] = field.split(' ');
      return most ? [[kind!, path!, Number(least), Number(most)]] : [];
    });
  });

// What can be true of a river, an angler and tackle: generous, so that nothing real is refused (common practice, no source).
const RANGES = table(`
  water: latDeg -90 90 | lonDeg -180 180 | normalStageM -5 30 | driveMin 0 1440 | releases.0.fromMin 0 1440
  water: releases.0.toMin 0 1440 | rules.closesAtC 5 35 | rules.hours.beforeSunriseMin 0 240
  water: rules.hours.afterSunsetMin 0 240
  run: lengthM 5 1000 | bearingDeg 0 360 | levelM -5 5 | flowM3s 0.001 1e5 | sections.1.xM 0 1000
  run: sections.1.points.0.depthM 0 15 | features.0.xM -50 1000 | features.0.yM -300 300 | features.0.lengthM 0.2 500
  run: features.0.widthM 0.2 300 | bend.radiusM 5 5000 | trees.nearM 0 60 | trees.farM 0 60 | speed.xM -50 2000
  run: speed.yM -300 300 | speed.surfaceMps 0.02 5 | origin.latDeg -90 90 | origin.lonDeg -180 180
  reading: levelM -5 5 | visibilityM 0.02 15 | waterTempC -1 35 | flowM3s 0.001 1e5 | paceTimes 0.3 3 | depths.0.xM -50 1000
  reading: depths.0.yM -300 300 | depths.0.depthM 0 15
  settings: heightM 1 2.3 | means.longestM 4 40 | means.wadeM 0 1.5 | walkMin 0 180 | exported.casts 0 1e9
  session: cast.xM -50 1000 | cast.yM -300 300 | cast.outM 1 60 | cast.angleDeg 0 180 | cast.mendM -8 8
  session: cast.mendAtS 0 60 | cast.hands.countS 0 60 | cast.hands.pullM 0 2 | cast.hands.pullMps 0.02 4
  session: cast.hands.restS 0 20 | cast.hands.feedM 0 20 | cast.hands.walkM 0 20 | rig.shotKg 0 0.01
  session: rig.shotAboveM 0 2 | rig.floatAboveM 0.05 8 | rig.droppers.0.aboveM 0.02 8 | rig.droppers.0.armM 0 1
  session: time.minutes 1 180
  feed: values.0.0 0 4e12 | values.0.1 -20 100 | values.0.2 0 400000 | values.0.3 -2 45 | values.0.4 0 10000
  forecast: medianM 0.005 30
  trip: leaveMin 0 1440
  outing: startedAt 0 4e12
  rod: lengthM 1.5 6 | windowKg.0 0.002 0.08 | windowKg.1 0.002 0.08
  head: lengthM 2 40 | massKg 0.002 0.08 | sinkRatesMps.0 0 0.5 | cutBackM 0 10
  running: diameterM 2e-4 2e-3
  tip: lengthM 0.5 8 | sinkRateMps 0 0.5 | massKg 1e-4 0.05
  leader: pieces.0.lengthM 0.05 8 | pieces.0.diameterM 5e-5 1e-3 | pieces.0.toDiameterM 5e-5 1e-3
  leader: pieces.0.strengthN 0.5 500
  ring: diameterM 5e-4 1e-2
  shot: massKg 1e-5 0.01
  float: diameterM 0.004 0.05 | massKg 1e-5 0.03
  fly: lengthM 0.004 0.25 | also.0.share 0.01 0.9 | beadM 0.001 0.01
  cast: xM -50 2000 | yM -300 300
  step: byM 0 50
  rest: minutes 0 600
  take: fish.lengthM 0.03 2
  estimate: minutes 0 1440 | water.levelM -5 5 | water.visibilityM 0.02 15 | water.waterTempC -1 35
  station: 0.latDeg -90 90 | 0.lonDeg -180 180 | 0.normalStageM -5 30
  weather: hours.0.rainMm 0 500 | hours.0.airTempC -60 60 | hours.0.cloud 0 1 | hours.0.windMps 0 120
  weather: hours.0.windFromDeg 0 360
`);
/** Whole numbers, as far as they go. */
const COUNTS = table(`
  rod: lineNumber 1 12
  fly: count 0 1000
  cast: did.s 0 600 | did.flies.0.0 -5000 20000 | did.flies.0.1 -5000 5000 | did.flies.0.4 -100 3000
  cast: did.flies.0.6 0 1000 | did.lies.0 1 100 | did.touches 0 10000
  go: lie 1 100
  trial: block 1 100
  take: place 0 2
  estimate: casts 0 2000 | takes 0 500
`);
/** Lists, by how many may be in them. */
const LISTS: readonly (readonly [string, string, unknown, number, number])[] = [
  ['water', 'releases', { fromMin: 1, toMin: 2 }, 1, 400],
  ['water', 'rules.closedRuns', 'a', 1, 200],
  ['run', 'features', RUN.features[0], 0, 100],
  ['reading', 'depths', { xM: 1, yM: 2, depthM: 0.4, how: 'leg' }, 0, 20],
  ['session', 'beat.casts', PLAN, 1, 1000],
  ['session', 'beat.stands', PLAN, 0, 60],
  ['session', 'rig.droppers', choice.droppers[0], 0, 2],
  ['feed', 'values', [1, null, null, null, null], 1, 10_000],
  ['trip', 'stops', { kind: 'break', minutes: 5 }, 0, 40],
  ['trip', 'packed', 'net', 0, 200],
  ['head', 'sinkRatesMps', 0.1, 1, 3],
  ['leader', 'pieces', whole.leader.pieces[0], 1, 10],
  ['fly', 'also', { colour: 'olive', share: 0.1 }, 0, 2],
  ['cast', 'did.flies', did.flies[0], 0, 3],
];
/** Texts, by how long they may be. */
const TEXTS = table(`
  water: name 1 80 | character 0 80 | stationId 1 80 | rules.text 0 2000 | rules.source 0 200
  run: notes 0 2000
  outing: id 1 80
  fly: hook 0 20
  take: fish.condition 0 200
`);
const allowed = (kind: string, path: string, value: unknown) => () => check(kind, withAt(samples[kind]!, path, value));

it.each(Object.keys(samples))('a whole %s is allowed', (kind) => {
  expect(() => check(kind, samples[kind]!)).not.toThrow();
});

it.each(RANGES)('%s: %s from %d to %d and no further', (kind, path, least, most) => {
  const beyond = (most - least) / 1000;
  for (const end of [least, most]) expect(allowed(kind, path, end)).not.toThrow();
  expect(allowed(kind, path, least - beyond)).toThrow(/must be at least|must be greater/);
  expect(allowed(kind, path, most + beyond)).toThrow(/must be at most|must be less/);
});

it.each(COUNTS)('%s: %s, whole, from %d to %d and no further', (kind, path, least, most) => {
  for (const end of [least, most]) expect(allowed(kind, path, end)).not.toThrow();
  for (const none of [least - 1, most + 1, least + 0.5]) expect(allowed(kind, path, none)).toThrow(path.split('.')[0]);
});

it.each(LISTS)('%s: so many %s and no more', (kind, path, one, least, most) => {
  const list = (n: number) => Array.from({ length: n }, () => one);
  for (const end of [least, most]) expect(allowed(kind, path, list(end))).not.toThrow();
  if (least > 0) expect(allowed(kind, path, list(least - 1))).toThrow(/at least/);
  expect(allowed(kind, path, list(most + 1))).toThrow(/at most/);
});

it.each(TEXTS)('%s: %s of %d to %d letters', (kind, path, least, most) => {
  for (const end of [least, most]) expect(allowed(kind, path, 'x'.repeat(end))).not.toThrow();
  if (least > 0) expect(allowed(kind, path, '')).toThrow();
  expect(allowed(kind, path, 'x'.repeat(most + 1))).toThrow(/at most|long/);
});

it.each([
  [
    'trip',
    'day',
    ['2026-09-10'],
    ['2026-9-10', '12026-09-10', '2026-09-101', 'x2026-09-10', '2026/09/10', 'yyyy-mm-dd'],
  ],
  ['water', 'rules.season.from', ['03-01'], ['3-01', '03-1', '103-01', '03-011', 'mm-dd']],
  ['water', 'rules.season.to', ['10-31'], ['10-3', '1-31', '10-310', '010-31', 'mm-dd']],
  ['water', 'id', ['a', 'a-b'], ['a/b', 'constructor', 'toString', '']],
  ['run', 'sections', [RUN.sections], [RUN.sections.slice(2), Array.from({ length: 41 }, () => RUN.sections[0])]],
  ['run', 'sections.0.points.1.yM', [5], [0, -1, 10]],
  ['run', 'sections.0.points', [RUN.sections[0]!.points.slice(0, 3)], [RUN.sections[0]!.points.slice(0, 2)]],
  ['reading', 'seen', [[], ['hatch']], [['hatch', 'hatch'], ['whales']]],
  ['trip', 'stops.0.minutes', [1, 1440], [0, 1441]],
  ['trip', 'stops.1.minutes', [1, 1440], [0, 1441]],
  ['weather', 'hours', [Array(400).fill(weather.hours[0])], [Array(401).fill(weather.hours[0]), []]],
  ['rod', 'hands', [1, 2], [0, 3]],
  ['trip', 'stops.0', [{ kind: 'run', runId: 'a', minutes: 4 }], [{ kind: 'run', minutes: 4 }]],
  ['feed', 'values.0', [[1, 0.5, null, null, 2]], [[1, 500]]],
  ['report', 'source', ['a guide'], [' ', '']],
  ['session', 'time.patience', [1, 4], [0, 3]],
  ['settings', 'means.casts', [[], ['roll']], [['roll', 'roll'], ['leap']]],
  ['settings', 'means.shoulders', [[], ['left', 'right']], [['left', 'left']]],
  ['settings', 'means.lines', [[]], [['rope']]],
  ['water', 'rules.maxFlies', [1, 2, 3], [0, 4]],
] as const)('%s: %s', (kind, path, good, bad) => {
  for (const value of good) expect(allowed(kind, path, value)).not.toThrow();
  for (const value of bad) expect(allowed(kind, path, value)).toThrow(RangeError);
});
