import { acrossDeg, lightAtBed, type Lying, runLight } from './runLight';
import { reflectance, underwaterZenithDeg, WINDOW_HALF_DEG, windowRadiusM } from './surface';

describe('through the surface (Fresnel and Snell, n = 1.333)', () => {
  it.each([
    [90, 0.0204, 0],
    [60, 0.0214, 22.03],
    [45, 0.0279, 32.04],
    [30, 0.0597, 40.52],
    [20, 0.1335, 44.83],
    [10, 0.3479, 47.63],
    [5, 0.5835, 48.36],
  ])('sun at %s°: throws %s back and goes down at %s°', (altitude, share, zenith) => {
    expect(reflectance(altitude)).toBeCloseTo(share, 4);
    expect(underwaterZenithDeg(altitude)).toBeCloseTo(zenith, 1.9);
  });

  it('throws 0.0664 of an even sky back (integrated over the half sphere)', () => {
    let [sum, weight] = [0, 0];
    for (let a = 0.05; a < 90; a += 0.1) {
      const w = Math.sin((a * Math.PI) / 180) * Math.cos((a * Math.PI) / 180);
      sum += w * reflectance(a);
      weight += w;
    }
    expect(sum / weight).toBeCloseTo(0.0664, 3);
  });

  it('has a window of 48.6° to each side, 1.1345 of the depth wide; the lowest 10° of the world in its last degree', () => {
    expect(WINDOW_HALF_DEG).toBeCloseTo(48.607, 3);
    expect(windowRadiusM(2)).toBeCloseTo(2.269, 3);
    expect(WINDOW_HALF_DEG - underwaterZenithDeg(10)).toBeCloseTo(0.978, 2);
    expect(() => reflectance(91)).toThrow('altitudeDeg');
  });
});

describe('light on a run', () => {
  /** Flows south, fished from its left bank, the eastern one: one looks west. */
  const south: Lying = { bearingDeg: 180, bank: 'left', trees: { nearM: 10, farM: 20 }, widthM: 20 };

  it('lies across to the west of one who stands on the left bank of a river that flows south', () => {
    expect(acrossDeg(south)).toBe(270);
    expect(acrossDeg({ bearingDeg: 180, bank: 'right' })).toBe(90);
    expect(acrossDeg({ bearingDeg: 350, bank: 'left' })).toBe(80);
  });

  it('lies in the shade of the near trees in the morning, of the far ones in the evening, of none where the sun stands along it', () => {
    const morning = runLight(south, { azimuthDeg: 90, altitudeDeg: 45 });
    expect(morning).toEqual({ shade: expect.closeTo(0.5, 9), shadeFrom: 'near', glare: false });
    const evening = runLight(south, { azimuthDeg: 270, altitudeDeg: 45 });
    expect(evening.shade).toBeCloseTo(1, 9);
    expect(evening.shadeFrom).toBe('far');
    const noon = runLight(south, { azimuthDeg: 180, altitudeDeg: 45 });
    expect(noon.shade).toBeCloseTo(0, 9);
    expect(noon.shadeFrom).toBeNull();
    // Half way round, the shadow falls slanting: less of it across (its length times the cosine).
    const slanting = runLight(south, { azimuthDeg: 135, altitudeDeg: 45 });
    expect(slanting.shade).toBeCloseTo(0.5 * Math.cos(Math.PI / 4), 9);
  });

  it('glares where one looks into a low sun that no tree hides', () => {
    const open = { ...south, trees: undefined };
    expect(runLight(open, { azimuthDeg: 270, altitudeDeg: 20 }).glare).toBe(true);
    expect(runLight(open, { azimuthDeg: 90, altitudeDeg: 20 }).glare).toBe(false);
    expect(runLight(open, { azimuthDeg: 270, altitudeDeg: 65 }).glare).toBe(false);
    expect(runLight(south, { azimuthDeg: 270, altitudeDeg: 20 }).glare).toBe(false);
    expect(runLight(open, { azimuthDeg: 270, altitudeDeg: -3 })).toEqual({ shade: 0, shadeFrom: null, glare: false });
  });

  it('is dimmed by the depth at 1.7 over the visibility (Poole & Atkins 1929), more where the sun stands low', () => {
    expect(lightAtBed(90, 1, 1.7)).toBeCloseTo((1 - 0.0204) * Math.exp(-1), 4);
    expect(lightAtBed(90, 2, 1.7)).toBeCloseTo((1 - 0.0204) * Math.exp(-2), 4);
    expect(lightAtBed(30, 1, 1.7)).toBeCloseTo((1 - 0.0597) * Math.exp(-1 / Math.cos((40.52 * Math.PI) / 180)), 3);
    expect(lightAtBed(-1, 1, 1)).toBe(0);
    expect(() => lightAtBed(30, 1, 0)).toThrow('visibilityM');
  });
});
