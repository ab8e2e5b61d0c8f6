import { judge } from '@/core/advice';
import { castAt } from '@/core/cast';
import { swingOnRun } from '@/core/cast/case';
import { survey as surveyOf } from '@/core/lies/survey';
import { RIG, RUN } from '@/core/testing/fixtures';

import { castTo, handlesOf, mendThrough, standAt } from './handles';

const survey = surveyOf(RUN, null, { quarry: 'sea trout', school: 'near the bed', most: 3 });
const lie = survey.lies[0]!;
const plan = castAt(lie, survey.channel, RIG, survey.lies);
const swing = (o: object = {}) =>
  swingOnRun({ channel: survey.channel, rig: RIG, plan: { ...plan, ...o }, lies: survey.lies });

describe('dragging on the sheet', () => {
  it('casts to where the thumb is', () => {
    const aim = { xM: plan.xM + 9, yM: plan.yM + 11 };
    const { landing } = swing(castTo(plan, RIG, aim));
    expect(Math.hypot(landing.xM - aim.xM, landing.yM - aim.yM)).toBeLessThan(1);
  });

  it('finds the mend whose bow goes through the thumb: laid, it lies there', () => {
    const straight = swing();
    const bow = handlesOf(plan, RIG, null, straight).find((h) => h.id === 'mend')!;
    const up = { xM: bow.xM - 2, yM: bow.yM };
    const mendM = mendThrough(plan, RIG, straight.landing, up);
    expect(mendM).toBeGreaterThan(0);
    const laid = handlesOf(plan, RIG, null, swing({ mendM })).find((h) => h.id === 'mend')!;
    expect(Math.hypot(laid.xM - up.xM, laid.yM - up.yM)).toBeLessThan(1.5);
    expect(mendThrough(plan, RIG, straight.landing, { xM: bow.xM + 2, yM: bow.yM })).toBeLessThan(0);
    expect(mendThrough(plan, RIG, straight.landing, bow)).toBeCloseTo(0, 6);
  });

  it('holds what is asked within what can be cast and stood', () => {
    expect(castTo(plan, RIG, { xM: plan.xM + 200, yM: plan.yM }).outM).toBe(28);
    expect(castTo(plan, RIG, { xM: plan.xM - 20, yM: plan.yM + 0.1 }).angleDeg).toBe(170);
    expect(standAt({ xM: -5, yM: 1.234 }, RUN.lengthM)).toEqual({ xM: 0, yM: 1.2 });
  });

  it('offers oneself, the lie and the line', () => {
    const r = swing();
    const main = judge(r, { channel: survey.channel, rig: RIG, plan, lies: survey.lies })[0]!;
    expect(handlesOf(plan, RIG, main.lie, r).map((h) => h.id)).toEqual(['you', 'lie', 'mend']);
  });
});
