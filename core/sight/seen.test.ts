import fc from 'fast-check';
import { FLY_COLOURS, type FlyItem, usualFly } from '../tackle';
import { RIG } from '../testing/fixtures';
import { COLOURS, SKIES } from '../water';
import { BANDS_NM, CONES_NM, EYE, pigment, PURE_WATER, spectrum } from './bands';
import { hexOf, reflectanceOf } from './colours';
import { opticsOf } from './optics';
import { flyOrder } from './order';
import { arrivesAs, daylight, FROM, lookIn, rangeOf, seenFrom, sizeLimitM, type Viewing } from './seen';

const day = (o: Partial<Viewing> = {}): Viewing => ({
  ...{ colour: 'green', visibilityM: 1.2, depthM: 0.5, sunDeg: 40, sky: 'broken' },
  ...o,
});
const fly = (colour: FlyItem['colour'], o: Partial<FlyItem> = {}) => ({ ...RIG.fly, colour, ...o });
const at = (nm: number) => BANDS_NM.indexOf(nm);

describe('the eye', () => {
  it('is best at its cones, 434, 531 and 576 nm (Hawryshyn & Hárosi 1994, from memory)', () => {
    for (const peak of CONES_NM) {
      expect(pigment(peak, peak)).toBeCloseTo(1, 1);
      expect(pigment(peak, peak - 40)).toBeLessThan(0.95);
      expect(pigment(peak, peak + 60)).toBeLessThan(0.6);
    }
    // The template by hand: at 600 nm, x = 0.885, 1/(e^(69.7·(0.8802 − x)) + e^(28·(0.922 − x)) + e^(−14.9·(1.104 − x)) + 0.674).
    expect(pigment(531, 600)).toBeCloseTo(0.236, 3);
    expect(pigment(434, 480)).toBeCloseTo(0.365, 3);
    // Deep red is beyond them.
    expect(EYE[at(700)]!).toBeLessThan(0.05);
    expect(Math.max(...EYE)).toBeLessThanOrEqual(1.01);
  });
});

describe('ranges by contrast (ln(C0/CT)/c; Duntley 1963)', () => {
  it.each([
    [1, 0.02, 3.912, 1],
    [-1, 0.05, 2, 1.4979],
    [0.5, 0.07, 4.8, 0.4096],
    [0.01, 0.05, 3, 0],
  ])('C0 %d, threshold %d, c %d a metre: %d m, by hand', (c0, threshold, loss, m) => {
    expect(rangeOf(c0, threshold, loss)).toBeCloseTo(m, 4);
  });

  it('thresholds of 0.02, 0.05, 0.07 are 0.815, 0.624, 0.554 of a black disc’s 4.8/c (science of the black disc)', () => {
    for (const [threshold, share] of [
      [0.02, 0.815],
      [0.05, 0.624],
      [0.07, 0.554],
    ] as const)
      expect(rangeOf(-1, threshold, 1) / 4.8).toBeCloseTo(share, 3);
  });

  it('a fish of 30 cm sees 5 mm no further than 59.85 cm, one of 40 cm 10 mm than 119.96 (Hughes & Dill 1990, from memory)', () => {
    expect(sizeLimitM(0.005, 0.3)).toBeCloseTo(0.5985, 4);
    expect(sizeLimitM(0.01, 0.4)).toBeCloseTo(1.1996, 4);
    expect(sizeLimitM(0.002, 0.3)).toBeCloseTo(0.2394, 4);
    // In clear water a midge is lost by its size, a streamer by the water.
    const clear = lookIn(day({ colour: 'clear', visibilityM: 8 }));
    expect(seenFrom(clear, fly('black', { lengthM: 0.006 }), 'beside').outline.likelyM).toBeCloseTo(
      sizeLimitM(0.006, 0.4),
      6,
    );
    expect(seenFrom(clear, fly('black', { lengthM: 0.08 }), 'beside').outline.likelyM).toBeLessThan(
      sizeLimitM(0.08, 0.4),
    );
  });
});

describe('waters', () => {
  it.each(COLOURS)(
    '%s: c + Kd = 8.7 over the visibility in the band that comes through best (Tyler 1968; Preisendorfer 1986)',
    (colour) => {
      for (const visibilityM of [0.2, 0.6, 1.5, 4]) {
        const { beam, down } = opticsOf(colour, visibilityM);
        const sums = BANDS_NM.map((nm, i) => (nm >= 480 && EYE[i]! > 0.5 ? beam[i]! + down[i]! : Infinity));
        expect(Math.min(...sums) * visibilityM).toBeCloseTo(8.7, 6);
        beam.forEach((c, i) => expect(c).toBeGreaterThan(PURE_WATER[i]!));
      }
    },
  );

  it.each([
    ['clear', 1.9],
    ['grey-brown', 1.3],
    ['tea', 2.8],
  ] as const)(
    '%s: light dims by %d over the visibility, within a fifth (lakes that are clear, silty, stained: Koenings & Edmundson 1991, from memory)',
    (colour, kdZ) => {
      for (const visibilityM of [1, 2.5]) {
        const { down } = opticsOf(colour, visibilityM);
        const seen = (depthM: number) => EYE.reduce((sum, eye, i) => sum + eye * Math.exp(-down[i]! * depthM), 0);
        expect(Math.abs(Math.log(seen(0) / seen(visibilityM)) / kdZ - 1)).toBeLessThan(0.2);
      }
    },
  );

  it('pure water is Pope & Fry’s (1997, from memory): 440 nm 0.0064, 550 0.0565, 650 0.340', () => {
    expect([440, 550, 650].map((nm) => PURE_WATER[at(nm)])).toEqual([0.0064, 0.0565, 0.34]);
  });

  it('tea swallows blue and leaves red; silt of equal visibility veils all alike', () => {
    const tea = opticsOf('tea', 1);
    const silt = opticsOf('grey-brown', 1);
    const bluer = (o: typeof tea) => o.down[at(440)]! / o.down[at(620)]!;
    expect(bluer(tea)).toBeGreaterThan(4 * bluer(silt));
    // Stain falls off as exp(−S(λ − 440)), S 0.016 to 0.019 for fresh peaty water (from memory); by hand from two bands of its
    // own absorption, scattering taken off by the difference of beam and a.
    expect(tea.beam[at(440)]! / tea.beam[at(540)]!).toBeGreaterThan(2);
    expect(silt.beam[at(440)]! / silt.beam[at(540)]!).toBeLessThan(1.3);
    // Algae take blue and the red of 675 nm.
    const [green, clear] = [opticsOf('green', 1), opticsOf('clear', 1)];
    const dip = (o: typeof green) => o.beam[at(680)]! - o.beam[at(640)]!;
    expect(dip(green)).toBeGreaterThan(dip(clear));
    expect(green.down[at(440)]! / green.down[at(550)]!).toBeGreaterThan(2);
    // Tea is dark, silt bright.
    expect(silt.back[at(550)]!).toBeGreaterThan(4 * tea.back[at(550)]!);
  });

  it('algae swallow blue about 440 nm and red about 675 nm, and let the green between through (from memory)', () => {
    // Over the geometric mean of both sides: a hump where they absorb, of the widths that they have; none beside it.
    const hump = (colour: 'green' | 'clear', nm: number, by: number) => {
      const { beam } = opticsOf(colour, 1);
      const of = (w: number) => beam[at(w)]! - PURE_WATER[at(w)]!;
      return of(nm) / Math.sqrt(of(nm - by) * of(nm + by));
    };
    const more = (nm: number, by: number) => hump('green', nm, by) - hump('clear', nm, by);
    expect(more(440, 40)).toBeCloseTo(0.047, 2);
    expect(more(440, 20)).toBeCloseTo(0.017, 2);
    expect(more(680, 20)).toBeCloseTo(0.019, 2);
    for (const nm of [540, 600]) expect(Math.abs(more(nm, 20))).toBeLessThan(0.002);
  });

  it('are refused without a visibility', () => {
    expect(() => opticsOf('green', 0)).toThrow('visibilityM');
    expect(() => lookIn(day({ visibilityM: NaN }))).toThrow('visibilityM');
  });
});

describe('what is seen', () => {
  it('a black outline goes at some two fifths of the visibility: black disc 0.69 of it, threshold 0.05 (±20 %)', () => {
    const { outline } = seenFrom(lookIn(day()), fly('black'), 'beside');
    expect(outline.likelyM / 1.2).toBeGreaterThan(0.34);
    expect(outline.likelyM / 1.2).toBeLessThan(0.52);
    expect(outline.lowM).toBeLessThan(outline.likelyM);
    expect(outline.highM).toBeGreaterThan(outline.likelyM);
  });

  it('ranges are those of the best band, each worked out by hand from its contrast and its loss', () => {
    const look = lookIn(day());
    const { beam, down, back } = look.optics;
    const lossOf = {
      beside: (i: number) => beam[i]!,
      below: (i: number) => Math.max(0.2 * beam[i]!, beam[i]! - down[i]!),
      above: (i: number) => beam[i]! + down[i]!,
    };
    const contrastOf = {
      beside: (r: number, i: number) => (0.35 * r) / (2.5 * back[i]!) - 1,
      below: (r: number, i: number) => (r * back[i]!) / 1.333 ** 2 - 1,
      above: (r: number, i: number) => r / (0.06 + 0.002 * i) - 1,
    };
    for (const c of ['black', 'white', 'orange'] as const)
      for (const from of FROM) {
        const r = reflectanceOf(fly(c));
        const ranges = BANDS_NM.map((_, i) =>
          Math.max(0, Math.log(Math.abs(contrastOf[from](r[i]!, i)) / (0.05 * look.dim[i]!)) / lossOf[from](i)),
        );
        expect(seenFrom(look, fly(c), from).outline.likelyM).toBeCloseTo(Math.max(...ranges), 9);
      }
    // By day no band wants for light; in twilight those that the eye hardly has are the first.
    expect(look.dim[at(550)]).toBe(1);
    const { dim } = lookIn(day({ sunDeg: -4 }));
    expect(dim[at(550)]!).toBeGreaterThan(1);
    expect(dim[at(700)]!).toBeGreaterThan(3 * dim[at(550)]!);
  });

  it('from below white and black are seen alike, against the claim of the trade', () => {
    const look = lookIn(day());
    const [white, black] = [fly('white'), fly('black')].map((f) => seenFrom(look, f, 'below').outline.likelyM) as [
      number,
      number,
    ];
    // What little light comes up lights the pale one: it is a shade less dark.
    expect(white / black).toBeGreaterThan(0.98);
    expect(white / black).toBeLessThan(1);
  });

  it('from above pale stands out further than dark, over a brown bed', () => {
    const look = lookIn(day());
    expect(seenFrom(look, fly('white'), 'above').outline.likelyM).toBeGreaterThan(
      1.3 * seenFrom(look, fly('olive'), 'above').outline.likelyM,
    );
  });

  it('black, white and grey have no colour; red has, and its light has gone first in green water, last in tea', () => {
    const colour = (c: FlyItem['colour'], o: Partial<Viewing> = {}) =>
      seenFrom(lookIn(day(o)), fly(c), 'beside').colour.likelyM;
    expect([colour('black'), colour('white')]).toEqual([0, 0]);
    expect(colour('red')).toBeGreaterThan(0.1);
    // Deep down the red is gone from clear green water, while tea still carries it.
    const deep = { depthM: 6, visibilityM: 2 };
    const lost = (c: Viewing['colour']) =>
      lookIn(day({ ...deep, colour: c })).lit[at(640)]! / lookIn(day({ ...deep, colour: c })).lit[at(540)]!;
    expect(lost('green')).toBeLessThan(1);
    expect(lost('tea')).toBeGreaterThan(1);
  });

  it('flash and a pale second colour show further than plain black, from above', () => {
    const look = lookIn(day());
    const range = (o: Partial<FlyItem>) => seenFrom(look, fly('black', o), 'above').outline.highM;
    const bright = seenFrom(look, fly('tan'), 'above').outline.highM;
    expect(
      seenFrom(look, fly('tan', { also: [{ colour: 'white', share: 0.4 }] }), 'above').outline.highM,
    ).toBeGreaterThan(bright);
    expect(reflectanceOf(fly('black', { flash: true }))[10]! - reflectanceOf(fly('black'))[10]!).toBeCloseTo(0.1, 9);
    expect(range({})).toBeGreaterThan(0);
  });

  it('light: 400 lux of 100,000 at sunset, 3.4 at the end of civil twilight (from memory); clouds and shade take some', () => {
    expect(daylight({ sunDeg: 0, sky: 'bright' })).toBeCloseTo(0.004, 6);
    expect(daylight({ sunDeg: -6, sky: 'bright' })).toBeCloseTo(3.4e-5, 5);
    expect(daylight({ sunDeg: 90, sky: 'bright' })).toBe(1);
    expect(daylight({ sunDeg: 30, sky: 'bright' })).toBeCloseTo(0.5, 9);
    for (const sky of SKIES)
      expect(daylight({ sunDeg: 30, sky, shaded: true })).toBeLessThan(daylight({ sunDeg: 30, sky }));
    // By night nothing of an olive fly is left at half a metre down in a coloured water.
    const night = seenFrom(lookIn(day({ sunDeg: -12 })), fly('olive'), 'beside').outline.likelyM;
    expect(night).toBeLessThan(0.5 * seenFrom(lookIn(day()), fly('olive'), 'beside').outline.likelyM);
  });

  it('clearer water never shortens a range, dimmer light never lengthens one', () => {
    const any = fc.record({
      colour: fc.constantFrom(...COLOURS),
      own: fc.constantFrom(...FLY_COLOURS),
      from: fc.constantFrom(...FROM),
      vis: fc.double({ min: 0.05, max: 6, noNaN: true }),
      more: fc.double({ min: 1, max: 3, noNaN: true }),
      depthM: fc.double({ min: 0, max: 3, noNaN: true }),
      sunDeg: fc.double({ min: -8, max: 70, noNaN: true }),
      lengthM: fc.double({ min: 0.01, max: 0.12, noNaN: true }),
      flash: fc.boolean(),
    });
    fc.assert(
      fc.property(any, ({ colour, own, from, vis, more, depthM, sunDeg, lengthM, flash }) => {
        const see = (visibilityM: number, deg: number) =>
          seenFrom(lookIn(day({ colour, visibilityM, depthM, sunDeg: deg })), fly(own, { lengthM, flash }), from);
        const here = see(vis, sunDeg);
        const clearer = see(vis * more, sunDeg);
        const dimmer = see(vis, sunDeg - 4);
        for (const what of ['outline', 'colour'] as const)
          for (const end of ['likelyM', 'lowM', 'highM'] as const) {
            expect(clearer[what][end]).toBeGreaterThanOrEqual(here[what][end] - 1e-9);
            expect(dimmer[what][end]).toBeLessThanOrEqual(here[what][end] + 1e-9);
          }
      }),
      { numRuns: 150 },
    );
  });
});

describe('colours as they arrive', () => {
  const rgb = (hex: string) => [1, 3, 5].map((i) => parseInt(hex.slice(i, i + 2), 16)) as [number, number, number];

  it('equal light in every band is white, none black, red light red (IEC 61966-2-1)', () => {
    const white = rgb(hexOf(spectrum(() => 1)));
    white.forEach((v) => expect(v).toBeGreaterThan(245));
    expect(hexOf(spectrum(() => 0))).toBe('#000000');
    expect(hexOf(spectrum(() => 0.5))).toBe('#bcbcbc');
    expect(hexOf(spectrum((nm) => (nm < 490 ? 0.5 : 0)))).toMatch(/^#0000/);
    const [r, g, b] = rgb(hexOf(spectrum((nm) => (nm > 610 ? 0.5 : 0))));
    expect(r).toBeGreaterThan(3 * Math.max(g, b));
  });

  it('a white fly turns amber in tea, and every fly takes on the water’s colour with distance', () => {
    const tea = lookIn(day({ colour: 'tea' }));
    const [r, g, b] = rgb(arrivesAs(tea, fly('white'), 0));
    expect(r).toBeGreaterThan(1.3 * g);
    expect(g).toBeGreaterThan(2 * b);
    const green = lookIn(day());
    expect(arrivesAs(green, fly('red'), 20)).toBe(arrivesAs(green, fly('purple'), 20));
    expect(arrivesAs(green, fly('red'), 0)).not.toBe(arrivesAs(green, fly('purple'), 0));
  });

  it.each(['clear', 'green', 'tea'] as const)(
    'in %s water a black fly pales and a white one dims into the water behind them',
    (colour) => {
      const look = lookIn(day({ colour, visibilityM: 1.2 }));
      const paleness = (c: FlyItem['colour']) =>
        [0, 0.2, 0.6, 1.5, 40].map((d) => rgb(arrivesAs(look, fly(c), d)).reduce((sum, v) => sum + v));
      const [black, white] = [paleness('black'), paleness('white')];
      expect([...black].sort((a, b) => a - b)).toEqual(black);
      expect([...white].sort((a, b) => b - a)).toEqual(white);
      expect(black[0]! + 100).toBeLessThan(white[0]!);
      expect(black[1]! + 20).toBeLessThan(white[1]!);
      expect([black[4], black[4]! > black[0]!, white[4]! < white[0]!]).toEqual([white[4], true, true]);
    },
  );

  it('dyes are pale where they are (constructed): olive in the green, purple at both ends, tan and yellow from their step on', () => {
    const at6 = (c: FlyItem['colour'], nm: number) => reflectanceOf(fly(c))[at(nm)]!;
    expect(at6('olive', 560)).toBeCloseTo(0.18, 2);
    expect(at6('olive', 420)).toBeCloseTo(0.06, 2);
    expect([at6('purple', 430), at6('purple', 540), at6('purple', 700)]).toEqual([
      expect.closeTo(0.25, 2),
      expect.closeTo(0.05, 2),
      expect.closeTo(0.27, 2),
    ]);
    expect(at6('yellow', 600) / at6('yellow', 450)).toBeGreaterThan(8);
    expect(at6('tan', 650)).toBeGreaterThan(2 * at6('tan', 420));
    expect(at6('pink', 530)).toBeLessThan(at6('pink', 450));
  });

  it('colours are mixed by their shares', () => {
    const mixed = reflectanceOf(fly('black', { also: [{ colour: 'white', share: 0.5 }] }));
    expect(mixed[at(550)]!).toBeCloseTo((0.03 + 0.8) / 2, 9);
  });
});

describe('a box in order', () => {
  const box = [
    { ...usualFly('soft-hackle spider', 'brown'), id: 'a' },
    { ...usualFly('lead-eye baitfish', 'white'), id: 'b' },
    { ...usualFly('articulated streamer', 'red'), id: 'c' },
    { ...usualFly('muddler', 'tan'), id: 'd' },
  ] as FlyItem[];
  const ids = (order: Parameters<typeof flyOrder>[1], look = lookIn(day()) as Parameters<typeof flyOrder>[2]) =>
    flyOrder(box, order, look).map((f) => f.id);

  it('by name, size, sink rate, or how far it is seen; by name where the water is not known', () => {
    expect(ids('name')).toEqual(['a', 'c', 'd', 'b']);
    expect(ids('size')[0]).toBe('c');
    expect(ids('sinks fastest')[0]).toBe('b');
    expect(ids('sinks fastest').at(-1)).toBe('d');
    expect(ids('colour seen furthest')[0]).toBe('c');
    expect(ids('colour seen furthest', null)).toEqual(ids('name'));
  });
});
