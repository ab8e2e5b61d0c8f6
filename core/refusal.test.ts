import { caseOnRun } from './cast/case';
import { Refusal, unlessRefused } from './refusal';
import { checkCase } from './swing/check';
import { PLAN, RIG, RUN } from './testing/fixtures';
import { buildChannel } from './water';

describe('what is refused', () => {
  const channel = buildChannel(RUN, null);
  const caught = (work: () => unknown) => {
    try {
      work();
    } catch (error) {
      return error;
    }
    return null;
  };

  it('is a cast that cannot be made, or a case with a field that is wrong: each by its code', () => {
    const far = caught(() => caseOnRun(channel, RIG, { ...PLAN, yM: -40 }, []));
    expect(far).toBeInstanceOf(Refusal);
    expect((far as Refusal).refused).toEqual({ code: 'no cast', why: { code: 'dry land' } });
    expect(caught(() => caseOnRun(channel, RIG, { ...PLAN, outM: 0.5 }, []))).toMatchObject({
      refused: { code: 'no cast', why: { code: 'shorter than leader' } },
    });
    const c = caseOnRun(channel, RIG, PLAN, []);
    expect(caught(() => checkCase({ ...c, tEndS: 0 }))).toMatchObject({
      refused: { code: 'no case', field: 'num.t_end' },
    });
  });

  it('is null to whoever tries many; what is at fault is not taken for it', () => {
    expect(unlessRefused(() => 7)).toBe(7);
    expect(unlessRefused(() => caseOnRun(channel, RIG, { ...PLAN, yM: -40 }, []))).toBeNull();
    const broken = () => new Array(-1); // a RangeError of the language
    expect(caught(() => unlessRefused(broken))).toBeInstanceOf(RangeError);
    expect(caught(() => unlessRefused(() => { throw new Error('did not converge'); }))).toBeInstanceOf(Error); // prettier-ignore
  });
});
