import { answered, LIGHT, request, RUN } from '@/core/answer/waters.testing';
import { RIG } from '@/core/testing/fixtures';
import { answerJson } from './answerJson';
import { coverJson } from './beatJson';

describe('an answer in the names of the format', () => {
  const answer = answered(RUN, { tiedOn: LIGHT });
  const json = JSON.parse(JSON.stringify(answerJson(answer, request({}, RUN).channel, 'metric'))) as {
    method: string;
    setup: { rig: { flyId: string }; chance: number };
    stands: { lie: number; chance: number; passes: Record<string, number> }[];
    changes: { costS: number; chance: number }[];
  };

  it('says the same as the answer, to a thousandth', () => {
    expect(json.method).toBe(answer.method);
    expect(json.setup.rig.flyId).toBe(answer.served!.setup.rig.fly.id);
    expect(Math.abs(json.setup.chance - answer.served!.chance)).toBeLessThanOrEqual(0.0005);
    expect(json.stands.map((s) => s.lie)).toEqual(answer.served!.stands.map((s) => s.lie.rank));
    json.stands.forEach((stand, i) => {
      const { chance, verdict } = answer.served!.stands[i]!;
      expect(stand.chance).toBeCloseTo(chance! / 10, 9);
      expect(Math.abs(stand.passes.depthM! - verdict.pass.depthM)).toBeLessThanOrEqual(0.0005);
      expect(String(stand.passes.depthM).length).toBeLessThanOrEqual(6);
    });
    expect(json.changes.every((c) => Number.isInteger(c.costS))).toBe(true);
  });

  it('where nothing can be tied on says why, and has no set-up, no stand and no second', () => {
    const none = answerJson(answered(RUN, { kit: [] }), request({}, RUN).channel, 'metric');
    expect(none).toMatchObject({
      ...{ method: null, setup: null, stands: [], givesUp: [], second: null, changes: [], bring: null, rotation: [] },
      why: [expect.stringMatching(/^Your bag has no rod/)],
    });
  });
});

describe('the casts of a run in the names of the format', () => {
  it('counts, minutes and shares; nothing where there is no set-up', () => {
    const plan = { xM: 1, yM: 2, outM: 12, angleDeg: 60, mendM: 0, rod: 'follow' } as const;
    const beat = {
      casts: [{ plan, times: 2, seconds: 41.6 }],
      minutes: 1.38712,
      shares: { once: 0.33333, twice: 0.1 },
    };
    const covering = {
      work: { direction: 'down' },
      flies: [{ seen: { likelyM: 1.23456 } }, { seen: { likelyM: 3 } }],
      ground: { willing: { sideM: 2 } },
    };
    const told = coverJson({ rig: RIG, covering, beat, rule: { ...beat, casts: [{ plan, seconds: 7.2 }] } } as never);
    expect(told).toMatchObject({
      way: 'down',
      reachM: [1.235, 2],
      plan: { casts: [{ plan, times: 2, seconds: 42 }], minutes: 1.387, shownOnce: 0.333, shownTwice: 0.1 },
      rule: { casts: [{ times: 1, seconds: 7 }] },
    });
    expect(coverJson(null)).toEqual({ rig: null, plan: null, rule: null });
  });
});
