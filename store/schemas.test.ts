import { RECORD_SCHEMAS } from './schemas';
import { PLAN } from '@/core/testing/fixtures';
import { checkEvents, checkRecord, checkStations, openEventList } from './check';
import { EVENT_VERSIONS } from './migrations';
import { DEFAULT_SETTINGS, EMPTY_SESSION } from './records';

const run = {
  id: 'r',
  waterId: 'w',
  name: 'Run',
  lengthM: 60,
  bank: 'left',
  bearingDeg: 180,
  bed: 'cobble',
  levelM: 0,
  sections: [0, 60].map((xM) => ({ xM, points: [0, 10, 20].map((yM) => ({ yM, depthM: yM === 10 ? 1 : 0 })) })),
  features: [],
  speed: null,
  notes: '',
};
const fly = {
  type: 'fly',
  id: 'f',
  name: 'f',
  family: 'muddler',
  colour: 'tan',
  lengthM: 0.04,
  hook: '8',
  weight: 'none',
  barbless: true,
};

describe('what is planned', () => {
  const water = {
    ...{ id: 'w', name: 'W', character: '', quarry: 'sea trout', latDeg: 57, lonDeg: -4, stationId: 'file:f' },
    normalStageM: null,
    rules: { maxFlies: 1, barbless: true, noAddedWeight: false, season: null, closesAtC: null, text: '', source: '' },
  };
  const trip = { id: 'w-2026-09-10', waterId: 'w', day: '2026-09-10', leaveMin: 300, stops: null, packed: ['net'] };
  const feed = { id: 'f', name: 'levels.csv', importedAt: 1, values: [[1, 0.5, null, null, 2]] };
  const report = { id: 'r', waterId: 'w', at: 1, source: 'a guide', text: 'Low.', fished: true };
  const said = { id: 's', waterId: 'w', madeAt: 1, forAt: 2, medianM: 1, low80M: 0.5, high80M: 2 };

  it('is allowed as it is, and refused by the name of what is wrong', () => {
    const stops = [
      { kind: 'run', runId: 'a', minutes: 40 },
      { kind: 'break', minutes: 30 },
    ];
    expect(checkRecord('trip', { ...trip, stops })).toEqual({ ...trip, stops });
    expect(checkRecord('feed', feed)).toEqual(feed);
    expect(checkRecord('report', report)).toEqual(report);
    expect(checkRecord('forecast', said)).toEqual(said);
    const releases = [{ fromMin: 420, toMin: 600 }];
    expect(checkRecord('water', { ...water, releases }).releases).toEqual(releases);
    const refuse = (kind: Parameters<typeof checkRecord>[0], data: object, says: string) =>
      expect(() => checkRecord(kind, data)).toThrow(says);
    refuse('trip', { ...trip, day: 'Thursday' }, 'day');
    refuse('trip', { ...trip, leaveMin: 2000 }, 'leaveMin');
    refuse('trip', { ...trip, stops: [{ kind: 'run', minutes: 4 }] }, 'stops[0]');
    refuse('feed', { ...feed, values: [] }, 'values');
    refuse('feed', { ...feed, values: [[1, 500]] }, 'values[0]');
    refuse('report', { ...report, source: ' ' }, 'source');
    refuse('forecast', { ...said, medianM: 0 }, 'medianM');
    refuse('water', { ...water, releases: [] }, 'releases');
    refuse('water', { ...water, releases: [{ fromMin: -1, toMin: 3 }] }, 'fromMin');
  });
});

describe('schemas allow what there is', () => {
  const at = { id: 'e', at: 1, runId: null, xM: null, yM: null, rig: null };
  const did = { v: 1, s: 20, flies: [[100, 50, 120, 20, 31, 55, 22, 40]], lies: [2], touches: 0 };

  it('what a cast did, where one went, how it was shown, and which fly was taken', () => {
    const hands = { way: 'strip', countS: 4, pullM: 0.2, pullMps: 0.5, restS: 1, feedM: 0, walkM: 0 };
    const take = { where: null, sign: null, what: 'pluck', juvenile: false, fish: null };
    const good = [
      { ...at, kind: 'cast', plan: PLAN, did },
      { ...at, id: 'f', kind: 'cast', plan: PLAN },
      { ...at, id: 'g', kind: 'go', how: 'skip', lie: 3 },
      { ...at, id: 'h', kind: 'go', how: 'here', lie: null },
      { ...at, id: 'i', kind: 'way', hands },
      { ...at, id: 'j', kind: 'way', hands: null },
      { ...at, id: 'k', kind: 'take', ...take, place: 1 },
    ];
    expect(checkEvents(good)).toEqual(good);
    const bad = (o: object, says: string) => expect(() => checkEvents([{ ...at, ...o }])).toThrow(says);
    bad({ kind: 'cast', plan: PLAN, did: { ...did, v: 2 } }, 'did.v');
    bad({ kind: 'cast', plan: PLAN, did: { ...did, flies: [[1, 2]] } }, 'did.flies[0]');
    bad({ kind: 'cast', plan: PLAN, did: { ...did, flies: [[0.5, 50, 120, 20, 31, 55, 22, 40]] } }, 'did.flies[0]');
    bad({ kind: 'go', how: 'away', lie: null }, 'how');
    bad({ kind: 'go', how: 'skip', lie: 0 }, 'lie');
    bad({ kind: 'way', hands: { ...hands, way: 'none' } }, 'hands.way');
    bad({ kind: 'take', ...take, place: 3 }, 'place');
  });

  it('the casts that are worked through, and the time for them', () => {
    const beat = { key: 'k', stands: [], casts: [PLAN] };
    const session = { ...EMPTY_SESSION, beat, time: { minutes: 45, patience: 4, byRule: true } };
    expect(checkRecord('session', session)).toEqual(session);
    expect(() => checkRecord('session', { ...session, beat: { ...beat, casts: [] } })).toThrow('beat.casts');
    expect(() => checkRecord('session', { ...session, time: { minutes: 45, patience: 3 } })).toThrow('time.patience');
    expect(() => checkRecord('session', { ...session, time: { minutes: 0, patience: 1 } })).toThrow('time.minutes');
  });

  it('a fish of either sex and origin, or not known', () => {
    for (const sex of ['male', 'female', null])
      for (const origin of ['wild', 'marked', null]) {
        const fish = { species: 'sea trout', lengthM: 0.5, sex, condition: '', origin };
        const take = { where: null, sign: null, what: 'landed', juvenile: false, fish };
        const at = { id: 'e', at: 1, runId: null, xM: null, yM: null, rig: null, kind: 'take' };
        expect(checkEvents([{ ...at, ...take }])).toHaveLength(1);
        expect(() => checkEvents([{ ...at, ...take, fish: { ...fish, sex: 'both' } }])).toThrow('fish.sex');
        expect(() => checkEvents([{ ...at, ...take, fish: { ...fish, origin: 'sea' } }])).toThrow('fish.origin');
      }
  });
});

describe('schemas refuse what they should, and say where', () => {
  it.each([
    ['run', { ...run, lengthM: 2 }, 'lengthM must be at least 5'],
    ['run', { ...run, bed: 'lava' }, 'bed must be one of'],
    ['run', { ...run, sections: run.sections.slice(1) }, 'sections must contain at least 2'],
    [
      'run',
      {
        ...run,
        sections: [
          run.sections[0],
          {
            xM: 60,
            points: [
              { yM: 5, depthM: 0 },
              { yM: 2, depthM: 1 },
              { yM: 9, depthM: 0 },
            ],
          },
        ],
      },
      'places across must grow',
    ],
    [
      'run',
      {
        ...run,
        sections: [run.sections[0], { xM: 60, points: run.sections[1]!.points.map((p) => ({ ...p, depthM: 99 })) }],
      },
      'sections[1].points[0].depthM must be at most 15',
    ],
    ['run', { ...run, name: '  ' }, 'name'],
    ['run', { ...run, colour: 'x' }, 'colour is not allowed'],
    ['kit', { ...fly, family: 'spoon' }, 'family must be one of'],
    ['kit', { ...fly, type: 'boat' }, 'type must be one of'],
    ['kit', { ...fly, lengthM: NaN }, 'lengthM must be a number'],
    ['settings', { ...DEFAULT_SETTINGS, units: 'cubits' }, 'units must be one of'],
    ['session', { ...EMPTY_SESSION, day: 'today' }, 'day'],
  ] as const)('%s: %#', (kind, data, message) => {
    expect(() => checkRecord(kind, data)).toThrow(message);
  });

  it('lets whole ones through unchanged', () => {
    expect(checkRecord('run', run)).toEqual(run);
    expect(checkRecord('kit', fly)).toEqual(fly);
    expect(checkRecord('session', EMPTY_SESSION)).toEqual(EMPTY_SESSION);
  });

  it('takes of a station what it knows and refuses what is none', () => {
    const s = { id: 's', name: 'S', latDeg: 57, lonDeg: -5, normalStageM: 0.7 };
    expect(checkStations([{ ...s, simulated: true }])).toEqual([s]);
    expect(() => checkStations([{ ...s, latDeg: 570 }])).toThrow('stations: [0].latDeg must be at most 90');
    expect(() => checkStations({ error: 'down' })).toThrow('must be an array');
  });

  it('knows each kind of event by its fields', () => {
    const base = { id: 'e', at: 1, runId: null, xM: null, yM: null, rig: null };
    expect(checkEvents([{ ...base, kind: 'bed' }])).toHaveLength(1);
    expect(() =>
      checkEvents([
        { ...base, kind: 'bed' },
        { ...base, kind: 'cast', plan: { ...PLAN, angleDeg: undefined } },
      ]),
    ).toThrow('event 2: plan.angleDeg is required');
    expect(() => checkEvents([{ ...base, kind: 'dance' }])).toThrow('event 1: kind must be one of');
    expect(() => checkEvents({})).toThrow('not a list');
    expect(() => openEventList({ versions: EVENT_VERSIONS, events: 5 }, 'the log')).toThrow(
      'the log: not a list of events',
    );
    expect(() => openEventList(null)).toThrow('not a list of events');
    expect(() => openEventList({ events: [] })).toThrow('does not say its versions');
  });
});

describe('what an angler can do', () => {
  const settings = (means: object) => ({
    ...{ id: 'settings', units: 'metric', theme: 'daylight', heightM: 1.75, school: 'near the bed' },
    means: {
      casts: ['roll'],
      shoulders: ['left'],
      longestM: 12,
      lines: [],
      wadeM: 0,
      fineKnots: false,
      children: true,
      ...means,
    },
  });
  const fits = (means: object) =>
    RECORD_SCHEMAS.settings.validate(settings(means), { convert: false }).error === undefined;
  it('may be nothing at all, each thing once, and no more than there is', () => {
    expect(fits({})).toBe(true);
    expect(fits({ casts: [], shoulders: [] })).toBe(true);
    expect(fits({ casts: ['roll', 'roll'] })).toBe(false);
    expect(fits({ lines: ['rope'] })).toBe(false);
    expect(fits({ longestM: 80 })).toBe(false);
  });
});
