import { ComponentsScreen } from '@/screens/shared/ComponentsScreen';

export default function Components() {
  return <ComponentsScreen />;
}
