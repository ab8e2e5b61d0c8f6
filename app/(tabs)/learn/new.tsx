import { HandDayScreen } from '@/screens/learn/later';

export default function HandDay() {
  return <HandDayScreen />;
}
