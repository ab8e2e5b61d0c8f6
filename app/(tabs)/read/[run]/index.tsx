import { useLocalSearchParams } from 'expo-router';
import { RunScreen } from '@/screens/riverside/later';

export default function Run() {
  return <RunScreen runId={useLocalSearchParams<{ run: string }>().run} />;
}
