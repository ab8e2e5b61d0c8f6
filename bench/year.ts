import { DAY_LENGTHS } from '@/core/plan/dayLength';
import { DAY_MS, HOUR_MS } from '@/core/units';
import { faultsOf, tomorrowOn, warmestBySun } from '@/demo/dayAhead.testing';
import { WATERS } from '@/demo/waters';
import { table } from './table';

/** A year of the demo's coast, each day planned the evening before: what is wrong with the days, and what the river truly did. */
export function benchYear(): void {
  const from = Date.UTC(2025, 11, 1);
  for (const length of DAY_LENGTHS) {
    const rows = WATERS.map((water) => {
      const faults = new Map<string, number>();
      let [days, fishedH, roadSaid, warm, cold, near, temps] = [0, 0, 0, 0, 0, 0, 0];
      for (let day = from; day < from + 365 * DAY_MS; day += DAY_MS) {
        const ahead = tomorrowOn(water, day, length);
        for (let h = 8; ahead.tempAt && h <= 17; h++) {
          temps++;
          if (Math.abs(ahead.tempAt(day + h * HOUR_MS) - ahead.river(day + h * HOUR_MS).tempC) <= 1) near++;
        }
        if (ahead.closed) continue;
        days++;
        for (const fault of faultsOf(ahead, water)) faults.set(fault, (faults.get(fault) ?? 0) + 1);
        fishedH += ahead.plan.legs.filter((l) => l.kind === 'run').reduce((s, l) => s + l.toAt - l.fromAt, 0) / HOUR_MS;
        if (ahead.plan.cautions.some((c) => c.code === 'more road than water')) roadSaid++;
        const bySun = warmestBySun(ahead);
        if (bySun !== null) {
          cold++;
          if (bySun >= 13 && bySun <= 18) warm++;
        }
      }
      return [
        water.name,
        days,
        (fishedH / days).toFixed(1),
        roadSaid,
        cold === 0 ? '–' : `${Math.round((100 * warm) / cold)} % of ${cold}`,
        `${Math.round((100 * near) / temps)} %`,
        [...faults].map(([fault, n]) => `${fault} ${n}`).join(', ') || 'none',
      ];
    });
    table(
      `A year of days, ${length}`,
      [
        'water',
        'open days',
        'h fished',
        'more road than water (said)',
        'warmest 13 to 18 by the sun',
        'within 1 °C',
        'faults',
      ],
      rows,
    );
  }
}
