import { useLocalSearchParams } from 'expo-router';
import { EditRunScreen } from '@/screens/read/EditRunScreen';

export default function EditRun() {
  return <EditRunScreen runId={useLocalSearchParams<{ run: string }>().run} />;
}
