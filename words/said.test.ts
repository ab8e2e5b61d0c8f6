import { saidOf } from './said';

describe('what an error says on a screen', () => {
  it('its own words, where they were written to be read', () => {
    expect(saidOf(new RangeError('record 3, depth: must be above 0'))).toBe('record 3, depth: must be above 0');
    expect(saidOf(new Error('the device is full'))).toBe('the device is full');
  });

  it('never an engine’s: what is safe and what to do', () => {
    const thrown = [
      () => (null as unknown as { depthM: number }).depthM,
      () => JSON.parse('{"depth":'),
      () => new Array(-1),
      () => structuredClone(() => 0),
    ].map((fault): Error => {
      try {
        fault();
      } catch (error) {
        return error as Error;
      }
      throw new Error('threw nothing');
    });
    for (const error of thrown) {
      expect(saidOf(error)).toMatch(/your data is safe, so reload the page/);
      expect(saidOf(error)).not.toContain(error.message);
    }
  });
});
