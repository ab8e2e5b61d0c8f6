import { RigCardScreen } from '@/screens/bag/RigCardScreen';

export default function RigCard() {
  return <RigCardScreen />;
}
