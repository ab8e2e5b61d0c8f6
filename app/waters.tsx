import { WatersScreen } from '@/screens/plan/later';

export default function Waters() {
  return <WatersScreen />;
}
