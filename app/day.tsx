import { DayScreen } from '@/screens/plan/later';

export default function Day() {
  return <DayScreen />;
}
