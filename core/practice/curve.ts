import { flume, type LineSection, NUMERICS, type Rod, runSwing, type SwingCase } from '../swing';
import {
  buoyantWeight,
  FLOATER_DENSITY,
  LEADER_DENSITY,
  REFERENCE_FLIES,
  sinkerDiameterM,
  sinkingWeight,
} from '../tackle';
import { FOOT_M, INCH_M } from '../units';
import { type CurvePoint, type CurveRequest, type FlumeCast, type Variable, VARIABLES } from './variables';
import { DANGLE_TOLD_S } from '../swing/series';

const LEADER_M = 1.2;
const TIP_HEIGHT_M = 0.5;
const REACH_M = 3;
const LEAD_DEG = 25;
const FLOATER_M = 1.28e-3;
const LEADER_DIAMETER_M = 0.25e-3;

/** 18 m of line, 10 ft of 7 ips, a bulky unweighted fly, 75°, 0.9 m/s at the surface, where nothing else is said. */
export function flumeCase(o: FlumeCast = {}): SwingCase {
  const { u = 0.9, depthM = 2, rateMps = 7 * INCH_M, tipM = 10 * FOOT_M, fly = 'bulky' } = o;
  const { outM = 18, angleDeg = 75, slackM = 0, rod = 'still', floatRule = 'clean' } = o;
  const sinks: LineSection = {
    kind: 'sink',
    lengthM: tipM,
    diameterM: sinkerDiameterM(rateMps / INCH_M),
    weightNpm: sinkingWeight(rateMps, sinkerDiameterM(rateMps / INCH_M)),
  };
  const turning = { x0: 0, y0: 0, r: REACH_M, z: -TIP_HEIGHT_M, rateDegS: 30 };
  const rods: Record<NonNullable<FlumeCast['rod']>, Rod> = {
    still: { path: [[0, 0, 0, -TIP_HEIGHT_M]] },
    follow: { follow: { ...turning, leadDeg: 0 } },
    lead: { follow: { ...turning, leadDeg: LEAD_DEG } },
  };
  return {
    water: flume({ u, kind: 'surface', depth: depthM, profile: { type: 'power', m: 1 / 6 } }),
    rod: rods[rod],
    line: [
      {
        kind: 'float',
        lengthM: outM - tipM - LEADER_M,
        diameterM: FLOATER_M,
        weightNpm: buoyantWeight(FLOATER_DENSITY, FLOATER_M),
      },
      ...(tipM > 0 ? [sinks] : []),
      {
        kind: 'leader',
        lengthM: LEADER_M,
        diameterM: LEADER_DIAMETER_M,
        weightNpm: buoyantWeight(LEADER_DENSITY.nylon, LEADER_DIAMETER_M),
      },
    ],
    bodies: [{ fromEndM: 0, ...REFERENCE_FLIES[fly] }],
    cast: { angleDeg, slackM, side: 1, ...(o.bow ? { bow: o.bow } : null) },
    drag: { cn: 1.1, cf: 0.015, reDependent: false },
    floatRule,
    tEndS: 120,
    afterDangleS: DANGLE_TOLD_S,
    lies: [],
  };
}

/** A fly that is below a bearing this soon was cast there. */
const LANDED_S = 0.5;
/** Deep enough for nothing to touch. */
const FLUME_M = 4;

/** Simulates a variable over its settings, everything else held. @yields the share done */
export function* responseCurve({ variable, u, lineClean }: CurveRequest): Generator<number, CurvePoint[], undefined> {
  const { settings }: Variable = VARIABLES[variable];
  const out: CurvePoint[] = [];
  for (const { value, words, cast } of settings) {
    const floatRule = lineClean ? 'clean' : 'free';
    const r = runSwing(flumeCase({ u, depthM: FLUME_M, floatRule, ...cast }), NUMERICS.full);
    const halfway = r.atBearing['45'];
    out.push({
      value,
      ...(words ? { words } : null),
      deepestM: r.maxDepthM,
      halfwayM: halfway && halfway.t > LANDED_S ? halfway.depthM : null,
      dangleM: r.dangleDepthM,
      crossMps: r.meanCrossSpeedMps,
    });
    yield out.length / settings.length;
  }
  return out;
}
