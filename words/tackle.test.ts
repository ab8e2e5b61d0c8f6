import { type Dropper, type FlyItem, KIT_TYPE_NAMES, level, tippetDiameterM } from '@/core/tackle';
import { STARTS } from '@/core/tackle/starts';
import { RIG } from '@/core/testing/fixtures';
import { hangingWords, KNOTS, markWords } from './rigCard';
import { itemDetail, itemName, loggedName, nameIn, tippetWords } from './tackle';

const own = <T extends object>(start: T, id = 'x') => ({ ...start, id }) as T & { id: string };
const above = (o: Partial<Dropper> = {}): Dropper => ({ fly: RIG.fly, way: 'ring', aboveM: 0.5, armM: 0.18, ...o });

describe('the names of tackle', () => {
  it('each thing to start from has a name and a detail in both systems', () => {
    const all = KIT_TYPE_NAMES.flatMap((type) => [...STARTS[type]]);
    for (const start of all) {
      const item = own(start) as Parameters<typeof itemName>[0];
      for (const units of ['metric', 'imperial'] as const) {
        expect(itemName(item, units)).not.toMatch(/undefined|NaN|^$/);
        expect(itemDetail(item, units)).not.toMatch(/undefined|NaN|^$/);
      }
    }
  });

  it.each(STARTS.fly)('$family is named in the units that are read, unless its owner named it', (start) => {
    const item = own(start) as Parameters<typeof itemName>[0];
    const [metric, imperial] = [itemName(item, 'metric'), itemName(item, 'imperial')];
    expect(nameIn({ ...item, name: metric }, 'imperial').name).toBe(imperial);
    expect(nameIn({ ...item, name: imperial }, 'metric').name).toBe(metric);
    expect(nameIn({ ...item, name: 'the old one' }, 'imperial').name).toBe('the old one');
    expect(imperial).not.toMatch(/\bc?m\b/);
  });

  it('leaves a leader of nine feet what it is sold as', () => {
    for (const leader of STARTS.leader.map((start) => own(start))) expect(nameIn(leader, 'metric')).toBe(leader);
  });

  it('is read out of a log in the units that are read, wherever the size stands', () => {
    expect(loggedName('purple leech, 6 cm', 'imperial')).toBe('purple leech, 2.4 in');
    expect(loggedName('olive sculpin, 5.5 cm, cone', 'imperial')).toBe('olive sculpin, 2.2 in, cone');
    expect(loggedName('olive sculpin, 2.4 in, cone', 'metric')).toBe('olive sculpin, 6.1 cm, cone');
    for (const name of ['the old one', 'purple leech, 6 cm']) expect(loggedName(name, 'metric')).toBe(name);
  });

  it.each<[Parameters<typeof itemName>[0], string, string]>([
    [{ ...RIG.rod, lengthM: 2.74, hands: 1, lineNumber: 6 }, '2.7 m rod, line 6', '2.74 m, one hand, line 6'],
    [
      { ...RIG.rod, lengthM: 3.35, hands: 2, switch: true, windowKg: [0.0227, 0.0259] },
      '3.4 m rod, line 7',
      '3.35 m, one or two hands, 350 gr to 400 gr',
    ],
    [{ ...RIG.head, shape: 'short', sinkRatesMps: [0] }, 'Short head, 500 gr', '7 m, 500 gr, floats'],
    [
      { ...RIG.head, shape: 'long', sinkRatesMps: [0], cutBackM: 0.5 },
      'Long head, 500 gr',
      '7 m, 500 gr, floats, cut back 0.50 m',
    ],
    [{ ...RIG.head, shape: 'taper', sinkRatesMps: [0] }, 'Floating line, 500 gr', '7 m, 500 gr, floats'],
    [{ ...RIG.head, shape: 'taper', sinkRatesMps: [0.05] }, 'Sinking head, 500 gr', '7 m, 500 gr, sinks 5.0 cm/s'],
    [{ ...RIG.head, sinkRatesMps: [0, 0.04] }, '2-density head, 500 gr', '7 m, 500 gr, floats · 4.0 cm/s'],
    [{ ...RIG.tip!, sinkRateMps: 0, lengthM: 3 }, '3.0 m tip, 0.0 cm/s', '3 m, floats'],
    [
      { ...RIG.tip!, sinkRateMps: 0.06, lengthM: 3, tapered: true, massKg: 0.0052 },
      '3.0 m sinking leader, 6.0 cm/s',
      '3 m, sinks 6.0 cm/s, tapered, 80 gr',
    ],
    [{ ...RIG.leader, pieces: level(1.2, 0.3e-3, 'nylon') }, '1.2 m to 12 lb', '1.20 m, 0.30 mm nylon'],
    [
      {
        ...RIG.leader,
        pieces: [...level(1, 0.4e-3, 'nylon'), ...level(0.6, tippetDiameterM(4), 'nylon')],
        nicked: true,
      },
      '1.6 m to 4X',
      '1.60 m, 2 pieces to 4X, nicked',
    ],
    [{ type: 'shot', id: 's', name: 's', massKg: 4e-4 }, 'Shot BB, 0.4 g', '0.4 g each'],
    [{ type: 'shot', id: 's', name: 's', massKg: 5e-4 }, 'Shot 0.5 g', '0.5 g each'],
    [{ type: 'ring', id: 'r', name: 'r', diameterM: 0.002 }, 'Rings, 2.0 mm', '2.0 mm across'],
    [{ type: 'other fly', id: 'd', name: 'd', kind: 'dry', hook: '14' }, 'Dry, hook 14', 'hook 14, for the log only'],
    [
      { ...RIG.fly, lengthM: 0.05, hook: '6', weight: 'lead eyes', hookUp: true, count: 2 },
      'black rabbit strip, 5 cm, lead eyes',
      '5.0 cm, hook 6, lead eyes, barbless, point up, 2 in stock',
    ],
  ])('is called by what it is, and told by its measures: %#', (item, name, detail) => {
    expect([itemName(item, 'metric'), itemDetail(item, 'metric')]).toEqual([name, detail]);
  });

  it('heads of several densities and floats are told part by part', () => {
    const start = <T extends { name: string }>(list: readonly T[], name: string) =>
      own(list.find((s) => s.name.startsWith(name))!) as unknown as Parameters<typeof itemDetail>[0];
    expect(itemDetail(start(STARTS.head, 'Three'), 'imperial')).toBe('33 ft, 450 gr, floats · 1.5 · 4.0 ips');
    expect(itemDetail(start(STARTS.float, 'Float, 16'), 'metric')).toBe('16 mm, 0.6 g');
    const weight = (o: Partial<FlyItem>) => itemDetail({ ...RIG.fly, ...o }, 'metric').split(', ')[2];
    expect([
      weight({ weight: 'none' }),
      weight({ weight: 'lead eyes' }),
      weight({ weight: 'bead', beadM: 3.3e-3 }),
    ]).toEqual(['no weight', 'lead eyes', '3.3 mm bead']);
  });

  it('tippet is called by its X where it has a whole one, else by what it holds', () => {
    expect(tippetWords({ diameterM: tippetDiameterM(4), material: 'nylon' })).toBe('4X');
    expect(tippetWords({ diameterM: 0.41e-3, material: 'nylon' })).toMatch(/lb$/);
    expect(
      itemDetail(
        own(STARTS.head.find((h) => h.name.startsWith('Two'))!) as Parameters<typeof itemDetail>[0],
        'imperial',
      ),
    ).toBe('30 ft, 400 gr, 1.5 · 5.0 ips');
  });
});

describe('the words of a rig card', () => {
  const rig = RIG;
  it('says which end, why, and what to cut: an arm of 18 cm takes an overlap of 28, or a piece of 34 with two knots', () => {
    const said = (way: Dropper['way']) =>
      hangingWords({ ...rig, droppers: [above({ way, aboveM: 0.6 })] }, 'metric').join();
    expect(said('tag')).toMatch(
      /^Dropper: lay the two pieces 28\.0 cm side by side.* 18\.0 cm are left.*end that points to the rod/,
    );
    expect(said('ring')).toMatch(/a piece of 34\.0 cm/);
    expect(said('loop')).toMatch(/slides above a stop knot/);
    expect(said('bend')).toMatch(/slips off a barbless hook/);
    expect(hangingWords(RIG, 'metric')).toEqual([]);
    expect(hangingWords({ ...rig, droppers: [above({ way: 'tag' })] }, 'imperial').join()).not.toMatch(/\bcm\b/);
  });

  it('name what is at each place of the leader, and each knot in three steps', () => {
    const fly = { ...RIG.fly, name: 'the old one' };
    expect(markWords({ kind: 'knot', aboveM: 1, knot: 'clinch' })).toBe('clinch');
    expect(markWords({ kind: 'ring', aboveM: 1, knot: 'clinch' })).toBe('tippet ring');
    expect(markWords({ kind: 'shot', aboveM: 1, massKg: 4e-4 })).toBe('Shot BB, 0.4 g');
    expect(markWords({ kind: 'fly', aboveM: 0, fly, called: 'point fly' })).toBe('point fly: the old one');
    expect(markWords({ kind: 'fly', aboveM: 0.5, fly, called: 'dropper', way: 'bend' })).toMatch(
      /^dropper: the old one, in line/,
    );
    for (const knot of Object.values(KNOTS)) expect(knot.steps).toHaveLength(3);
  });
});
