import { buildChannel, coarseCut } from './channel';
import type { Reading } from './reading';
import type { Run } from './run';

/**
 * Today's reading carried to another level: what was measured today grows or shrinks as the run's own flow does.
 *
 * @returns a run and a reading to build from; the level is taken as sure, the flow as carried
 * @throws RangeError when the run would be dry at that level
 */
export function atLevel(run: Run, reading: Reading, levelM: number): { run: Run; reading: Reading } {
  const { speed: _speed, pace: _pace, flowM3s: _flow, depths: _depths, ...rest } = reading;
  const bare: Reading = { ...rest, speed: null, levelFrom: 'gauge' };
  const cut = coarseCut(run);
  const flow = (r: Reading) => buildChannel(run, r, cut).flowM3s;
  const flowM3s = (flow({ ...bare, levelM }) * flow(reading)) / flow({ ...bare, levelM: reading.levelM });
  const { flowM3s: _known, ...elsewhere } = run;
  return { run: elsewhere, reading: { ...bare, levelM, flowM3s } };
}
