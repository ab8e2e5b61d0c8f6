import { SettingsScreen } from '@/screens/shared/SettingsScreen';

export default function Settings() {
  return <SettingsScreen />;
}
