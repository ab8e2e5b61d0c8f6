import { MovesScreen } from '@/screens/learn/MovesScreen';

export default function Moves() {
  return <MovesScreen />;
}
