import { later, Loading } from '@/ui';

const starting = () => import('./starting');
export const AddItem = later(
  starting,
  (m) => m.AddItem,
  () => <Loading what="Opening the list…" />,
);
export const StarterBags = later(starting, (m) => m.StarterBags);
