import { useState } from 'react';
import { clamp } from '@/core/maths';

/** What is shown of a run, m down it, and what shows more or less of it. */
export interface Zoom {
  readonly from: number;
  readonly to: number;
  /** Only a part of the run is shown. */
  readonly zoomed: boolean;
  /** Closer still can be gone. */
  readonly canCloser: boolean;
  /** Twice as close, about a place, m down the run. */
  readonly closer: (aboutM: number) => void;
  readonly whole: () => void;
  /** Props of a RunSheet: two fingers pinch and push, two taps go close and back. */
  readonly gestures: {
    readonly onPinch: (times: number, beforeM: number, nowM: number) => void;
    readonly onDouble: (xM: number) => void;
  };
}

/** Where a run is drawn by hand a creek is shown up to so many times as wide as it is: a thumb has to hit what stands in it. */
export const STRETCH = 3;
/** No shorter piece of a run is shown, m. */
const SHORTEST_M = 8;
/** So many times as close at a tap, and at two taps. */
const [CLOSER, CLOSE] = [2, 3];

/** Going close to a part of a run and away again. @param lengthM of the run */
export function useZoom(lengthM: number): Zoom {
  const [shown, setShown] = useState({ middleM: lengthM / 2, times: 1 });
  const most = Math.max(1, lengthM / SHORTEST_M);
  const times = clamp(shown.times, 1, most);
  const half = lengthM / times / 2;
  const middleM = clamp(shown.middleM, half, lengthM - half);
  const show = (to: { readonly middleM: number; readonly times: number }) =>
    setShown({ middleM: to.middleM, times: clamp(to.times, 1, most) });
  return {
    from: middleM - half,
    to: middleM + half,
    zoomed: times > 1.01,
    canCloser: times < most - 0.01,
    closer: (aboutM) => show({ middleM: aboutM, times: CLOSER * times }),
    whole: () => show({ middleM: lengthM / 2, times: 1 }),
    gestures: {
      // What was between the fingers stays between them.
      onPinch: (by, beforeM, nowM) => show({ middleM: beforeM + (middleM - nowM) / by, times: by * times }),
      onDouble: (xM) => (times > 1.01 ? show({ middleM: lengthM / 2, times: 1 }) : show({ middleM: xM, times: CLOSE })),
    },
  };
}
