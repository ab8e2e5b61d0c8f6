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
    ['run', { ...run, bed: 'lava' }, 'bed must be one of'],
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
