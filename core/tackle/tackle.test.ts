import { FOOT_M, INCH_M } from '../units';
import { flyBody, flySinkRate, REFERENCE_FLIES } from './flies';
import { rigBodies, rigLine, sinkingWeight } from './line';
import type { FlyFamily } from './families';
import { itemsOf } from './kit';
import { level } from './leader';
import { choiceOf, type Dropper, FLOAT_ABOVE_M, NO_RIG, type Rig, rigOf } from './rig';
import { shotName, shotsToHand } from './shot';
import { floaterDiameterM, LINE_GRAINS, lineMassKg, sinkerDiameterM } from './standards';
import { STARTS } from './starts';

const rig: Rig = {
  rod: { type: 'rod', id: 'r', name: 'two-hander', lengthM: 11 * FOOT_M, hands: 2, lineNumber: 7 },
  head: { type: 'head', id: 'h', name: 'short head', shape: 'short', lengthM: 7, massKg: 0.0324, sinkRatesMps: [0] },
  tip: { type: 'tip', id: 't', name: '10 ft fast', lengthM: 10 * FOOT_M, sinkRateMps: 7 * INCH_M },
  leader: { type: 'leader', id: 'l', name: '4 ft', pieces: level(1.2, 0.25e-3, 'nylon') },
  fly: {
    type: 'fly',
    id: 'f',
    name: 'black strip',
    family: 'rabbit strip',
    colour: 'black',
    lengthM: 0.0635,
    hook: '6',
    weight: 'none',
    barbless: true,
  },
  droppers: [],
  lineClean: true,
};

const hung = (fly: Rig['fly'], aboveM = 0.9): Dropper => ({ fly, way: 'tag', aboveM, armM: 0.18 });

describe('line standards', () => {
  it('gives the trade standard’s grains for the first 30 ft (single-hand line standard, from memory)', () => {
    expect(Object.values(LINE_GRAINS)).toEqual([60, 80, 100, 120, 140, 160, 185, 210, 240, 280, 330, 380]);
    expect(lineMassKg(6) * 1000).toBeCloseTo(10.3678, 3); // 160 gr of 64.79891 mg
    for (const none of [0, 13]) expect(() => lineMassKg(none)).toThrow('lineNumber');
  });
});

describe('diameters', () => {
  it('are the table’s, straight between its rows, held at its ends (from memory)', () => {
    expect([5, 6, 8, 10].map((n) => 1000 * floaterDiameterM(n))).toEqual([1.2, 1.28, 1.47, 1.69]);
    expect(1000 * floaterDiameterM(7)).toBeCloseTo(1.375, 9);
    expect(1000 * floaterDiameterM(3)).toBeCloseTo(1.2, 9);
    expect(1000 * floaterDiameterM(12)).toBeCloseTo(1.69, 9);
    expect([1.5, 3, 5, 7].map((r) => 1000 * sinkerDiameterM(r))).toEqual([1.3, 1.15, 1.05, 1]);
    expect(1000 * sinkerDiameterM(4)).toBeCloseTo(1.1, 9);
    expect(1000 * sinkerDiameterM(9)).toBeCloseTo(1, 9);
    expect(1000 * sinkerDiameterM(0.5)).toBeCloseTo(1.3, 9);
  });
});

describe('a rig and the choices behind it', () => {
  const second = { ...rig.fly, id: 'f2', name: 'another' };
  const kit = [rig.rod, rig.head, rig.tip!, rig.leader, second, rig.fly];

  it('are the same there and back, with everything on and with little', () => {
    const shot = { massKg: 4e-4, aboveFlyM: 0.18 };
    for (const r of [rig, { ...rig, tip: null }, { ...rig, droppers: [hung(second)], shot, lineClean: false }])
      expect(rigOf(kit, choiceOf(r))).toEqual(r);
    const float = { ...STARTS.float[0]!, id: 'o' };
    const under = (floatAboveM?: number) =>
      rigOf([...kit, float], { ...choiceOf(rig), floatId: 'o', floatAboveM })!.float;
    expect([under(), under(1.4)]).toEqual([
      { item: float, aboveM: FLOAT_ABOVE_M },
      { item: float, aboveM: 1.4 },
    ]);
    expect(rigOf(kit, { ...choiceOf(rig), shotKg: 4e-4 })!.shot).toEqual({ massKg: 4e-4, aboveFlyM: 0 });
    expect(choiceOf(rig)).not.toHaveProperty('shotKg');
    // What can be pinched on: the sizes of the bag, and what is on.
    const owned = (massKg: number, aside?: true) => ({
      type: 'shot' as const,
      id: `${massKg}`,
      name: '',
      massKg,
      aside,
    });
    expect(shotsToHand([owned(4e-4), owned(2e-4), owned(8e-4, true)], 3e-4)).toEqual([2e-4, 3e-4, 4e-4]);
    expect(shotsToHand([], 0)).toEqual([]);
    expect([4e-4, 3.9e-4, 5e-4].map(shotName)).toEqual(['BB, 0.4 g', 'BB, 0.39 g', '0.5 g']);
  });

  it('make no rig while a rod, a head, a leader or a fly is missing', () => {
    expect(rigOf(kit, NO_RIG)).toBeNull();
    for (const part of ['rodId', 'headId', 'leaderId', 'flyId'] as const)
      expect(rigOf(kit, { ...choiceOf(rig), [part]: 'gone' })).toBeNull();
    // An id of another kind of thing is no choice of this one.
    expect(rigOf(kit, { ...choiceOf(rig), flyId: rig.rod.id })).toBeNull();
  });

  it('come in the order of their names', () => {
    for (const flies of [kit, [...kit].reverse()])
      expect(itemsOf(flies, 'fly').map((f) => f.name)).toEqual(['another', 'black strip']);
  });
});

describe('a rig as line', () => {
  it('adds up to the line out, leader outermost, running line at the rod', () => {
    const line = rigLine(rig, 18);
    expect(line.reduce((s, l) => s + l.lengthM, 0)).toBeCloseTo(18, 9);
    expect(line.map((l) => l.kind)).toEqual(['float', 'float', 'sink', 'leader']);
    expect(line[0]!.diameterM).toBe(0.9e-3);
  });

  it('gives a 500 gr head of 7 m its 2.6 mm (from memory)', () => {
    expect(rigLine(rig, 18)[1]!.diameterM * 1000).toBeCloseTo(2.6, 1);
  });

  it('turns a catalogue sink rate into weight with the swing’s own drag, w = ½ρ·Cn·d·v²', () => {
    expect(sinkingWeight(7 * INCH_M, 1e-3)).toBeCloseTo(0.5 * 1000 * 1.1 * 1e-3 * 0.1778 ** 2, 9);
  });

  it('keeps a short cast within tip and leader', () => {
    const line = rigLine(rig, 4);
    expect(line.map((l) => l.kind)).toEqual(['sink', 'leader']);
    expect(line.reduce((s, l) => s + l.lengthM, 0)).toBeCloseTo(4, 9);
    expect(() => rigLine(rig, 1)).toThrow('shorter than leader');
  });

  it('sinks the front half of a head of two densities faster', () => {
    const head = { ...rig.head, shape: 'long' as const, sinkRatesMps: [1.5 * INCH_M, 3 * INCH_M] };
    const line = rigLine({ ...rig, tip: null, head }, 18);
    expect(line.map((l) => l.kind)).toEqual(['float', 'sink', 'sink', 'leader']);
    expect(line[1]!.lengthM).toBeCloseTo(head.lengthM / 2, 9);
    expect(line[2]!.weightNpm).toBeCloseTo(sinkingWeight(3 * INCH_M, line[2]!.diameterM), 9);
    expect(line[2]!.weightNpm).toBeGreaterThan(line[1]!.weightNpm);
  });

  it('weighs lead shot at 11.3 times its water (from memory) and hangs it where it was pinched on', () => {
    const [, shot] = rigBodies({ ...rig, shot: { massKg: 4e-4, aboveFlyM: 0.18 } });
    expect(shot!.massInWaterKg).toBeCloseTo(4e-4 * (1 - 1 / 11.3), 9);
    expect(shot!.fromEndM).toBe(0.18);
    // A lead ball of 0.4 g is 4.07 mm across: (6m/πρ)^(1/3).
    expect(Math.sqrt((4 * shot!.dragAreaM2) / (0.45 * Math.PI)) * 1000).toBeCloseTo(4.07, 2);
  });
});

describe('what is between rod and fly', () => {
  it('floats where the tip floats, at the diameter of the line’s number', () => {
    const line = rigLine({ ...rig, tip: { ...rig.tip!, sinkRateMps: 0 } }, 18);
    expect(line.map((l) => l.kind)).toEqual(['float', 'float', 'float', 'leader']);
    expect(line[2]!.diameterM).toBeCloseTo(floaterDiameterM(7), 9);
    expect(line[2]!.weightNpm).toBeLessThan(0);
  });

  it('is as heavy in water as its density says, w = (ρr − 1)·ρ·πd²/4·g', () => {
    const line = rigLine(rig, 18);
    expect(line[3]!.weightNpm).toBeCloseTo(0.14 * 1000 * (Math.PI / 4) * 0.25e-3 ** 2 * 9.80665, 9);
    expect(line[0]!.weightNpm).toBeCloseTo(-0.12 * 1000 * (Math.PI / 4) * 0.9e-3 ** 2 * 9.80665, 9);
    const heavy = rigLine({ ...rig, leader: { ...rig.leader, pieces: level(1.2, 0.25e-3, 'fluorocarbon') } }, 18);
    expect(heavy[3]!.weightNpm / line[3]!.weightNpm).toBeCloseTo(0.78 / 0.14, 6);
  });

  it('has a taper of the line’s own diameter, and no running line until the head is out', () => {
    const head = { ...rig.head, shape: 'taper' as const, lengthM: 12 };
    const line = rigLine({ ...rig, head, tip: null }, 10);
    expect(line.map((l) => l.kind)).toEqual(['float', 'leader']);
    expect(line[0]!.diameterM).toBeCloseTo(floaterDiameterM(7), 9);
    expect(line[0]!.lengthM).toBeCloseTo(8.8, 9);
    expect(rigLine({ ...rig, head, tip: null }, 16)[0]!.diameterM).toBe(0.9e-3);
    // A few centimetres of head or running line are no section of their own.
    expect(rigLine({ ...rig, head, tip: null }, 13.23).map((l) => l.lengthM)).toEqual([expect.closeTo(12.03, 9), 1.2]);
  });
});

describe('flies by family', () => {
  const body = (family: FlyFamily, lengthM: number) => flyBody({ family, lengthM, weight: 'none' });
  it('drag with the square of their length, the slim less than the bulky, the sparse as soft hackles', () => {
    expect(body('rabbit strip', 0.0635)).toMatchObject({ massInWaterKg: 0.2e-3, massKg: 0.4e-3, dragAreaM2: 2e-4 });
    expect(body('rabbit strip', 0.127).dragAreaM2).toBeCloseTo(8e-4, 9);
    expect(body('slim baitfish', 0.0635).dragAreaM2).toBeCloseTo(0.9e-4, 9);
    expect(body('soft-hackle spider', 0.015)).toMatchObject({ massInWaterKg: 0.04e-3, dragAreaM2: 0.5e-4 });
  });

  it('weigh and drag something, however small', () => {
    const midge = body('soft-hackle spider', 0.003);
    expect(midge.dragAreaM2).toBeCloseTo(0.2e-4, 12);
    expect(midge.massKg).toBeCloseTo(2e-5, 12);
    const weighted = flyBody({ family: 'micro streamer', lengthM: 0.02, weight: 'bead' });
    expect(weighted.massKg).toBeGreaterThanOrEqual(weighted.massInWaterKg);
    expect(weighted.massInWaterKg).toBeGreaterThan(0.2e-3);
    // What is added weighs a little more in air than in water.
    const bare = body('rabbit strip', 0.0635);
    const beaded = flyBody({ family: 'rabbit strip', lengthM: 0.0635, weight: 'bead' });
    expect(beaded.massKg - bare.massKg).toBeCloseTo(1.1 * 0.2e-3, 9);
    expect(flyBody({ family: 'muddler', lengthM: 0.0635, weight: 'buoyant' }).massKg).toBeCloseTo(bare.massKg, 9);
  });
});

describe('flies', () => {
  it('sink as the reference flies do (from memory: 0.14, 0.29, 0.34, 0.125 m/s)', () => {
    expect(flySinkRate(REFERENCE_FLIES.bulky)).toBeCloseTo(0.14, 2);
    expect(flySinkRate(REFERENCE_FLIES.beadHead)).toBeCloseTo(0.29, 2);
    expect(flySinkRate(REFERENCE_FLIES.leadEye)).toBeCloseTo(0.34, 2);
    expect(flySinkRate(REFERENCE_FLIES.softHackle)).toBeCloseTo(0.125, 2);
  });

  it('sink faster with more weight, and deer hair rises (common practice, no source)', () => {
    const at = (weight: 'none' | 'bead' | 'cone' | 'lead eyes' | 'buoyant') =>
      flySinkRate(flyBody({ family: 'rabbit strip', lengthM: 0.05, weight }));
    const order = (['buoyant', 'none', 'bead', 'cone', 'lead eyes'] as const).map(at);
    expect([...order].sort((a, b) => a - b)).toEqual(order);
    expect(order[0]).toBeLessThan(0);
  });
});
