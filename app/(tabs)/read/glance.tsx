import { GlanceScreen } from '@/screens/read/GlanceScreen';

export default function Glance() {
  return <GlanceScreen />;
}
