import { RunListScreen } from '@/screens/read/RunListScreen';

export default function Runs() {
  return <RunListScreen />;
}
