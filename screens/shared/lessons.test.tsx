import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { finished } from '@/core/maths/work';
import { type CurveRequest } from '@/core/practice';
import { responseCurve } from '@/core/practice/curve';
import { openDatabase } from '@/store/open';
import { fetched, Sheet } from '@/ui';
import { charts } from '@/ui/charts';
import { press, show } from '../shown.testing';
import { LessonLink } from './LessonLink';
import { LessonPages } from './LessonPages';

const mockCurve = (q: CurveRequest) => finished(responseCurve(q));
jest.mock('@/workers/river', () => ({
  curveOf: (q: CurveRequest) => Promise.resolve(mockCurve(q)),
}));

beforeAll(() => fetched(charts));
afterEach(cleanup);

const kept = async () => (await openDatabase().db.all('practice')).filter((p) => p.kind === 'lesson');

describe('a lesson', () => {
  it('goes step by step to its question; the answer is told and kept', async () => {
    const done = jest.fn();
    await show(<LessonPages lesson="strike" onDone={done} />);
    expect(screen.getByText('Step 1 of 4')).toBeTruthy();
    expect(screen.getByRole('img', { name: /^Drawing: On the swing: do nothing/ })).toBeTruthy();
    press('Next');
    press('Next');
    press('Back');
    expect(screen.getByText(/^On the strip: keep stripping/)).toBeTruthy();
    press('Next');
    press('Next');
    press('To the question');
    expect(screen.getByRole('button', { name: 'Done' }).getAttribute('aria-disabled')).toBe('true');
    fireEvent.click(screen.getByRole('radio', { name: 'lift hard' }));
    expect(screen.getByText(/^Not quite: nothing, then the same cast again\. The fish came once/)).toBeTruthy();
    fireEvent.click(screen.getByRole('radio', { name: 'nothing, then the same cast again' }));
    expect(screen.getByText(/^Not quite/)).toBeTruthy(); // answered once
    await waitFor(async () => expect(await kept()).toMatchObject([{ lesson: 'strike', marks: 0 }]));
    press('Done');
    expect(done).toHaveBeenCalled();
  });

  it('shows what the engine finds where there is something to simulate', async () => {
    await show(<LessonPages lesson="mends" onDone={() => undefined} />);
    const curve = await screen.findByRole('img', { name: /^How deep the fly runs: −2\.0 / });
    const depths = [...curve.getAttribute('aria-label')!.matchAll(/ (\d\.\d\d) m/g)].map((m) => Number(m[1]));
    expect(depths.at(-1)).toBeGreaterThan(depths[2]!); // a mend upstream takes the fly deeper
  });

  it('opens over the page where its subject stands', async () => {
    await show(<LessonLink lesson="boots" />);
    press('Lesson: Visibility by your boots');
    const sheet = await screen.findByRole('dialog', { name: 'Visibility by your boots' });
    expect(await within(sheet).findByText(/^Wade in slowly where the bed is even/)).toBeTruthy();
  });

  it('Escape closes the lesson, not the sheet that it stands on', async () => {
    const below = jest.fn();
    await show(
      <Sheet title="Below" open onClose={below}>
        <LessonLink lesson="boots" />
      </Sheet>,
    );
    press('Lesson: Visibility by your boots');
    await screen.findByText(/^Wade in slowly/);
    fireEvent.keyDown(window, { key: 'Escape' });
    await waitFor(() => expect(screen.queryByText(/^Wade in slowly/)).toBeNull());
    expect(below).not.toHaveBeenCalled();
    fireEvent.keyDown(window, { key: 'Escape' });
    expect(below).toHaveBeenCalledTimes(1);
  });
});
