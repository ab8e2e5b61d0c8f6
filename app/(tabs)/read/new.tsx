import { NewRunScreen } from '@/screens/read/NewRunScreen';

export default function NewRun() {
  return <NewRunScreen />;
}
