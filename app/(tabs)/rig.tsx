import { RigScreen } from '@/screens/riverside/later';

export default function Rig() {
  return <RigScreen />;
}
