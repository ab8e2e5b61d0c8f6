import { forecastLevel } from '@/core/colour';
import { DAY_MS, HOUR_MS } from '@/core/units';
import { STATIONS } from '../stations';
import { WATERS } from '../waters';
import { gaugeOf, sent } from './gauge';
import { riverOf, stageOf } from './river';
import { foretold } from './weather';

const FROM = Date.UTC(2025, 5, 1);
/** As the program keeps a past: the last week by the hour, before it every six hours. */
const kept = (at: number, now: number) => at > now - 7 * DAY_MS || at % (6 * HOUR_MS) === 0;

/** Forecasts of every twelfth evening for the next afternoon, held against the river's hidden truth. */
function heldOn(stationId: string, river: (typeof WATERS)[number]['river']) {
  const station = STATIONS.find((s) => s.id === stationId)!;
  const truly = riverOf(station);
  const all = sent(gaugeOf(station, station.faults, truly), FROM, FROM + 420 * DAY_MS, HOUR_MS)
    .filter((p) => Number.isFinite(p.stageM))
    .map(({ at, stageM, flowM3s, rainMm }) => ({ at, stageM, flowM3s, rainMm }));
  const days = Array.from({ length: 20 }, (_, i) => FROM + (180 + 12 * i) * DAY_MS + 20 * HOUR_MS);
  return days.map((now) => {
    const series = all.filter((p) => p.at <= now && kept(p.at, now));
    const rain = foretold(station.climate, station.lonDeg, now, 24).map(({ at, rainMm }) => ({ at, rainMm }));
    const at = now + 18 * HOUR_MS;
    const [step] = forecastLevel(river!, series, [at], rain).steps;
    const truth = stageOf(station, truly(at).flowM3s);
    return {
      inside: truth >= step!.low80 && truth <= step!.high80,
      outM: Math.abs(truth - step!.median),
      sameM: Math.abs(truth - series.at(-1)!.stageM),
    };
  });
}

describe('the level of the coast’s rivers, forecast the evening before', () => {
  const held = WATERS.flatMap((w) => heldOn(w.stationId!, w.river));

  it('lies where it was called likely eight times in ten', () => {
    const share = held.filter((h) => h.inside).length / held.length;
    expect(share).toBeGreaterThan(0.72);
    expect(share).toBeLessThan(0.95);
  });

  it('is out by less than two thirds of what the level moves', () => {
    const mean = (of: (h: (typeof held)[number]) => number) => held.reduce((sum, h) => sum + of(h), 0) / held.length;
    expect(mean((h) => h.outM)).toBeLessThan((2 / 3) * mean((h) => h.sameM));
  });
});
