import { useLocalSearchParams } from 'expo-router';
import { RunScreen } from '@/screens/read/RunScreen';

export default function Run() {
  return <RunScreen runId={useLocalSearchParams<{ run: string }>().run} />;
}
