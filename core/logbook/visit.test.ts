import { castEvent, RIG } from '../testing/fixtures';
import { EVENT_KINDS, type EventBody, isUndoable, type LogEvent } from './events';
import { onRun } from './visit';

let n = 100;
const ev = (body: EventBody, runId = 'run', rig: string | null = null): LogEvent =>
  ({ id: `v${++n}`, at: n * 60_000, runId, xM: 0, yM: 1, rig, ...body }) as LogEvent;
const begin = (runId = 'run') => ev({ kind: 'run start', runName: 'a run' }, runId);
const end = () => ev({ kind: 'run end' });

describe('the visit to a run', () => {
  it('is none before it begins, after it ends, or on another run', () => {
    expect(onRun([], 'run')).toBeNull();
    expect(onRun([begin(), end()], 'run')).toBeNull();
    expect(onRun([begin('other')], 'run')).toBeNull();
    expect(onRun([begin(), begin('other')], 'run')).toBeNull();
    expect(onRun([begin(), end(), begin()], 'run')).not.toBeNull();
  });

  it('holds what happened since it began, and when that was', () => {
    const early = castEvent(1);
    const start = begin();
    const late = castEvent(2);
    const take = ev({ kind: 'take', where: null, sign: null, what: 'pluck', juvenile: false, fish: null });
    const visit = onRun([begin(), early, end(), start, late, take], 'run')!;
    expect(visit.casts).toEqual([late]);
    expect(visit.takes).toEqual([take]);
    expect(visit.startedAt).toBe(start.at);
    expect(visit.folded.tally).toMatchObject({ casts: 1, takes: 1 });
    expect(visit.events[0]).toBe(start);
  });

  it('knows every rig by its key and the one in force, also one tied on before', () => {
    const first = ev({ kind: 'rig', set: RIG }, 'run', 'k1');
    const other = { ...RIG, lineClean: false };
    const visit = onRun([first, begin(), ev({ kind: 'rig', set: other }, 'run', 'k2')], 'run')!;
    expect(visit.rigKey).toBe('k2');
    expect([...visit.rigs]).toEqual([
      ['k1', RIG],
      ['k2', other],
    ]);
    expect(onRun([begin()], 'run')!.rigKey).toBeNull();
  });

  it('takes back the last thing that can be, and what was undone no more', () => {
    const cast = castEvent(5);
    const bed = ev({ kind: 'bed' });
    const step = ev({ kind: 'step', byM: 1.5 });
    const log = [begin(), cast, bed, step];
    expect(onRun(log, 'run')!.last).toBe(bed);
    const undone = [...log, ev({ kind: 'undo', undoes: bed.id })];
    expect(onRun(undone, 'run')!.last).toBe(cast);
    expect(onRun([begin(), step], 'run')!.last).toBeNull();
  });
});

describe('kinds of events', () => {
  it('are all there; beginnings, ends, rigs, readings, steps and corrections are not taken back by a tap', () => {
    expect(EVENT_KINDS).toHaveLength(22);
    const kept = EVENT_KINDS.filter((kind) => !isUndoable({ kind } as LogEvent));
    expect(kept).toEqual(['run start', 'run end', 'rig', 'reading', 'step', 'undo', 'amend', 'split', 'join']);
  });
});
