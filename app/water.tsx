import { useLocalSearchParams } from 'expo-router';
import { WaterScreen } from '@/screens/plan/WaterScreen';

export default function Water() {
  return <WaterScreen id={useLocalSearchParams<{ id?: string }>().id} />;
}
