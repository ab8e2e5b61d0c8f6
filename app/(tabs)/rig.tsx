import { RigScreen } from '@/screens/rig/RigScreen';

export default function Rig() {
  return <RigScreen />;
}
