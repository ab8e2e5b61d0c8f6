import { useLocalSearchParams } from 'expo-router';
import { CompareScreen } from '@/screens/riverside/later';

export default function Compare() {
  return <CompareScreen runId={useLocalSearchParams<{ run: string }>().run} />;
}
