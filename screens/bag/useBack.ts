import { useLocalSearchParams, useRouter } from 'expo-router';

const PLACES = { plan: '/', rig: '/rig' } as const;
/** From where one came to the bag's pages. */
export type From = keyof typeof PLACES;

/** The way back to where one came from, which the address says, so that a reload knows it, too. */
export function useBack(otherwise: '/rig' | '/bag') {
  const router = useRouter();
  const { from } = useLocalSearchParams<{ from?: string }>();
  const known = from === 'plan' || from === 'rig' ? from : undefined;
  return {
    /** For the address of the next page. */
    from: known ? { from: known } : {},
    back: () => router.replace(known ? PLACES[known] : otherwise),
  };
}
