import { answerFor } from '@/core/answer/answer';
import { requestOf } from '@/core/answer';
import { answerJson } from '@/formats/answerJson';
import { lieOptionsOf } from '@/core/lies';
import { survey } from '@/core/lies/survey';
import { finished } from '@/core/maths/work';
import { KIT } from '@/demo/kit';
import { RUNS, WATERS } from '@/demo/waters';
import { readAnswerCase, readCoverCase } from './answerCase';

const run = RUNS.find((r) => r.id === 'osier-tail')!;
const reading = {
  ...{ id: 'x', runId: run.id, at: 0, levelM: 0, visibilityM: 1.2, atLeast: false, colour: 'green' },
  ...{ speed: null, waterTempC: 11, sky: 'broken', seen: ['hatch'] },
};
const CASE = {
  water: WATERS.find((w) => w.id === run.waterId)!,
  run,
  reading,
  kit: KIT,
  settings: { units: 'metric', school: 'near the bed' },
  means: null,
  at: '2026-06-10T10:00:00Z',
  tiedOn: null,
  seen: [],
  ask: 'best',
};
/** The run with its sections so far down. */
const sections = (at: readonly number[]) => ({
  run: { ...run, sections: at.map((xM) => ({ ...run.sections[0]!, xM })) },
});
const read = (o: object = {}) => readAnswerCase(JSON.stringify({ ...CASE, ...o }));
const ON = {
  ...{
    rodId: 'rod-7',
    headId: 'head-short',
    runningId: '',
    tipId: 'tip-fast',
    leaderId: 'leader-short',
    flyId: 'fly-04',
  },
  ...{ droppers: [], floatId: '', lineClean: true },
};

describe('a question as a file', () => {
  it('is read with what is not said taken as usual', () => {
    const { ask: _a, seen: _s, means: _m, settings: _t, tiedOn: _o, ...least } = CASE;
    const q = readAnswerCase(JSON.stringify(least));
    expect(q).toMatchObject({ ask: 'best', seen: [], rigged: [], tiedOn: null, at: Date.UTC(2026, 5, 10, 10) });
    expect(q.settings).toMatchObject({ units: 'metric', school: 'near the bed' });
    expect(q.means).toBeUndefined();
    expect(read({ reading: null }).reading).toMatchObject({ runId: run.id, levelM: run.levelM, visibilityM: 1.2 });
    expect(read({ at: '2026-06-10T10:00' }).at).toBe(Date.UTC(2026, 5, 10, 10));
    expect(read({ at: '2026-06-10T12:00+02:00' }).at).toBe(Date.UTC(2026, 5, 10, 10));
    expect(read({ settings: { schools: { mends: 'set once' }, goal: 'numbers' } }).settings).toMatchObject({
      schools: { mends: 'set once' },
      goal: 'numbers',
    });
  });

  it.each([
    ['{', /^case: the JSON is cut off or damaged: from line 1/],
    [{ run: { ...run, lengthM: 2 } }, /run\.lengthM/],
    [{ reading: { ...reading, colour: 'mauve' } }, /reading\.colour/],
    [{ reading: { ...reading, runId: 'another' } }, /^reading\.runId: is not the id of the run/],
    [{ reading: { ...reading, seen: ['bears'] } }, /reading\.seen\[0\]/],
    [{ kit: [{ ...KIT[0], lengthM: 99 }] }, /kit\[0\]/],
    [{ kit: [KIT[0], KIT[0]] }, /kit\[1\]/],
    [{ settings: { school: 'on the bank' } }, /settings\.school/],
    [{ settings: { schools: { mends: 'never' } } }, /settings\.schools\.mends/],
    [{ settings: { goal: 'fame' } }, /settings\.goal/],
    [{ means: { casts: [] } }, /means\./],
    [{ at: 'noon' }, /^at /],
    [{ ask: 'worst' }, /^ask /],
    [{ seen: ['hatch', 'hatch'] }, /seen\[1\]/],
    [{ tiedOn: { ...ON, flyId: 'gone' } }, /^tiedOn\.flyId: kit has no fly with the id "gone"/],
    [{ tiedOn: { ...ON, tipId: 'gone' } }, /^tiedOn\.tipId: kit has no tip/],
    [{ rigged: [{ ...ON, floatId: ON.flyId }] }, /^rigged\[0\]\.floatId: kit has no float/],
    [{ tiedOn: { ...ON, leaderId: '' } }, /^tiedOn: a rig needs a rod, a line, a leader and a fly/],
    [sections([0, 30, 999]), /^run\.sections\[2\]\.xM: 999 lies below the run/],
    [sections([0, 30, 20]), /^run\.sections\[2\]\.xM: 20 is not below the section before it, at 30/],
    [sections([0, 0, 20]), /^run\.sections\[1\]\.xM: 0 is not below/],
    [{ reading: { ...reading, speed: { surfaceMps: 1, xM: 999, yM: 5 } } }, /^reading\.speed\.xM: 999 lies outside/],
    [{ reading: { ...reading, speed: { surfaceMps: 1, xM: 5, yM: -80 } } }, /^reading\.speed\.yM: -80 lies outside/],
    [
      { reading: { ...reading, depths: [{ xM: 5, yM: 99, depthM: 1, how: 'staff' }] } },
      /^reading\.depths\[0\]\.yM: 99 lies outside/,
    ],
    [{ at: '2026-02-31T10:00:00Z' }, /^at: there is no 2026-02-31/],
    [
      { water: { ...CASE.water, rules: { ...CASE.water.rules, season: { from: '02-31', to: '09-30' } } } },
      /^water\.rules\.season\.from: there is no such day/,
    ],
    [{ tiedOn: { ...ON, tipId: 5 } }, /tiedOn\.tipId/],
    [{ more: 1 }, /more/],
  ])('%# names what is wrong', (part, message) => {
    const text = typeof part === 'string' ? part : JSON.stringify({ ...CASE, ...part });
    expect(() => readAnswerCase(text)).toThrow(RangeError);
    expect(() => readAnswerCase(text)).toThrow(message);
  });

  it('is answered in the names of docs/formats.md', () => {
    const q = read({ tiedOn: ON, ask: 'change' });
    const today = survey(q.run, q.reading, lieOptionsOf(q));
    const answer = finished(answerFor(requestOf({ ...today, question: q })));
    const json = JSON.parse(JSON.stringify(answerJson(answer, today.channel, 'metric')));
    expect(Object.keys(json)).toEqual(
      expect.arrayContaining(
        'method setup stands givesUp why second flips check schools changes rotation mistakes cautions bring'.split(
          ' ',
        ),
      ),
    );
    const ids = new Set(KIT.map((k) => k.id));
    for (const id of [json.setup.rig.rodId, json.setup.rig.headId, json.setup.rig.flyId]) expect(ids).toContain(id);
    expect(json.stands.length).toBeGreaterThan(0);
    for (const s of json.stands) {
      expect(s.chance).toBeGreaterThanOrEqual(0);
      expect(s.chance).toBeLessThanOrEqual(1);
      expect(s.plan.outM).toBeGreaterThan(2);
      expect(s.position).toMatchObject({ hazard: 'low' });
      expect(s.position.depthM).toBeLessThanOrEqual(0.8);
      expect(s.passes.wantedTopM).toBeLessThan(s.passes.wantedBottomM);
    }
    for (const c of json.changes) {
      expect(c.costS).toBeGreaterThan(0);
      expect(c.words).toMatch(/\w/);
    }
    expect(json.why.length).toBeGreaterThan(0);
    expect(json.schools.mends.used).toBe('mend for depth');
  });
});

describe('a case of covering a run', () => {
  const cover = (o: object = {}) => readCoverCase(JSON.stringify({ ...CASE, minutes: 40, ...o }));

  it('is a question with the time there is; twice is patience enough', () => {
    expect(cover()).toMatchObject({ minutes: 40, patience: 2, question: { run: { id: run.id } } });
    expect(cover({ patience: 4 }).patience).toBe(4);
    expect(cover().question).toEqual(read());
  });

  it.each([
    [{ minutes: undefined }, 'minutes is required'],
    [{ minutes: 0 }, 'minutes must be'],
    [{ minutes: 1000 }, 'minutes must be'],
    [{ patience: 3 }, 'patience must be'],
    [{ casts: [] }, 'casts is not allowed'],
  ])('names what is wrong: %j', (o, says) => {
    expect(() => cover(o)).toThrow(says);
  });
});
