import { put } from './changes';
import { water } from './records.testing';

/** What pages of one browser say to each other. */
class Channel {
  static all: Channel[] = [];
  onmessage: ((e: { data: readonly string[] }) => void) | null = null;
  constructor(readonly name: string) {
    Channel.all.push(this);
  }
  postMessage(data: readonly string[]): void {
    for (const c of Channel.all) if (c !== this && c.name === this.name) c.onmessage?.({ data });
  }
}

describe('the database of a page', () => {
  beforeAll(() => void jest.spyOn(globalThis, 'BroadcastChannel', 'get').mockReturnValue(Channel as never));
  afterAll(() => jest.restoreAllMocks());

  it('is one, tells other pages what it stored, and hears what they stored', async () => {
    const { openDatabase } = await import('./open');
    const page = openDatabase();
    expect(openDatabase()).toBe(page);
    expect(Channel.all).toHaveLength(1);
    const other = new Channel(Channel.all[0]!.name);
    const [told, heard]: [string[], string[]] = [[], []];
    other.onmessage = ({ data }) => told.push(...data);
    await page.db.commit(put('water', water()));
    expect(told).toEqual(['water/w1']);
    const off = page.onOtherTab((keys) => heard.push(...keys));
    other.postMessage(['run/r', 'log/o']);
    off();
    other.postMessage(['run/again']);
    expect(heard).toEqual(['run/r', 'log/o']);
    expect(await page.db.all('water')).toEqual([water()]);
  });

  it('gives ids that nobody else makes: 96 bits at random, in hexadecimal', async () => {
    const { newId } = await import('./open');
    const ids = Array.from({ length: 500 }, newId);
    for (const id of ids) expect(id).toMatch(/^[0-9a-f]{24}$/);
    expect(new Set(ids).size).toBe(500);
    // Each place takes every digit: no byte is left out or cut short.
    for (let place = 0; place < 24; place++) expect(new Set(ids.map((id) => id[place])).size).toBe(16);
  });

  it('says why it fails, and what to do', async () => {
    const { wordFailure } = await import('./open');
    expect(await wordFailure(new Error('boom'))).toContain('boom');
    expect(await wordFailure(new DOMException('no', 'QuotaExceededError'))).toMatch(/full|room|space/i);
  });
});
