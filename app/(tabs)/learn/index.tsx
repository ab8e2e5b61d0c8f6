import { LearnScreen } from '@/screens/learn/LearnScreen';

export default function Learn() {
  return <LearnScreen />;
}
