import { SchoolsScreen } from '@/screens/shared/SchoolsScreen';

export default function Schools() {
  return <SchoolsScreen />;
}
