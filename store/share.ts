import type { Privacy } from '@/formats/privacy';
import { sharedFile, type SharedFile } from '@/formats/share';
import type { ShareFormat } from '@/formats/shareFormats';
import { hintsOf, type SharedOuting, veil } from '@/formats/veil';
import { placeOf } from '@/core/sight/place';
import type { Database } from './database';
import { newId } from './open';
import { factsOf, type Water } from './records';
import { type UnitSystem } from '@/words/units';

export interface ShareAsk {
  readonly outingIds: readonly string[];
  /** Only what happened on this run; null: all. */
  readonly runId: string | null;
  readonly privacy: Privacy;
  readonly units: UnitSystem;
  readonly format: ShareFormat;
}

/** A water as it is shared; its place only where it has one. */
const placed = (water: Water | undefined): SharedOuting['water'] =>
  water ? { name: water.name, place: placeOf(water) } : null;

/** Names in outings that may give away their place or a person, for who chooses what to tell. */
export async function hintsFor(db: Database, ask: Pick<ShareAsk, 'outingIds' | 'privacy'>): Promise<string[]> {
  return [...new Set((await sharedOf(db, ask)).flatMap((o) => hintsOf(o, ask.privacy)))].sort();
}

/** Outings as a file for others, the oldest first. @throws RangeError where the format cannot hold what may be told */
export async function shareOutings(db: Database, ask: ShareAsk): Promise<SharedFile> {
  const shared = await sharedOf(db, ask);
  return sharedFile(veil(shared, ask.privacy, ask.units, newId(), ask.runId), ask.format, ask.units);
}

async function sharedOf(db: Database, ask: Pick<ShareAsk, 'outingIds'>): Promise<SharedOuting[]> {
  const wanted = new Set(ask.outingIds);
  const waters = new Map((await db.all('water')).map((w) => [w.id, w]));
  const runs = new Map((await db.all('run')).map((r) => [r.id, r]));
  const outings = (await db.all('outing')).filter((o) => wanted.has(o.id)).sort((a, b) => a.startedAt - b.startedAt);
  const shared: SharedOuting[] = [];
  for (const outing of outings)
    shared.push({
      outing: factsOf(outing),
      water: placed(waters.get(outing.waterId)),
      runs,
      events: await db.events(outing.id),
    });
  return shared;
}
