import { SeasonScreen } from '@/screens/plan/later';

export default function Season() {
  return <SeasonScreen />;
}
