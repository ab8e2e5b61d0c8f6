import { type Feed, FeedRefusal, type GaugeSeries, joinSeries } from '@/core/gauge/feed';
import { noFeedWords } from '@/words/gauge';

/** The series of a gauge as one. @throws RangeError that says why nothing in them is of use */
export function joined(series: readonly GaugeSeries[], now?: number): Feed {
  try {
    return joinSeries(series, now);
  } catch (error) {
    throw error instanceof FeedRefusal ? new RangeError(noFeedWords(error.why)) : error;
  }
}
