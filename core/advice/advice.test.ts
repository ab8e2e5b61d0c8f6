import { castAt, farSide, plainCast, shortestCast, wadeTo } from '../cast';
import { swingOnRun } from '../cast/case';
import { findLies } from '../lies';
import { survey } from '../lies/survey';
import { RIG, RUN } from '../testing/fixtures';
import { buildChannel } from '../water';
import { judge } from './verdict';
import { swingSentence, verdictSentence } from './words';

const channel = buildChannel(RUN, null);
const lies = findLies(RUN, channel, null, { quarry: 'sea trout', school: 'near the bed', most: 5 });

describe('standing and casting', () => {
  it('brings the fly over the lie it was asked for', () => {
    const lie = lies[0]!;
    const plan = castAt(lie, channel, RIG, lies);
    expect(plan.xM).toBeLessThan(lie.xM);
    const [v] = judge(swingOnRun({ channel, rig: RIG, plan, lies: [lie] }), [lie]);
    expect(v!.fit).not.toBe('not reached');
  });

  it('never sends anyone deeper than 0.8 m or into water of half the low hazard (Cox, Shand & Blacka 2010, from memory)', () => {
    for (const x of [0, 10, 20, 30, 40, 50]) {
      const y = wadeTo(channel, lies, x);
      const i = Math.round((x - channel.x0) / channel.dx);
      const j = Math.round((y - channel.y0) / channel.dy);
      expect(channel.h[i * channel.ny + j]!).toBeLessThanOrEqual(0.85);
      expect(channel.h[i * channel.ny + j]! * channel.u[i * channel.ny + j]!).toBeLessThanOrEqual(0.33);
    }
  });

  it('keeps casts between the shortest the rig allows and what is comfortable', () => {
    expect(shortestCast(RIG)).toBeGreaterThanOrEqual(6);
    const far = farSide(lies, plainCast(RUN, channel), RIG);
    expect(far).toBeGreaterThanOrEqual(shortestCast(RIG));
    expect(far).toBeLessThanOrEqual(22);
  });
});

describe('judging a swing', () => {
  const lie = lies[0]!;
  const plan = castAt(lie, channel, RIG, lies);
  const result = swingOnRun({ channel, rig: RIG, plan, lies });
  const pass = { ...result.lies[0]!, missM: 0, crossSpeedMps: 0.1 };
  const at = (depthM: number, missM = 0) => judge({ ...result, lies: [{ ...pass, depthM, missM }] }, [lie])[0]!;

  it('says too shallow by how much, too deep, on the bed, right, not reached', () => {
    const { topM, bottomM } = lie.band;
    expect(at(topM - 0.2)).toMatchObject({ fit: 'too shallow', byM: expect.closeTo(0.2, 6), tooFast: false });
    expect(at((topM + bottomM) / 2).fit).toBe('right');
    expect(at(bottomM + 0.02).fit).toBe('too deep');
    expect(at(lie.depthM).fit).toBe('on the bed');
    expect(at(topM, 30).fit).toBe('not reached');
    expect(() => judge({ ...result, lies: [] }, [lie])).toThrow('lies');
  });

  it('puts it in an angler’s words, in either units', () => {
    const v = at(lie.band.topM - 0.1);
    expect(verdictSentence(v, 'metric')).toMatch(/^Passes 1 at \d\.\d\d m, a hand too high; slow enough\.$/);
    expect(verdictSentence(v, 'imperial')).toMatch(/ ft, /);
    expect(verdictSentence(at(1, 30), 'metric')).toContain('Does not reach 1');
    expect(swingSentence(result, 'metric')).toContain('Deepest');
  });
});

describe('a survey', () => {
  it('is the same as its parts, and can be drawn', () => {
    const s = survey(RUN, null, { quarry: 'sea trout', school: 'near the bed', most: 5 });
    expect(s.lies.map(({ sure: _sure, ...l }) => l)).toEqual(lies);
    for (const l of s.lies) expect(l.sure! >= 0 && l.sure! <= 1).toBe(true);
    expect(s.tints[0]!.rings[0]!.length).toBeGreaterThan(10);
    expect(s.tints.map((t) => t.fromM)).toEqual([...s.tints.map((t) => t.fromM)].sort((a, b) => a - b));
    expect(s.flow).toHaveLength(12);
  });
});
