import { NewRunScreen } from '@/screens/riverside/later';

export default function NewRun() {
  return <NewRunScreen />;
}
