import { useRouter } from 'expo-router';
import type { ComponentProps, ReactNode } from 'react';
import type { Survey } from '@/core/lies';
import type { Run } from '@/core/water';
import { useSettings } from '@/store/hooks';
import { Button, IconButton, Screen, Text } from '@/ui';
import { RunSheet } from '@/ui/charts';
import { STRETCH } from './useZoom';

interface Props extends Pick<ComponentProps<typeof RunSheet>, 'height' | 'summary' | 'onPoint'> {
  title: string;
  subtitle?: string;
  /** The run as far as it is answered; null: not far enough to be drawn. */
  draft: Run | null;
  survey: Survey | undefined;
  /** Why it was not saved. */
  problem: string | null;
  save: Pick<ComponentProps<typeof Button>, 'label' | 'big' | 'onPress'>;
  children: ReactNode;
}

/** A run that is made of answers; its picture grows with them. */
export function DraftScreen({ title, subtitle, draft, survey, problem, save, children, ...picture }: Props) {
  const router = useRouter();
  const [{ units }] = useSettings();
  return (
    <Screen
      title={title}
      subtitle={subtitle}
      lead={<IconButton label="All runs" icon="back" onPress={() => router.navigate('/read')} />}
      footer={
        <>
          {problem ? <Text role="alert">{problem}</Text> : null}
          <Button kind="primary" {...save} />
        </>
      }
      picture={
        draft && survey ? (
          <RunSheet run={draft} survey={survey} units={units} stretch={STRETCH} {...picture} />
        ) : undefined
      }
    >
      {children}
    </Screen>
  );
}
