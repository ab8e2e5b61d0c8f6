import { type Dimension, DIMENSIONS, WITHOUT_MOON } from '@/core/learn/evidence';
import { useSettings } from '@/store/hooks';

/** What the log is asked by: the moon, too, where one insists. */
export const useDimensions = (): readonly Dimension[] => (useSettings()[0].moon ? DIMENSIONS : WITHOUT_MOON);
