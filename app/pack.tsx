import { PackScreen } from '@/screens/plan/later';

export default function Pack() {
  return <PackScreen />;
}
