import { fromLatLon } from '@/formats/geo';
import { chanceBetter } from '@/core/learn';
import { proofsOf } from '@/core/learn/proofs';
import { ask } from '@/core/learn/question';
import { findLies } from '@/core/lies';
import { fold } from '@/core/logbook';
import { buildChannel, clarity } from '@/core/water';

import { checkEvents, checkRecord } from '@/store/check';
import { memoryDatabase, memoryStorage } from '@/store/memory';
import { makeBackup } from '@/store/backup';
import { makeHistory, trueRate } from './history';
import { isDemoWater, walkerAt } from './walker';
import { KIT } from './kit';
import { loadDemo } from './load';
import { RUNS, WATERS } from './waters';

const NOW = Date.UTC(2026, 10, 25, 12);
const history = makeHistory(NOW);
const outings = history.logs.map((l) => fold(l.events).exposures);
const exposures = outings.flat();

describe('the demo scenario', () => {
  it('passes the same schemas as a user’s own data', () => {
    WATERS.forEach((w) => checkRecord('water', w));
    RUNS.forEach((r) => checkRecord('run', r));
    KIT.forEach((k) => checkRecord('kit', k));
    history.readings.forEach((r) => checkRecord('reading', r));
    history.logs.forEach((l) => checkEvents(l.events));
    expect(KIT.filter((k) => k.type === 'fly')).toHaveLength(25);
    expect(KIT.filter((k) => k.type === 'rod')).toHaveLength(4);
    expect(KIT.filter((k) => k.type === 'tip')).toHaveLength(6);
  });

  it('has runs that hold fish for their quarry', () => {
    for (const run of RUNS) {
      const quarry = WATERS.find((w) => w.id === run.waterId)!.quarry;
      const lies = findLies(run, buildChannel(run, null), null, { quarry, school: 'near the bed', most: 6 });
      expect(lies.length).toBeGreaterThan(0);
    }
  });

  it('spans two seasons before now with about forty outings and 4,000 casts, always the same', () => {
    const tally = history.logs.map((l) => fold(l.events).tally);
    const casts = tally.reduce((s, t) => s + t.casts + t.fouled, 0);
    expect(history.outings).toHaveLength(40);
    expect(casts).toBeGreaterThan(3400);
    expect(casts).toBeLessThan(4600);
    expect(history.outings.every((o) => o.startedAt < NOW && o.startedAt > NOW - 780 * 86_400_000)).toBe(true);
    expect(makeHistory(NOW)).toEqual(history);
  });

  it('holds what was put in: takes within the Poisson error of the true rates', () => {
    let expected = 0;
    let takes = 0;
    for (const { events } of history.logs) {
      let colour = KIT.find((k) => k.type === 'fly')!.colour;
      let reading = history.readings[0]!;
      for (const e of events) {
        if (e.kind === 'rig') colour = e.set.fly.colour;
        if (e.kind === 'reading') reading = e.reading;
        if (e.kind === 'cast') expected += trueRate(colour, reading);
        if (e.kind === 'take' && !e.juvenile) takes++;
      }
    }
    expect(Math.abs(takes - expected)).toBeLessThan(3 * Math.sqrt(expected));
  });

  it('lets Learn find that black beats white in dirty water, and keeps it quiet about what is too thin', () => {
    const dirty = exposures.filter((e) => e.shown.water === 'dirty' || e.shown.water === 'mud');
    const of = (colours: string[]) => {
      const some = dirty.filter((e) => colours.includes(e.shown.colour ?? ''));
      return { casts: some.reduce((s, e) => s + e.casts, 0), takes: some.reduce((s, e) => s + e.takes, 0) };
    };
    expect(chanceBetter(of(['black', 'black and blue']), of(['white', 'olive']))).toBeGreaterThan(0.95);
    const lists = proofsOf(outings);
    for (const g of lists.colour) if (g.casts < 60 && g.takes < 3) expect(g.finding).toBe('too few to say');
    // What is not in the scenario is not found in it.
    for (const by of ['family', 'size', 'tip', 'hour', 'sky', 'run', 'trend', 'freshet'] as const)
      for (const g of lists[by]) expect(['better', 'worse']).not.toContain(g.finding);
    expect(lists.trend.map((g) => g.name).sort()).toEqual(['falling', 'rising', 'steady']);
    const { ahead, ratio } = ask(outings, { by: 'colour', a: 'black', b: 'olive', where: { water: 'dirty' } });
    expect(ahead).not.toBe('b');
    expect(ratio.middle).toBeGreaterThan(1);
    expect(new Set(exposures.map((e) => e.shown.water)).size).toBeGreaterThan(2);
    expect(clarity(0.3)).toBe('dirty');
  });

  it('has a walker who is near where one meant to stand, the same in the same minute', () => {
    const run = RUNS[0]!;
    const origin = { latDeg: 57, lonDeg: -4 };
    const at = (minute: number, xM = 20) => {
      const fix = walkerAt(run, origin, { xM, yM: 3 }, minute * 60_000);
      return { ...fromLatLon(run, origin, fix), accuracyM: fix.accuracyM };
    };
    for (let minute = 0; minute < 50; minute++) {
      const { xM, yM, accuracyM } = at(minute);
      expect(xM).toBeGreaterThan(20);
      expect(Math.hypot(xM - 23, yM - 3)).toBeLessThanOrEqual(accuracyM);
    }
    expect(at(7)).toEqual(at(7));
    expect(at(7).xM).not.toBeCloseTo(at(8).xM, 3);
    expect(isDemoWater(run.waterId)).toBe(true);
    expect(isDemoWater('own')).toBe(false);
  });

  it('loads in one go and goes out again as a backup', async () => {
    const db = memoryDatabase(memoryStorage(), { now: () => NOW });
    await loadDemo(db, NOW);
    const backup = await makeBackup(db, NOW);
    expect(backup.records.run).toHaveLength(RUNS.length);
    expect(backup.logs).toHaveLength(40);
    expect(backup.logs.reduce((s, l) => s + l.events.length, 0)).toBe(
      history.logs.reduce((s, l) => s + l.events.length, 0),
    );
  });
});
