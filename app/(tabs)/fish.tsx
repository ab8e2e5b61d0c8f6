import { FishScreen } from '@/screens/fish/FishScreen';

export default function Fish() {
  return <FishScreen />;
}
