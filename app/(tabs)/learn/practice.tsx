import { PracticeScreen } from '@/screens/riverside/later';

export default function Practice() {
  return <PracticeScreen />;
}
