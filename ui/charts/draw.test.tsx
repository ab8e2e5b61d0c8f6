import { cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { judge } from '@/core/advice';
import { castAt } from '@/core/cast';
import { swingOnRun } from '@/core/cast/case';
import type { Survey } from '@/core/lies';
import { survey as surveyOf } from '@/core/lies/survey';
import { flyAt, lengthS } from '@/core/swing/series';
import { RIG, RUN } from '@/core/testing/fixtures';
import { acrossAt } from '@/core/water';
import { range } from 'd3-array';
import type { ComponentProps } from 'react';
import { ResponseCurve } from './ResponseCurve';

import { DepthStrip } from './DepthStrip';
import { ticks } from './marks';

import { RunSheet } from './RunSheet';
import type { Plane } from './plane';
import { barPlace, clearOfNumbers, clearOfSides } from './SheetMarks';
import { daylight } from '../theme';
import { SectionEditor } from './SectionEditor';
import { SectionView } from './SectionView';
import { CrossTable } from './CrossTable';
import { SunArc } from './SunArc';
import { Hydrograph } from './TimeCharts';
import { YearCalendar } from './YearCalendar';

// Without a layout every chart has width 0: give the elements one.
beforeAll(() => {
  Object.defineProperty(HTMLElement.prototype, 'offsetWidth', { configurable: true, value: 360 });
  Object.defineProperty(HTMLElement.prototype, 'offsetHeight', { configurable: true, value: 300 });
  window.PointerEvent ??= MouseEvent as typeof PointerEvent;
  // jsdom lays nothing out: an observer that reports every element once stands in for it.
  window.ResizeObserver = class {
    constructor(private readonly report: (entries: { target: Element }[]) => void) {}
    observe = (target: Element) => void setTimeout(() => this.report([{ target }]), 0);
    unobserve = () => {};
    disconnect = () => {};
  } as unknown as typeof ResizeObserver;
});
afterEach(cleanup);

const survey: Survey = surveyOf(RUN, null, { quarry: 'sea trout', school: 'near the bed', most: 5 });
const plan = castAt(survey.lies[0]!, survey.channel, RIG, survey.lies);
const result = swingOnRun({ channel: survey.channel, rig: RIG, plan, lies: survey.lies });

/** With the style sheets (scripts/jest-setup.js). */
declare const getCascadedStyle: typeof getComputedStyle;

/** The depth strip of a swing, second 5 under the hand. */
const Strip = (given: Pick<ComponentProps<typeof DepthStrip>, 'result' | 'onScrub'>) => (
  <DepthStrip
    {...given}
    grid={survey.channel}
    verdicts={judge(result, { channel: survey.channel, rig: RIG, plan, lies: survey.lies })}
    band={null}
    units="metric"
    t={5}
    height={150}
    summary="Depth"
  />
);

describe('ticks', () => {
  it('are round, start at 0 and stay within', () => {
    expect(ticks(1.6, 3)).toEqual([0, 1]);
    expect(ticks(47, 5)).toEqual([0, 10, 20, 30, 40]);
    expect(ticks(0.6, 3)).toEqual([0, 0.2, 0.4, 0.6]);
  });
});

describe('the run sheet', () => {
  it('says what it shows, and what the tints mean in the user’s units', () => {
    render(<RunSheet run={RUN} survey={survey} units="imperial" height={300} summary="A run from above" />);
    expect(screen.getByRole('img', { name: 'A run from above' })).toBeTruthy();
    expect(screen.getByRole('img', { name: /Depth tints from 0 to \d+\.\d ft/ })).toBeTruthy();
    expect(screen.getByText('ft')).toBeTruthy();
  });

  it('names lies as it is told, crosses out what is gone and draws an arrow to where one went', async () => {
    const [first, second] = survey.lies;
    render(
      <RunSheet
        {...{ run: RUN, survey, units: 'metric', height: 300, summary: 'The other day' }}
        names={new Map([[first!.rank, 'A']])}
        moved={[
          { from: [first!.xM, first!.yM], to: null },
          { from: [second!.xM + 12, second!.yM], to: [second!.xM, second!.yM] },
          { from: [second!.xM, second!.yM], to: [second!.xM + 0.1, second!.yM] }, // too little to be drawn
        ]}
      />,
    );
    await screen.findByText('A');
    expect(within(screen.getByRole('img', { name: 'The other day' })).queryByText(String(first!.rank))).toBeNull();
    const paths = [...screen.getByRole('img', { name: 'The other day' }).querySelectorAll('path')].map(
      (p) => p.getAttribute('d') ?? '',
    );
    const drawn = paths.find((d) => /l12 12m0 -12l-12 12/.test(d))!;
    expect(drawn.match(/M/g)).toHaveLength(3); // the cross, the arrow and its second barb
  });

  it('has no words under the number of a lie: they stand on the other side of their place', () => {
    const [right, left] = [
      { dx: 10, dy: 4 },
      { dx: -10, dy: 4, anchor: 'end' as const },
    ];
    const clear = (off: object, ...numbers: [number, number][]) => clearOfNumbers([100, 100], 'tight', off, numbers);
    // Near the sheet's side a word stands on the other side of its place; above it, anywhere.
    const sides = (x: number) =>
      [{ dx: 12 }, { dx: -12, anchor: 'end' as const }, {}].map((off) => clearOfSides([x, 9], 'touches', off, 358));
    expect([sides(180), sides(300), sides(60)]).toEqual([
      [true, true, true],
      [false, true, true],
      [true, false, true],
    ]);
    expect([clear(right, [130, 100]), clear(left, [130, 100])]).toEqual([false, true]);
    expect([clear(right, [70, 100]), clear(left, [70, 100])]).toEqual([true, false]);
    expect([clear(right, [165, 100]), clear(right, [130, 125]), clear(right)]).toEqual([true, true, true]);
    expect([clear({ dy: -8 }, [112, 90]), clear({ dy: 22 }, [112, 90])]).toEqual([false, true]);
  });

  it('has its scale on no lie’s number: below on the left, on the right, or above', () => {
    const at = { width: 170, height: 310 } as Plane;
    const place = (...numbers: [number, number][]) => barPlace(at, 52, numbers);
    expect(place()).toEqual([8, 292]);
    expect(place([30, 280])).toEqual([110, 292]);
    expect(place([30, 280], [113, 297])).toEqual([8, 20]);
    expect(place([80, 292])).toEqual([8, 292]); // between the two
    expect(place([30, 280], [113, 297], [30, 30])).toEqual([8, 292]);
  });

  it('gives the place that was pressed, in metres of the run', () => {
    const onPoint = jest.fn();
    render(<RunSheet run={RUN} survey={survey} units="metric" height={300} summary="Sheet" onPoint={onPoint} />);
    const sheet = screen.getByRole('img', { name: 'Sheet' });
    (sheet as unknown as { setPointerCapture: () => void }).setPointerCapture = () => {};
    fireEvent.pointerDown(sheet, { pointerId: 1, buttons: 1, clientX: 0, clientY: 0 });
    expect(onPoint).toHaveBeenCalledTimes(1);
    expect(onPoint.mock.calls[0][0]).toEqual({ xM: expect.any(Number), yM: expect.any(Number) });
  });
});

describe('a swing on the sheet', () => {
  const sheet = async (o: object) => {
    const { container } = render(
      <RunSheet run={RUN} survey={survey} units="metric" height={300} summary="Sheet" angler={plan} {...o} />,
    );
    await waitFor(() => expect(container.textContent).toContain('left bank'));
    return container;
  };
  const dotted = '[stroke-dasharray="2 5"], [stroke-dasharray="2,5"]';

  it('lies over the water: both are layers, and the swing’s is the later', async () => {
    const drawn = await sheet({ swing: { result, t: 2 } });
    const [still, moving, ...more] = Array.from(drawn.querySelectorAll('svg'));
    expect(more).toEqual([]);
    expect(still!.querySelector(`[stroke="${daylight.fly}"]`)).toBeNull();
    expect(moving!.querySelector(`[stroke="${daylight.fly}"]`)).not.toBeNull();
    for (const svg of [still!, moving!]) expect(getCascadedStyle(svg.parentElement!).position).toBe('absolute');
  });

  it('draws what was kept beside it, dotted, and a grip for what can be dragged', async () => {
    expect((await sheet({ swing: { result, t: 2 } })).querySelectorAll(dotted)).toHaveLength(0);
    const both = await sheet({ swing: { result, t: 2 }, kept: { result, t: 2 } });
    expect(both.querySelectorAll(dotted)).toHaveLength(1);
    const gripped = await sheet({ handles: [{ id: 'mend', xM: plan.xM + 5, yM: plan.yM + 4, grip: true }] });
    expect(gripped.textContent).toContain('mend');
  });

  it('writes the words of a grip on the side where nobody stands', async () => {
    // On a run whose described bank is the left one, nearer to it lies further right.
    const anchors = async (yM: number) => {
      cleanup();
      const drawn = await sheet({ handles: [{ id: 'mend', xM: plan.xM, yM, grip: true }] });
      const words = Array.from(drawn.querySelectorAll('text')).filter((e) => e.textContent === 'mend');
      return words.map((e) => e.getAttribute('text-anchor'));
    };
    expect(await anchors(plan.yM + 2)).toEqual(['end', 'end']);
    expect(await anchors(plan.yM - 2)).toEqual(['start', 'start']);
    expect(await anchors(plan.yM + 18)).toEqual(['start', 'start']);
  });

  it('has the arrow of the current in the corner where nobody stands', async () => {
    const arrowX = async (xM: number, yM: number) => {
      cleanup();
      const drawn = await sheet({ angler: { xM, yM } });
      return Number(/^M([\d.]+) 12V44/.exec([...drawn.querySelectorAll('path')].at(-1)!.getAttribute('d')!)![1]);
    };
    const right = await arrowX(30, 1);
    expect(right).toBeGreaterThan(100);
    expect(await arrowX(0, -30)).toBe(18); // the left bank is at the right
    expect(await arrowX(0, 20)).toBe(right);
  });

  it('says beside the fly where it touches, not under it', async () => {
    const touched = { ...result, firstTouchS: 12 };
    const labelX = async (t: number) => {
      cleanup();
      const drawn = await sheet({ swing: { result: touched, t } });
      const label = [...drawn.querySelectorAll('text')].find((x) => x.textContent === 'touches')!;
      return Number(label.getAttribute('x'));
    };
    const fly = async (t: number) => {
      cleanup();
      const drawn = await sheet({ swing: { result: touched, t } });
      return Number([...drawn.querySelectorAll('circle[r="7.5"]')].at(-1)!.getAttribute('cx'));
    };
    const apart = Math.abs((await labelX(12.6)) - (await fly(12.6)));
    expect(apart).toBeCloseTo(12, 1);
    expect(await labelX(30)).toBeCloseTo(await labelX(12), 1);
  });

  it('leaves out words that would lie on those of a grip', async () => {
    const { xM, yM } = flyAt(result, 0);
    const grip = (downM: number) => ({
      swing: { result, t: 2 },
      handles: [{ id: 'mend', xM: xM + downM, yM, grip: true }],
    });
    expect((await sheet(grip(25))).textContent).toContain('lands');
    cleanup();
    expect((await sheet(grip(0.5))).textContent).not.toContain('lands');
  });

  it('takes hold of the nearest handle under the thumb, and of none where none is', async () => {
    const onPoint = jest.fn();
    const handles = [{ id: 'you', xM: 30, yM: 10 }];
    render(
      <RunSheet
        run={RUN}
        survey={survey}
        units="metric"
        height={300}
        summary="Held"
        handles={handles}
        onPoint={onPoint}
      />,
    );
    const held = screen.getByRole('img', { name: 'Held' });
    await waitFor(() => expect(held.textContent).toContain('left bank'));
    Object.assign(held, {
      setPointerCapture: () => {},
      getBoundingClientRect: () => ({ left: 0, top: 0, width: 360, height: 300 }),
    });
    // The middle of the run lies in the middle of the sheet.
    fireEvent.pointerDown(held, { pointerId: 1, buttons: 1, clientX: 180, clientY: 150 });
    expect(onPoint).not.toHaveBeenCalled(); // taking hold moves nothing yet
    fireEvent.pointerDown(held, { pointerId: 1, buttons: 1, clientX: 180, clientY: 20 });
    expect(onPoint).toHaveBeenCalledTimes(1);
    expect(onPoint.mock.calls[0][1]).toBeNull();
  });
});

describe('a day on the sheet', () => {
  const wade = [0, 20, 40].map((xM) => ({ xM, yM: 1 }));
  const drawn = async (o: object) => {
    const { container } = render(
      <RunSheet run={RUN} survey={survey} units="metric" height={500} summary="Day" {...o} />,
    );
    await waitFor(() => expect(container.textContent).toContain('left bank'));
    return container;
  };

  it('writes depths on their contours and says what the symbols mean', async () => {
    const sheet = await drawn({ explained: true, wade });
    expect(sheet.textContent).toMatch(/0\.6/);
    expect(screen.getByRole('img', { name: 'Symbols: boulder, your way on foot' })).toBeTruthy();
  });

  it('draws the way dotted, and only where it is asked for', async () => {
    expect((await drawn({})).innerHTML).not.toContain('stroke-dasharray="1 6"');
    cleanup();
    expect((await drawn({ wade })).innerHTML).toContain('stroke-dasharray="1 6"');
  });

  it('veils the shade without hiding what lies under it, wider the further it reaches', async () => {
    const veil = async (nearM: number) => {
      const sheet = await drawn({ shade: { nearM, farM: 0 } });
      const xs = [...sheet.querySelectorAll('path[fill-opacity="0.12"]')].flatMap((e) =>
        [...e.getAttribute('d')!.matchAll(/[ML](-?[\d.]+) /g)].map((m) => Number(m[1])),
      );
      cleanup();
      return xs.length === 0 ? 0 : Math.max(...xs) - Math.min(...xs);
    };
    expect(await veil(0)).toBe(0);
    expect(await veil(12)).toBeGreaterThan(1.2 * (await veil(4)));
  });
});

describe('a section that can be dragged', () => {
  it('moves the point that is held, between its neighbours, and tells it once', async () => {
    const onChange = jest.fn();
    const section = RUN.sections[1]!;
    render(<SectionEditor section={section} bank="right" units="metric" height={170} onChange={onChange} />);
    const view = screen.getByRole('img', { name: /Cross-section of 6 points/ });
    await waitFor(() => expect(view.querySelectorAll('circle')).toHaveLength(6));
    Object.assign(view, {
      setPointerCapture: () => {},
      getBoundingClientRect: () => ({ left: 0, top: 0, width: 360, height: 170 }),
    });
    const at = (i: number) => {
      const c = view.querySelectorAll('circle')[i]!;
      return { clientX: Number(c.getAttribute('cx')), clientY: Number(c.getAttribute('cy')) };
    };
    const from = at(2);
    fireEvent.pointerDown(view, { pointerId: 1, buttons: 1, ...from });
    fireEvent.pointerMove(view, { pointerId: 1, buttons: 1, clientX: from.clientX, clientY: from.clientY + 30 });
    fireEvent.pointerMove(view, { pointerId: 1, buttons: 1, clientX: 5000, clientY: from.clientY + 30 });
    fireEvent.pointerUp(view, { pointerId: 1 });
    expect(onChange).toHaveBeenCalledTimes(1);
    const points = onChange.mock.calls[0][0] as typeof section.points;
    expect(points[2]!.depthM).toBeGreaterThan(section.points[2]!.depthM);
    expect(points[2]!.yM).toBeCloseTo(section.points[3]!.yM - 0.2, 6);
    expect(points.filter((_, i) => i !== 2)).toEqual(section.points.filter((_, i) => i !== 2));
  });
});

describe('the curves of what moves the fly', () => {
  it('say themselves, draw one path a curve and leave gaps out', async () => {
    const { container } = render(
      <ResponseCurve
        labels={['a', 'b', 'c']}
        at={[0, 1, 2]}
        curves={[
          { name: 'deepest', values: [0.2, null, 0.6] },
          { name: 'dangle', values: [0.1, 0.1, 0.1], dashed: true },
        ]}
        chosen={1}
        unit="m"
        down
        height={200}
        summary="Depth by angle"
      />,
    );
    expect(screen.getByRole('img', { name: 'Depth by angle' })).toBeTruthy();
    await waitFor(() => expect(container.querySelectorAll('path')).toHaveLength(2));
    expect(container.querySelectorAll('circle')).toHaveLength(1); // the gap has none
  });
});

describe('the depth strip', () => {
  it('is a slider over the seconds of the swing, worked by keys', () => {
    const onScrub = jest.fn();
    render(<Strip result={result} onScrub={onScrub} />);
    const strip = screen.getByRole('slider', { name: 'Depth' });
    expect(strip.getAttribute('aria-valuetext')).toMatch(/^5\.0 seconds, fly at \d\.\d\d m$/);
    fireEvent.keyDown(strip, { key: 'ArrowRight' });
    expect(onScrub).toHaveBeenLastCalledWith(5.5);
    fireEvent.keyDown(strip, { key: 'Home' });
    expect(onScrub).toHaveBeenLastCalledWith(0);
    fireEvent.keyDown(strip, { key: 'End' });
    expect(onScrub.mock.calls[2][0]).toBeGreaterThan(10);
  });

  it('draws a swing that never fishes to its last second, which its clock may pass by a hair', async () => {
    const rows = range(20, result.rows).find((n) => flyAt(result, n - 1).tS > lengthS({ rows: n }))!;
    const short = { ...result, rows, fishing: null };
    const { container } = render(<Strip result={short} onScrub={jest.fn()} />);
    await waitFor(() => expect(container.querySelectorAll('path').length).toBeGreaterThan(2));
    const lines = [...container.querySelectorAll('path')].map((p) => p.getAttribute('d')!);
    expect(lines.join()).not.toMatch(/NaN|Infinity/);
    const ends = lines.map((d) => Number(/[ML]([\d.]+) [\d.]+Z?$/.exec(d)?.[1]));
    expect(Math.max(...ends)).toBeCloseTo(360 - 6, 0);
  });
});

describe('charts for reading', () => {
  it('a section says its width, depth and speed', () => {
    render(<SectionView points={acrossAt(survey.channel, 30)} bank="left" lies={[]} units="metric" height={150} />);
    expect(
      screen.getByRole('img', { name: /Cross-section 25 m wide, deepest 1\.\d\d m, fastest \d\.\d\d m\/s/ }),
    ).toBeTruthy();
  });

  it('the level and the sun say their sum', () => {
    const t0 = Date.UTC(2026, 8, 1);
    render(
      <Hydrograph
        points={[
          { at: t0, value: 3 },
          { at: t0 + 3_600_000, value: 5 },
        ]}
        unit="cm"
        now={t0 + 3_600_000}
        height={140}
        summary="Rising to +5 cm"
      />,
    );
    render(
      <SunArc
        altitude={[
          { at: t0, deg: -10 },
          { at: t0 + 1, deg: 40 },
        ]}
        marks={[]}
        now={t0}
        height={120}
        summary="Sun to 40 degrees"
      />,
    );
    expect(screen.getByRole('img', { name: 'Rising to +5 cm' })).toBeTruthy();
    expect(screen.getByRole('img', { name: 'Sun to 40 degrees' })).toBeTruthy();
  });
});

describe('the year and two things at once', () => {
  const svgIn = async (box: HTMLElement) => {
    await waitFor(() => expect(box.querySelector('svg')).toBeTruthy());
    return [...box.querySelectorAll('circle')].map((c) => ({
      x: Number(c.getAttribute('cx')),
      y: Number(c.getAttribute('cy')),
      r: Number(c.getAttribute('r')),
      fill: c.getAttribute('fill'),
    }));
  };

  it('a mark a day: later to the right, later months below, larger for longer days, full where a fish took', async () => {
    const day = { casts: 50, landed: 0 };
    const { container } = render(
      <YearCalendar
        summary="2026"
        days={[
          { ...day, month: 0, day: 3, minutes: 60, takes: 0 },
          { ...day, month: 0, day: 20, minutes: 480, takes: 2 },
          { ...day, month: 5, day: 20, minutes: 20, takes: 0 },
        ]}
      />,
    );
    const [short, long, later] = await svgIn(container);
    expect(long!.x).toBeGreaterThan(short!.x);
    expect(long!.r).toBeGreaterThan(short!.r);
    expect(later!.y).toBeGreaterThan(long!.y);
    expect(later!.x).toBeCloseTo(long!.x, 6);
    expect([short!.fill, long!.fill]).toEqual([daylight.paper, daylight.line]);
  });

  it('a disc for what was cast, none where nothing was; its area goes with the casts', async () => {
    const { container } = render(
      <CrossTable
        table={{
          rows: ['a', 'b'],
          columns: ['x', 'y'],
          cells: [
            [
              { casts: 100, takes: 3 },
              { casts: 25, takes: 0 },
            ],
            [
              { casts: 0, takes: 0 },
              { casts: 25, takes: 1 },
            ],
          ],
        }}
        rowNames={['A', 'B']}
        columnNames={['X', 'Y']}
        summary="A by X"
      />,
    );
    const discs = await svgIn(container);
    expect(discs).toHaveLength(3);
    expect(discs[0]!.r / discs[1]!.r).toBeCloseTo(2, 6);
    expect(discs[0]!.fill).not.toBe(discs[1]!.fill);
    const words = [...container.querySelectorAll('text')].map((t) => t.textContent);
    expect(words).toEqual(['X', 'Y', 'A', '3', 'B', '1']);
  });
});
