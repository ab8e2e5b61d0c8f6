import type { Answer, Section, Stand } from '@/core/answer';
import { leftWords, sectionWords } from '@/words/answer';
import { choiceOf, describeRig } from '@/core/tackle';
import { type Channel, type PlanPoint, wadingHazard, waterAt } from '@/core/water';
import {
  bringWords,
  checkWords,
  nothingWords,
  reasonWords,
  secondWords,
  thenWords,
  toReadWords,
  turnWords,
  whenWords,
} from '@/words/reasons';
import { otherWould } from '@/words/schools';
import { stepWords } from '@/words/changes';
import { cautionWords, mistakeWords } from '@/words/cautions';
import { type UnitSystem } from '@/words/units';

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

const sectionJson = (x: Section, units: UnitSystem) => ({
  ...{ fromM: round(x.fromM), toM: round(x.toM), waded: x.waded, lie: x.lie, casts: x.casts },
  ...{ shortestM: round(x.shortestM), longestM: round(x.longestM), stepM: round(x.stepM), plan: x.plan },
  words: sectionWords(x, units),
});

/** An answer in the names of docs/formats.md. @param channel the water that it is for @param units those of its sentences */
export function answerJson(a: Answer, channel: Channel, units: UnitSystem): object {
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
    covers: served && round(served.found),
    coversAsNow: a.asNow === null ? null : round(a.asNow),
    plan: a.plan.map((section) => sectionJson(section, units)),
    left: (served?.givesUp ?? []).map((g) => ({
      lie: g.lie.rank,
      because: g.because,
      words: leftWords([g], served!.way, units)[0],
    })),
    givesUp: (served?.givesUp ?? []).map(({ lie }) => lie.rank),
    why: a.nothing ? [nothingWords(a.nothing)] : a.why.map((r) => reasonWords(r, units)),
    second: a.second && {
      rig: choiceOf(a.second.fished.setup.rig),
      method: a.second.fished.setup.method,
      chance: round(a.second.fished.chance),
      covers: round(a.second.fished.found),
      adds: a.second.adds,
      words: secondWords(a.second, units),
    },
    flips: a.flips.map(({ when, then }) => ({ when: whenWords(when, units), then: thenWords(then) })),
    check: a.check.map(checkWords),
    schools: Object.fromEntries(
      a.schools.map((x) => [
        x.school,
        { used: x.used, others: Object.fromEntries(x.others.map((o) => [o.name, otherWould(x, o, units)])) },
      ]),
    ),
    changes: a.changes.map((c) => ({
      levers: c.levers,
      costS: Math.round(c.costS),
      chance: round(c.to.chance),
      covers: round(c.to.found),
      does: c.does,
      rig: choiceOf(c.to.setup.rig),
      words: stepWords(c, units),
    })),
    read: a.read && toReadWords(a.read),
    bring: a.bring && bringWords(a.bring, units),
    rotation: a.rotation.map((t) => ({
      ...{ differs: t.differs, costS: Math.round(t.costS), words: turnWords(t, units) },
    })),
    mistakes: a.mistakes.map((m) => mistakeWords(m, units)),
    cautions: a.cautions.map((c) => cautionWords(c, units)),
  };
}
