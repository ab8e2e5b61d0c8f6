import { Slot } from 'expo-router';

export default function LearnLayout() {
  return <Slot />;
}
