import type { Channel } from './channel';

type Edges = Pick<Channel, 'edgeNear' | 'edgeFar'>;

/** Mean width of a run, m. */
export const meanWidthM = ({ edgeNear, edgeFar }: Edges): number =>
  edgeFar.reduce((sum, far, i) => sum + far - edgeNear[i]!, 0) / Math.max(1, edgeFar.length);

/** Narrower than this a stream is worked up, from below the fish (common practice, no source), m. */
const SMALL_M = 10;

/** Whether a run is a small stream by its mean width. */
export const isSmallStream = (c: Edges): boolean => meanWidthM(c) < SMALL_M;
