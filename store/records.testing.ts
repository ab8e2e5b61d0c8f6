import type { EventOf } from '@/core/logbook';
import { OPEN } from '@/core/testing/fixtures';
import { drained, readingBackup } from './readBackup';
import type { Outing, Water } from './records';

/** A plain water for tests. */
export const water = (o: Partial<Water> = {}): Water => ({
  id: 'w1',
  name: 'Test water',
  character: 'small stream',
  quarry: 'brown trout',
  latDeg: 57,
  lonDeg: -4,
  stationId: null,
  normalStageM: null,
  rules: { ...OPEN, maxFlies: 1, barbless: true },
  ...o,
});

/** An outing that goes on, and a note in its log. */
export const outing = (id: string): Outing => ({ id, waterId: 'w', startedAt: 1, endedAt: null, notes: '' });
export const note = (id: string, at = 5, text = id): EventOf<'note'> => ({
  ...{ id, at, runId: null, xM: null, yM: null, rig: null },
  kind: 'note',
  text,
});

/** Reads the text of a backup in one go. */
export const readBackup = (text: string, now: number) => drained(readingBackup(text, now));
