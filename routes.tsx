import { ctx } from 'expo-router/_ctx';
import { ExpoRoot } from 'expo-router';
import Head from 'expo-router/head';
import type { ComponentType } from 'react';
import { MissingPart } from '@/screens/shared/MissingPart';
import { filesOf } from '@/screens/shared/routeFiles';
import { come, type Door, fetched, later } from '@/ui/later';

interface RouteFile {
  readonly default: ComponentType;
  readonly ErrorBoundary?: ComponentType;
}
const files: readonly string[] = ctx.keys();
const doors = new Map(files.map((file): [string, Door<RouteFile>] => [file, async () => ctx(file)]));

const isFrame = (file: string): boolean => /_layout\.tsx?$/.test(file);
/** A file of `app/`: at once, where it has come; else what shows it once it has. */
function route(file: string): RouteFile {
  const door = doors.get(file)!;
  const here = come(door);
  if (here) return here;
  const default_ = later(door, (m) => m.default);
  // Screens are caught by their frame; a frame that does not come would take the whole page with it.
  return isFrame(file) ? { default: default_, ErrorBoundary: MissingPart } : { default: default_ };
}
const context = Object.assign(route, { keys: ctx.keys, resolve: ctx.resolve, id: ctx.id });

/** Lets come what an address shows. */
export const arrived = (path: string): Promise<unknown> =>
  Promise.all(filesOf(path, files).map((file) => fetched(doors.get(file)!)));

export function Routes() {
  return (
    <Head.Provider>
      <ExpoRoot context={context} />
    </Head.Provider>
  );
}
