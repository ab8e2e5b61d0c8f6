import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import type { CastPlan } from '@/core/cast';
import type { CoverRequest } from '@/core/cover';
import type { Rig } from '@/core/tackle';
import { coverRun } from '@/workers/river';
import type { RunReady } from '../shared/RunGate';
import { useMeansToday } from '../shared/useMeans';
import { useLieOptions, useUsualQuery } from '../shared/useRunDay';
import { MINUTE_MS } from '@/core/units';

const KEPT_MS = 10 * MINUTE_MS;

/** What the cover of a run follows from. @param stands how it is cast: the way of the run, then casts of their own; none: the plain way; @param far as far as is comfortable from the first */
export function useCoverRequest(
  { run, water, today, survey }: RunReady,
  rig: Rig,
  stands: readonly CastPlan[],
  far: boolean,
): CoverRequest {
  const means = useMeansToday(run, today);
  const options = useLieOptions(water, useUsualQuery());
  const { reading } = today;
  return useMemo(
    () => ({
      ...{ run, channel: survey.channel, lies: survey.lies, reading, options, rig, means },
      ...{ way: stands[0] ?? null, special: stands.slice(1), far },
    }),
    [run, survey, reading, options, rig, means, stands, far],
  );
}

/**
 * The casts that a run offers, worked out in a worker; the last ones stay while the next are.
 *
 * @param waterOf what its water was rebuilt for; @param active false rests
 */
export function useCovering(request: CoverRequest, waterOf: string, active: boolean) {
  const [share, setShare] = useState(0);
  const key = useMemo(() => {
    const { run, reading, options, rig, means, way, special, far } = request;
    return JSON.stringify({
      run,
      reading: { ...reading, id: '', at: 0 },
      waterOf,
      options,
      rig,
      means,
      way,
      special,
      far,
    });
  }, [request, waterOf]);
  const found = useQuery({
    queryKey: ['cover', key],
    enabled: active,
    structuralSharing: false,
    gcTime: KEPT_MS,
    retry: false,
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) => {
      setShare(0);
      return coverRun(request, { signal, onShare: setShare });
    },
  });
  return {
    covering: found.data ?? null,
    /** It is of what is asked now. */
    settled: !found.isFetching && !found.isPlaceholderData && found.data != null,
    share,
    error: found.error?.message ?? null,
  };
}
