import { FishScreen } from '@/screens/riverside/later';

export default function Fish() {
  return <FishScreen />;
}
