import { useLocalSearchParams } from 'expo-router';
import { BagScreen } from '@/screens/bag/BagScreen';

export default function Bag() {
  return <BagScreen itemId={useLocalSearchParams<{ item?: string }>().item} />;
}
