import { TabBar } from '@/screens/shared/TabBar';

export default function TabsLayout() {
  return <TabBar />;
}
