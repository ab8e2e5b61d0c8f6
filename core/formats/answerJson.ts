import type { Answer, Stand } from '../answer';
import { choiceOf, describeRig } from '../tackle';
import { type Channel, type PlanPoint, wadingHazard, waterAt } from '../water';

const round = (v: number) => Math.round(1000 * v) / 1000;

/** The water where the feet are, and what it is to a fit adult: as on screen. */
function positionJson(c: Channel, { xM, yM }: PlanPoint): object {
  const { depthM, speedMps } = waterAt(c, xM, yM);
  return { depthM: round(depthM), speedMps: round(speedMps), hazard: wadingHazard(depthM, speedMps) };
}

const standJson = (channel: Channel, { lie, plan, chance, verdict: v, risk }: Stand) => ({
  lie: lie.rank,
  plan,
  position: positionJson(channel, plan),
  chance: (chance ?? 0) / 10,
  risk: risk ?? null,
  passes: {
    fit: v.fit,
    depthM: round(v.pass.depthM),
    wantedTopM: round(v.lie.band.topM),
    wantedBottomM: round(v.lie.band.bottomM),
    crossSpeedMps: round(v.pass.crossSpeedMps),
    mostCrossSpeedMps: round(v.lie.crossSpeedMps),
    tooFast: v.tooFast,
    axisDeg: round(v.pass.axisDeg),
    missM: round(v.pass.missM),
    t: round(v.pass.t),
  },
});

/** An answer in the names of docs/formats.md. @param channel the water that it is for */
export function answerJson(a: Answer, channel: Channel): object {
  const { served } = a;
  return {
    method: a.method,
    setup: served && {
      rig: choiceOf(served.setup.rig),
      way: served.stands[0]?.plan.hands?.way ?? 'swing',
      chance: round(served.chance),
      costS: Math.round(served.costS),
      words: describeRig(served.setup.rig),
    },
    stands: (served?.stands ?? []).map((stand) => standJson(channel, stand)),
    givesUp: (served?.givesUp ?? []).map(({ lie }) => lie.rank),
    why: a.why,
    second: a.second && {
      rig: choiceOf(a.second.served.setup.rig),
      method: a.second.served.setup.method,
      chance: round(a.second.served.chance),
      adds: a.second.adds,
      words: a.second.says,
    },
    flips: a.flips,
    check: a.check,
    schools: Object.fromEntries(
      a.schools.map(({ school, used, others }) => [
        school,
        { used, others: Object.fromEntries(others.map((o) => [o.name, o.would])) },
      ]),
    ),
    changes: a.changes.map((c) => ({
      levers: c.levers,
      costS: Math.round(c.costS),
      chance: round(c.served.chance),
      does: c.does,
      rig: choiceOf(c.served.setup.rig),
      words: c.words,
    })),
    read: a.read,
    bring: a.bring,
    rotation: a.rotation.map(({ differs, costS, words }) => ({ differs, costS: Math.round(costS), words })),
    mistakes: a.mistakes,
    cautions: a.cautions.map((c) => c.says),
  };
}
