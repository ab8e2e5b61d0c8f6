import { describeFly, fliesOf, profileOf, type Rig } from '../tackle';
import type { Answer } from './answer';
import { across, even, feature, river } from './waters.testing';

/** The waters that situations of the trade are asked of, what is read of some, and what is looked for in an answer. */
export const GLIDE = river(even(24, 0, 0.5, 1.1, 1.5, 1.2, 0), 0.8);
export const RIFFLE = river(
  [0, 30, 60].map((x) => across(x, 22, 0, 0.4, 0.55, 0.6, 0.5, 0)),
  0.8,
);
export const POOL = river(
  [
    across(0, 26, 0, 0.8, 1.4, 1.6, 1, 0),
    across(10, 28, 0, 1.2, 2.2, 2.6, 1.8, 0),
    across(26, 28, 0, 1.2, 2.2, 2.8, 1.8, 0),
    across(40, 26, 0, 0.6, 1, 1.2, 0.8, 0),
  ],
  0.16,
);
export const STREAM = river(even(7, 0, 0.3, 0.5, 0.55, 0.3), 0.6, { features: [feature('cut bank', 20, 6.3, 16, 1)] });
export const MURK = { visibilityM: 0.4, colour: 'grey-brown', levelM: 0.3 } as const;
export const LOW_CLEAR = { visibilityM: 3, colour: 'clear', levelM: -0.15, sky: 'bright', waterTempC: 14 } as const;
export const SEA_TROUT = { quarry: 'sea trout' } as const;
export const STEELHEAD = { quarry: 'steelhead' } as const;
export const rigOf = (a: Answer): Rig => a.served!.setup.rig;
export const angles = (a: Answer) => a.served!.stands.map((t) => t.plan.angleDeg);
export const takesDown = ({ tip }: Rig) => (tip ? tip.lengthM * tip.sinkRateMps : 0);
export const flips = (a: Answer) =>
  a.flips
    .map(
      ({ when, then }) =>
        `${when.code}: ${then.code === 'tip' ? then.tip : `${then.method} with the ${describeFly(then.fly)}`}`,
    )
    .join('\n');
export const soft = (rig: Rig) => fliesOf(rig).every((f) => profileOf(f) === 'sparse');
