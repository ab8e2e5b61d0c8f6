import { FOOT_M, INCH_M } from '../units';
import { flyBody, flySinkRate, REFERENCE_FLIES } from './flies';
import { rigBodies, rigLine, sinkingWeight } from './line';
import type { Rig } from './rig';
import { LINE_GRAINS, lineMassKg, tippetDiameterM } from './standards';

const rig: Rig = {
  rod: { type: 'rod', id: 'r', name: 'two-hander', lengthM: 11 * FOOT_M, hands: 2, lineNumber: 7 },
  head: { type: 'head', id: 'h', name: 'short head', shape: 'short', lengthM: 7, massKg: 0.0324, sinkRateMps: 0 },
  tip: { type: 'tip', id: 't', name: '10 ft fast', lengthM: 10 * FOOT_M, sinkRateMps: 7 * INCH_M },
  leader: { type: 'leader', id: 'l', name: '4 ft', lengthM: 1.2, diameterM: 0.25e-3, material: 'nylon' },
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
  dropper: null,
  lineClean: true,
};

describe('line standards', () => {
  it('gives the trade standard’s grains for the first 30 ft (single-hand line standard, from memory)', () => {
    expect(Object.values(LINE_GRAINS)).toEqual([60, 80, 100, 120, 140, 160, 185, 210, 240, 280, 330, 380]);
    expect(lineMassKg(6) * 1000).toBeCloseTo(10.3678, 3); // 160 gr of 64.79891 mg
    expect(() => lineMassKg(13)).toThrow('lineNumber');
  });

  it('gives X sizes as 0.011 in less 0.001 in a size (trade rule, from memory)', () => {
    expect(tippetDiameterM(0) / INCH_M).toBeCloseTo(0.011, 9);
    expect(tippetDiameterM(5) / INCH_M).toBeCloseTo(0.006, 9);
    expect(() => tippetDiameterM(9)).toThrow('x:');
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
    expect(() => rigLine(rig, 1)).toThrow('outM');
  });

  it('hangs the dropper above the point', () => {
    expect(rigBodies({ ...rig, dropper: rig.fly }).map((b) => b.fromEndM)).toEqual([0, 0.9]);
  });

  it('sinks the front half of a head of two densities faster', () => {
    const head = { ...rig.head, shape: 'sinking' as const, sinkRateMps: 1.5 * INCH_M, frontSinkRateMps: 3 * INCH_M };
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
