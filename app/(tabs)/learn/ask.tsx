import { AskScreen } from '@/screens/learn/later';

export default function Ask() {
  return <AskScreen />;
}
