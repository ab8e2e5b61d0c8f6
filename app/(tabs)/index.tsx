import { PlanScreen } from '@/screens/plan/PlanScreen';

export default function Plan() {
  return <PlanScreen />;
}
