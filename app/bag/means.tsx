import { MeansScreen } from '@/screens/bag/MeansScreen';

export default function WhatYouCanDo() {
  return <MeansScreen />;
}
