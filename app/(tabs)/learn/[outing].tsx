import { useLocalSearchParams } from 'expo-router';
import { OutingScreen } from '@/screens/learn/later';

export default function OutingRoute() {
  return <OutingScreen outingId={useLocalSearchParams<{ outing: string }>().outing} />;
}
