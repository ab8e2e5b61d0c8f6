import { MovesScreen } from '@/screens/riverside/later';

export default function Moves() {
  return <MovesScreen />;
}
