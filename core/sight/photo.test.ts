import { normal, seeded } from '../maths';
import { COLOURS, type WaterColour } from '../water/reading';
import { BANDS_NM } from './bands';
import { opticsOf } from './optics';
import { colourFromPhoto, type Picture } from './photo';

const AIR = { x: 0.25, y: 0.25 };
const UNDER = { x: 0.7, y: 0.65 };
const SIDE = 160;

/** sRGB out of light (IEC 61966-2-1), the other way round than the program has it. */
const encoded = (light: number): number =>
  255 * (light <= 0.0031308 ? 12.92 * light : 1.055 * Math.min(1, light) ** (1 / 2.4) - 0.055);

interface Scene {
  colour: WaterColour;
  visibilityM: number;
  depthM: number;
  /** Of the light on the white thing, by channel; noise of a pixel's value. */
  exposure?: readonly [number, number, number];
  noise?: number;
  /** Sky off the surface, added to all that lies under water. */
  glare?: number;
}

/** A picture painted band by band: the thing in the air, the same at its depth in water of known attenuation, the water beside it. */
function paint({ colour, visibilityM, depthM, exposure = [0.6, 0.6, 0.6], noise = 1.5, glare = 0 }: Scene): Picture {
  const { beam, down, back } = opticsOf(colour, visibilityM);
  // Step functions for channels: unlike the hills that the program takes.
  const windows = [
    [580, 660],
    [500, 580],
    [420, 500],
  ] as const;
  const n2 = 0.9796 ** 2 / 1.333 ** 2;
  const through = (of: (i: number) => number) =>
    windows.map(([from, to]) => {
      const bands = BANDS_NM.flatMap((nm, i) => (nm >= from && nm < to ? [i] : []));
      return bands.reduce((sum, i) => sum + of(i), 0) / bands.length;
    });
  const veil = (i: number, z: number) => back[i]! * (1 - Math.exp(-(beam[i]! + down[i]!) * z));
  const thing = through((i) => n2 * (0.85 * Math.exp(-(beam[i]! + down[i]!) * depthM) + veil(i, depthM)));
  const water = through((i) => n2 * veil(i, 50));
  const rand = seeded(7);
  const data = new Uint8ClampedArray(4 * SIDE * SIDE);
  const within = (x: number, y: number, s: { x: number; y: number }) =>
    Math.hypot(x / SIDE - s.x, y / SIDE - s.y) < 0.05;
  for (let y = 0; y < SIDE; y++)
    for (let x = 0; x < SIDE; x++) {
      const light = within(x, y, AIR)
        ? [0.85, 0.85, 0.85]
        : within(x, y, UNDER)
          ? thing
          : y < SIDE / 2
            ? [0.2, 0.25, 0.1]
            : water;
      for (let c = 0; c < 3; c++) {
        const wet = y >= SIDE / 2 || within(x, y, UNDER) ? glare : 0;
        data[4 * (y * SIDE + x) + c] = encoded((light[c]! / 0.85) * exposure[c]! + wet) + noise * normal(rand);
      }
      data[4 * (y * SIDE + x) + 3] = 255;
    }
  return { width: SIDE, height: SIDE, data };
}
const told = (s: Scene) => colourFromPhoto(paint(s), AIR, UNDER, s.depthM);

describe('colour from a photo, on pictures of known attenuation', () => {
  const scenes = COLOURS.flatMap((colour) =>
    [0.4, 0.8, 1.6].flatMap((visibilityM) =>
      [0.2, 0.4].map((share) => ({ colour, visibilityM, depthM: share * visibilityM })),
    ),
  );
  const results = scenes.map((s) => ({ s, r: told(s) }));

  it('finds the visibility within its four in five nearly always, and within a quarter mostly', () => {
    const works = results.filter(({ r }) => r.works);
    expect(works.length).toBeGreaterThan(0.85 * scenes.length);
    const inside = works.filter(({ s, r }) => r.works && r.low80M <= s.visibilityM && s.visibilityM <= r.high80M);
    expect(inside.length).toBeGreaterThan(0.85 * works.length);
    const off = works
      .map(({ s, r }) => (r.works ? Math.abs(Math.log(r.visibilityM / s.visibilityM)) : 0))
      .sort((a, b) => a - b);
    expect(off[Math.floor(0.75 * off.length)]).toBeLessThan(0.25);
  });

  it('names a second colour where two are hardly told apart, and none where one is clear', () => {
    const works = results.flatMap(({ s, r }) => (r.works ? [{ s, r }] : []));
    const unsure = works.filter(({ r }) => r.orElse !== null);
    expect(unsure.length).toBeGreaterThan(0);
    expect(unsure.length).toBeLessThan(works.length);
    for (const { r } of unsure) expect(r.orElse).not.toBe(r.colour);
    // The true one is the first more often where no second is named.
    const right = (of: typeof works) => of.filter(({ s, r }) => r.colour === s.colour).length / of.length;
    expect(right(works.filter(({ r }) => r.orElse === null))).toBeGreaterThan(right(unsure));
  });

  it('is as sure as its dimming: held a hand deep in clear water it tells less than held deep', () => {
    const width = (depthM: number) => {
      const r = told({ colour: 'green', visibilityM: 1.6, depthM });
      return r.works ? Math.log(r.high80M / r.low80M) : NaN;
    };
    expect(width(0.12)).toBeGreaterThan(1.05 * width(0.5));
  });

  it('a glint on the white thing is let pass, a blown one is not', () => {
    const glint = (share: number) => {
      const picture = paint({ colour: 'green', visibilityM: 1, depthM: 0.25 });
      const at = (x: number, y: number) => 4 * (y * SIDE + x);
      const inside: number[] = [];
      for (let y = 0; y < SIDE; y++)
        for (let x = 0; x < SIDE; x++) if (Math.hypot(x / SIDE - AIR.x, y / SIDE - AIR.y) < 0.05) inside.push(at(x, y));
      // In one channel alone: a colour is lost with it all the same.
      inside.filter((_, i) => i % 100 < 100 * share).forEach((k) => (picture.data[k] = 255));
      return colourFromPhoto(picture, AIR, UNDER, 0.25).works;
    };
    expect([glint(0), glint(0.01), glint(0.5)]).toEqual([true, true, false]);
  });

  it('tells tea from silt: stain takes the blue first, silt all alike', () => {
    for (const [colour, not] of [
      ['tea', 'grey-brown'],
      ['grey-brown', 'tea'],
    ] as const) {
      const r = told({ colour, visibilityM: 0.9, depthM: 0.3 });
      expect(r).toMatchObject({ works: true });
      if (r.works) {
        expect(r.colour).not.toBe(not);
        const [red, , blue] = r.lossPerM;
        if (colour === 'tea') expect(blue / red).toBeGreaterThan(1.8);
        else expect(blue / red).toBeLessThan(1.8);
      }
    }
  });

  it('loses more per metre where one sees less', () => {
    const loss = [0.4, 0.8, 1.6].map((visibilityM) => {
      const r = told({ colour: 'green', visibilityM, depthM: 0.15 });
      return r.works ? r.lossPerM[1] : NaN;
    });
    expect(loss[0]).toBeGreaterThan(1.6 * loss[1]!);
    expect(loss[1]).toBeGreaterThan(1.6 * loss[2]!);
  });

  it('stands a darker picture, noise, a tint of the light, and is less sure with more noise', () => {
    const base = { colour: 'green', visibilityM: 1, depthM: 0.25 } as const;
    for (const change of [{ exposure: [0.25, 0.25, 0.25] }, { noise: 6 }, { exposure: [0.6, 0.55, 0.45] }] as const) {
      const r = told({ ...base, ...change });
      expect(r.works ? null : r.why).toBeNull();
      if (r.works) expect(Math.abs(Math.log(r.visibilityM))).toBeLessThan(0.3);
    }
    const width = (noise: number) => {
      const r = told({ ...base, noise });
      return r.works ? Math.log(r.high80M / r.low80M) : NaN;
    };
    expect(width(10)).toBeGreaterThan(width(1));
  });

  it.each([
    ['blown out in the air', { exposure: [1.2, 1.2, 1.2] }, 'blown in air'],
    ['too dark', { exposure: [0.06, 0.06, 0.06] }, 'dark in air'],
    ['a wrong white', { exposure: [0.7, 0.5, 0.3] }, 'not white'],
    ['glare', { glare: 0.5 }, 'glare'],
    ['lost in the depth', { visibilityM: 0.3, depthM: 0.9 }, 'not seen'],
    ['hardly dimmed', { visibilityM: 6, depthM: 0.06 }, 'hardly dimmed'],
    ['no depth', { depthM: 0 }, 'depth not said'],
  ] as const)('says when it cannot work: %s', (_name, change, words) => {
    const scene: Scene = { ...{ colour: 'clear', visibilityM: 1.5, depthM: 0.5 }, ...change } as Scene;
    const r = told(scene);
    expect(r.works ? `worked: ${r.visibilityM}` : r.why).toBe(words);
    if (!r.works && words === 'not seen') expect(r.atMostM).toBeGreaterThan(scene.visibilityM);
    if (!r.works && words === 'hardly dimmed') expect(r.atLeastM).toBeLessThan(scene.visibilityM);
  });
});
