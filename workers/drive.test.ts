import { cancel, drive } from './drive';

/** Work of so many steps of some milliseconds each. */
function* work(steps: number, did: number[] = []): Generator<number, string, undefined> {
  for (let i = 1; i <= steps; i++) {
    const since = performance.now();
    while (performance.now() - since < 5);
    did.push(i);
    yield i / steps;
  }
  return 'done';
}
/** Another message to the worker, sent once the work is under way. */
const message = (arrives: () => void) => {
  const { port1, port2 } = new MessageChannel();
  port1.onmessage = () => {
    port1.close();
    arrives();
  };
  port2.postMessage(null);
};

describe('a long piece of work', () => {
  it('gives its result, and tells its share now and then, not at every step', async () => {
    const shares: number[] = [];
    const since = performance.now();
    expect(await drive(1, work(300), (share) => shares.push(share))).toBe('done');
    expect(shares.length).toBeGreaterThan(1); // in a second and a half at the least
    expect(shares.length).toBeLessThanOrEqual((performance.now() - since) / 200);
    expect(shares).toEqual([...shares].sort((a, b) => a - b));
  });

  it('lets in what came meanwhile', async () => {
    const did: number[] = [];
    let after = 0;
    message(() => message(() => (after = did.length))); // the second comes while it works
    await drive(2, work(20, did));
    expect(after).toBeGreaterThan(0);
    expect(after).toBeLessThan(10);
  });

  it('lets what waits go first: ended at once it has not begun', async () => {
    const did: number[] = [];
    const never = drive(6, work(20, did));
    cancel(6);
    expect(await never).toBeNull();
    expect(did).toEqual([]);
  });

  it('is ended by its number, and no other by it', async () => {
    const did: number[] = [];
    const [one, other] = [drive(3, work(20, did)), drive(4, work(6))];
    message(() => cancel(3));
    expect(await Promise.all([one, other])).toEqual([null, 'done']);
    expect(did.length).toBeLessThan(15);
  });

  it('breathes without a timer, which a browser would hold back for 4 ms each time (HTML standard, timers)', async () => {
    const timer = jest.spyOn(globalThis, 'setTimeout');
    try {
      expect(await drive(5, work(10))).toBe('done');
      expect(timer).not.toHaveBeenCalled();
    } finally {
      timer.mockRestore();
    }
  });

  it('passes on what goes wrong', async () => {
    const broken = (function* (): Generator<number, never, undefined> {
      yield 0;
      throw new RangeError('line: too long');
    })();
    await expect(drive(6, broken)).rejects.toThrow('line: too long');
  });
});
