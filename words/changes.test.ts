import { type Lever, patched } from '@/core/advice';
import { type CastPlan, handsOf, presented, type Way } from '@/core/cast';
import type { FlyItem, Rig } from '@/core/tackle';
import { PLAN, RIG } from '@/core/testing/fixtures';
import { changeWords, stepWords } from './changes';

const heavy: FlyItem = { ...RIG.fly, id: 'heavy', name: 'heavy strip', weight: 'lead eyes' };
const TWO: Rig = { ...RIG, droppers: [{ fly: RIG.fly, way: 'ring', aboveM: 0.5, armM: 0.18 }] };
const from: { rig: Rig; plan: CastPlan } = { rig: TWO, plan: PLAN };
const plan = (o: Partial<CastPlan>): { rig: Rig; plan: CastPlan } => ({ rig: RIG, plan: { ...PLAN, ...o } });
const way = (w: Way) => presented(PLAN, w);

describe('a change in words', () => {
  const words = (lever: Lever, to: ReturnType<typeof plan>, f = from) =>
    changeWords({ ...to, levers: [lever] }, f, 'metric');
  const rig = (o: Partial<Rig>) => ({ rig: { ...RIG, ...o }, plan: PLAN });
  const hands = (o: Partial<ReturnType<typeof handsOf>>) => patched({ rig: RIG, plan: way('swing') }, { hands: o });
  it.each<[Lever, ReturnType<typeof plan>, string]>([
    ['angle', plan({ angleDeg: 75 }), 'Cast 15° further upstream'],
    ['angle', plan({ angleDeg: 50 }), 'Cast 10° further downstream'],
    ['rod', plan({ rod: 'still' }), 'Hold the rod still'],
    ['rod', plan({ rod: 'lead' }), 'Lead the fly with the rod'],
    ['rod', plan({ tipUnder: true }), 'Hold the rod tip under water'],
    ['rod', plan({ tip: 'high' }), 'Hold the rod high'],
    ['rod', plan({ tip: 'lowered' }), 'Raise the rod, then lower it into the swing'],
    ['mend', plan({ mendM: 1 }), 'Mend once upstream'],
    ['mend', plan({ mendM: -0.5 }), 'Mend once downstream'],
    ['mend', plan({ mendM: 0 }), 'Leave out the mend'],
    ['length', plan({ outM: 13.5 }), 'Cast 1.5 m longer'],
    ['length', plan({ outM: 10 }), 'Cast 2.0 m shorter'],
    ['stand', plan({ xM: 3 }), 'Stand 2.0 m further down'],
    ['stand', plan({ xM: 0 }), 'Stand 1.0 m further up'],
    ['stand', plan({ yM: 3 }), 'Stand 1.0 m further out'],
    ['stand', plan({ yM: 1 }), 'Stand 1.0 m nearer your bank'],
    ['shot', rig({ shot: { massKg: 4e-4, aboveFlyM: 0 } }), 'Pinch on shot BB, 0.4 g'],
    ['shot', rig({ shot: undefined }), 'Take the shot off'],
    ['dropper', rig({ droppers: [] }), 'Take the second fly off'],
    ['tip', rig({ tip: null }), 'Take the tip off'],
    ['tip', rig({}), 'Loop on 10 ft fast'],
    ['fly', rig({ fly: heavy }), 'Tie on heavy strip'],
    ['head', rig({}), 'Change to short head'],
    ['count', hands({ countS: 4 }), 'Begin at the count of 4'],
    ['feed', hands({ feedM: 2 }), 'Feed 2.0 m of line into the drift'],
    ['feed', hands({ feedM: 0 }), 'Feed no line'],
    ['walk', hands({ walkM: 1.5 }), 'Step down 1.5 m while it sinks'],
    ['walk', hands({ walkM: 6 }), 'Walk down 6.0 m with the swing'],
    ['walk', hands({ walkM: 0 }), 'Stand while it sinks'],
  ])('%s: %#', (lever, to, said) => {
    expect(words(lever, to)).toBe(said);
  });

  it('takes a tip out of the water, and a raised rod down', () => {
    expect(words('rod', plan({}), plan({ tipUnder: true }))).toBe('Lift the rod tip out of the water');
    expect(words('rod', plan({}), plan({ tip: 'high' }))).toBe('Hold the rod low');
    const dip = (tipUnderM?: number) => plan({ tipUnder: true, tipUnderM });
    expect(words('rod', dip(0.8), dip())).toBe('Dip the rod tip deeper');
    expect(words('rod', dip(), dip(0.8))).toBe('Dip the rod tip less deep');
  });

  it('several follow each other; a rod that does not stand ready is set up whole', () => {
    const to = { rig: { ...RIG, tip: null, fly: heavy }, plan: PLAN };
    expect(changeWords({ ...to, levers: ['tip', 'fly'] }, from, 'metric')).toBe('Take the tip off, tie on heavy strip');
    const step = { levers: ['other rod' as const], costS: 20, from: RIG, into: to.rig };
    expect(stepWords({ ...step, setUp: false }, 'metric')).toMatch(/^Pick up /);
    expect(stepWords({ ...step, setUp: true }, 'metric')).toMatch(/^Set up .* with short head: black rabbit strip/);
  });
});
