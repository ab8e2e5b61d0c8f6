import { expose } from 'comlink';
import { begin } from './beginWorker';

interface Api {
  readonly twice: (n: number) => number;
  readonly fails: () => never;
}

describe('a worker that is begun', () => {
  it('answers, and goes on when something goes wrong in it', async () => {
    const { port1, port2 } = new MessageChannel();
    expose(
      {
        twice: (n: number) => 2 * n,
        fails: () => {
          throw new RangeError('not so');
        },
      } satisfies Api,
      port2,
    );
    const lost = jest.fn();
    const worker = begin<Api>(port1 as unknown as Worker, lost);
    await expect(worker.twice(21)).resolves.toBe(42);
    port1.dispatchEvent(new Event('error'));
    await expect(worker.twice(4)).resolves.toBe(8);
    await expect(worker.fails()).rejects.toThrow('not so');
    expect(lost).not.toHaveBeenCalled();
    port1.close();
  });

  it('whose script does not load rejects what it was asked and what it is asked later, and is given up once', async () => {
    const silent = Object.assign(new EventTarget(), { postMessage: () => undefined });
    const lost = jest.fn();
    const worker = begin<Api>(silent as unknown as Worker, lost);
    const asked = [worker.twice(1), worker.twice(2)];
    silent.dispatchEvent(new Event('error'));
    silent.dispatchEvent(new Event('error'));
    for (const answer of [...asked, worker.twice(3)])
      await expect(answer).rejects.toThrow(/didn’t load: try again, or reload the page/);
    expect(lost).toHaveBeenCalledTimes(1);
  });
});
