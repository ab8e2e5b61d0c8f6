import { useLocalSearchParams } from 'expo-router';
import { OutingScreen } from '@/screens/learn/OutingScreen';

export default function OutingRoute() {
  return <OutingScreen outingId={useLocalSearchParams<{ outing: string }>().outing} />;
}
