import { Slot } from 'expo-router';

export default function ReadLayout() {
  return <Slot />;
}
