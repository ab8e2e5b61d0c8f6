import { RunListScreen } from '@/screens/riverside/later';

export default function Runs() {
  return <RunListScreen />;
}
