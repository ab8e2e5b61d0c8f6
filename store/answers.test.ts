import { createAsyncStorage } from '@react-native-async-storage/async-storage';
import type { Answer } from '@/core/answer';
import { answered, LIGHT, RUN } from '@/core/answer/waters.testing';
import { forgetAnswers, keepAnswer, keptAnswer } from './answers';

const storage = createAsyncStorage('wanderung-answers');
const BEST = answered(RUN);
const none = (school: string): Answer => ({ ...BEST, served: null, why: [], method: school as Answer['method'] });

beforeEach(forgetAnswers);

describe('an answer that is kept', () => {
  it('comes back as it was given, whatever was asked', async () => {
    const answers = [BEST, answered(RUN, { ask: 'change', tiedOn: LIGHT }), answered(RUN, { kit: [] })];
    for (const [i, answer] of answers.entries()) await keepAnswer('1', `question ${i}`, answer);
    for (const [i, answer] of answers.entries()) expect(await keptAnswer('1', `question ${i}`)).toEqual(answer);
  });

  it('is none to another question, nor of another version', async () => {
    await keepAnswer('1', 'at noon', BEST);
    expect([await keptAnswer('1', 'at dusk'), await keptAnswer('2', 'at noon')]).toEqual([null, null]);
    await keepAnswer('2', 'at dusk', BEST); // nothing of a version before is held on to
    expect(await keptAnswer('1', 'at noon')).toBeNull();
  });

  it('gives way to six newer ones, each once', async () => {
    for (const asked of ['a', 'b', 'c', 'd', 'e', 'f', 'b', 'g']) await keepAnswer('1', asked, none(asked));
    const told = await Promise.all(['a', 'b', 'c', 'd', 'e', 'f', 'g'].map((asked) => keptAnswer('1', asked)));
    expect(told.map((a) => a && a.method)).toEqual([null, 'b', 'c', 'd', 'e', 'f', 'g']);
  });

  it('is not given where it was damaged, or the store does not answer; and is worked out anew', async () => {
    await keepAnswer('1', 'a', none('Still.'));
    const whole = (await storage.getItem('last'))!;
    for (const damaged of [whole.replace('Still.', 'Stall.'), whole.slice(0, -9), 'x']) {
      await storage.setItem('last', damaged);
      expect(await keptAnswer('1', 'a')).toBeNull();
    }
    await keepAnswer('1', 'b', none('Again.'));
    expect((await keptAnswer('1', 'b'))?.method).toBe('Again.');
    jest.spyOn(storage, 'getItem').mockReturnValueOnce(new Promise(() => {}));
    expect(await keptAnswer('1', 'b')).toBeNull();
    jest.spyOn(storage, 'setItem').mockRejectedValueOnce(new Error('full'));
    await keepAnswer('1', 'c', BEST);
    expect(await keptAnswer('1', 'c')).toBeNull();
  });

  it('is forgotten with the rest', async () => {
    await keepAnswer('1', 'a', BEST);
    await forgetAnswers();
    expect(await keptAnswer('1', 'a')).toBeNull();
  });
});
