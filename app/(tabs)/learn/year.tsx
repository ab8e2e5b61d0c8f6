import { YearScreen } from '@/screens/learn/later';

export default function Year() {
  return <YearScreen />;
}
