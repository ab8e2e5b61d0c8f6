import { type ComponentProps, lazy, Suspense } from 'react';
import { Loading } from '@/ui';
import type * as Starting from './starting';

const door = () => import('./starting');
const Add = lazy(() => door().then((m) => ({ default: m.AddItem })));
const Bags = lazy(() => door().then((m) => ({ default: m.StarterBags })));

export const AddItem = (p: ComponentProps<typeof Starting.AddItem>) => (
  <Suspense fallback={<Loading what="Opening the list…" />}>
    <Add {...p} />
  </Suspense>
);
export const StarterBags = (p: ComponentProps<typeof Starting.StarterBags>) => (
  <Suspense fallback={null}>
    <Bags {...p} />
  </Suspense>
);
