import { useRouter } from 'expo-router';
import { Button, Empty, Screen } from '@/ui';

export default function NotFound() {
  const router = useRouter();
  return (
    <Screen title="Wanderung">
      <Empty
        title="There is nothing at this address"
        actions={<Button label="Open the plan" kind="primary" onPress={() => router.replace('/')} />}
      >
        The link may be old, or what it led to was removed. Nothing of yours is lost by it.
      </Empty>
    </Screen>
  );
}
