import { useLocalSearchParams } from 'expo-router';
import { CompareScreen } from '@/screens/read/CompareScreen';

export default function Compare() {
  return <CompareScreen runId={useLocalSearchParams<{ run: string }>().run} />;
}
