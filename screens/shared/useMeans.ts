import { ANY_MEANS, type Means } from '@/core/cast';
import { useSettings } from '@/store/hooks';

/** What the angler can do; everything until it was asked. */
export function useMeans(): { means: Means; asked: boolean } {
  const [{ means }] = useSettings();
  return { means: means ?? ANY_MEANS, asked: means !== undefined };
}
