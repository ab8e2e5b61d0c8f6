import { GlanceScreen } from '@/screens/riverside/later';

export default function Glance() {
  return <GlanceScreen />;
}
