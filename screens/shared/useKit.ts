import { useMemo } from 'react';
import { nameIn } from '@/words/tackle'; // not the barrel: this weighs on the first look
import { useRecords, useSettings } from '@/store/hooks';

/** What is in the bag, its made names in the units that are read. */
export function useKit() {
  const { data } = useRecords('kit');
  const [{ units }] = useSettings();
  return useMemo(() => ({ data: data?.map((item) => nameIn(item, units)) }), [data, units]);
}
