import { G } from '../units';
import { meanDepth, waterAt, type WaterGrid } from './grid';
import { floatCoefficient } from './profile';
import type { Run } from './run';
import { depthOn, edges, type Section, sectionAt, withBanks } from './sections';
import type { FlowSources } from './weigh';

/** At a station speed grows with mean depth to this power (Leopold & Maddock 1953: v ∝ Q^0.34, depth ∝ Q^0.40). */
const AT_A_STATION = 0.85;

/** What each kind of reading would mean as flow. `unit` is the field that carries 1 m³/s. */
export function flowSources(run: Run, sections: readonly Section[], rise: number, unit: WaterGrid): FlowSources {
  const middle = sections.map((s) => sectionAt(s, rise));
  const typical = middle.map((s) => 0.25 * Math.sqrt(G * s.meanDepthM) * s.areaM2).sort((a, b) => a - b);
  const at = run.speed;
  let read: FlowSources['read'] = null;
  if (at) {
    // Carry the measured flow to today's level at the section nearest to the float.
    const n = sections.reduce((m, s, i) => (Math.abs(s.xM - at.xM) < Math.abs(sections[m]!.xM - at.xM) ? i : m), 0);
    const then = sectionAt(sections[n]!, 0);
    const now = middle[n]!;
    const depthThen = Math.max(0.05, depthOn(withBanks(sections[n]!), at.yM));
    const flowThen =
      (at.surfaceMps * floatCoefficient(depthThen) * meanOfPower(sections[n]!, 0)) / Math.pow(depthThen, 2 / 3);
    const grown = Math.pow(now.meanDepthM / then.meanDepthM, AT_A_STATION) * (now.areaM2 / then.areaM2);
    read = { then: flowThen, now: flowThen * grown };
  }
  const coefficient = floatCoefficient(meanDepth(unit));
  return {
    flowOfFloat: (surfaceMps, x, y) => {
      const one = waterAt(unit, x, y).speedMps;
      return one > 0 ? (surfaceMps * coefficient) / one : null;
    },
    flowOfPace: (surfaceMps) => (surfaceMps * coefficient) / fastest(unit, Math.round((unit.nx - 1) / 2)),
    read,
    typical: typical[Math.floor(typical.length / 2)]!,
    riseM: rise,
  };
}

/** ∫ h^(2/3)·h dy over a section, m^(8/3): flow over K when U = K·h^(2/3). */
function meanOfPower(s: Section, rise: number): number {
  const b = withBanks(s);
  const e = edges(b, rise);
  if (!e) return 0;
  const parts = 200;
  const dy = (e[1] - e[0]) / parts;
  let sum = 0;
  for (let i = 0; i < parts; i++) sum += Math.pow(Math.max(0, depthOn(b, e[0] + (i + 0.5) * dy) + rise), 5 / 3) * dy;
  return sum;
}

/** Speed of the main current in a row. */
const fastest = (g: WaterGrid, i: number): number => Math.max(...g.u.subarray(i * g.ny, (i + 1) * g.ny));
