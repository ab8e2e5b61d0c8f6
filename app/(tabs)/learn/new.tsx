import { HandDayScreen } from '@/screens/learn/HandDayScreen';

export default function HandDay() {
  return <HandDayScreen />;
}
