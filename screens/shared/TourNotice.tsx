import { useSession } from '@/store/hooks';
import { later } from '@/ui';

const tour = () => import('./Tour');
const Tour = later(tour, (m) => m.Tour);

/** The tour of the demo; once skipped or ended it is gone for good. */
export function TourNotice() {
  const [session] = useSession();
  return session?.tour == null ? null : <Tour at={session.tour} />;
}
