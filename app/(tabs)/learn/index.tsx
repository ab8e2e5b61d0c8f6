import { LearnScreen } from '@/screens/learn/later';

export default function Learn() {
  return <LearnScreen />;
}
