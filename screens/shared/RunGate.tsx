import type { ReactNode } from 'react';
import type { Run } from '@/core/water';
import type { Water } from '@/store/records';
import { Empty, Loading, Problem, Screen } from '@/ui';
import type { Surveyed, Today, useRunDay, useSurvey } from './useRunDay';
import { capital } from '@/words/capital';
import { saidOf } from '@/words/said';

/** A run that is here and has been rebuilt for today. */
export interface RunReady {
  readonly run: Run;
  readonly water: Water | null;
  readonly today: Today;
  readonly survey: Surveyed;
  /** What is shown is of before: the run is being rebuilt for what is known now. */
  readonly rebuilding?: boolean;
}

interface Props {
  /** Of the screen, until the run's own name is known. */
  title: string;
  day: ReturnType<typeof useRunDay>;
  /** Something else the screen has to wait for. */
  waits?: boolean;
  /** What is said, and offered, where there is no run. */
  missing: string;
  none: string;
  actions: ReactNode;
  lead?: ReactNode;
  trail?: ReactNode;
  /** What can be done without the run's water. */
  beside?: ReactNode;
  children: (ready: RunReady) => ReactNode;
}

/** That a run cannot be rebuilt, and why; where a part of the program was missing it may come the next time. */
export function NotRebuilt({ survey }: { survey: Pick<ReturnType<typeof useSurvey>, 'error' | 'refetch'> }) {
  return (
    <Problem title="Couldn’t rebuild the run" onRetry={() => void survey.refetch()}>
      {`${capital(survey.error ? saidOf(survey.error) : '')}.`}
    </Problem>
  );
}

/** One way to wait for a run, to miss it, and to say that it cannot be rebuilt. */
export function RunGate({ title, day, waits, missing, none, actions, lead, trail, beside, children }: Props) {
  const { run, water, today, survey } = day;
  if (waits || run === undefined)
    return (
      <Screen title={title} lead={lead}>
        <Loading what="Opening the run…" />
      </Screen>
    );
  if (!run)
    return (
      <Screen title={title} lead={lead}>
        <Empty title={missing} actions={actions}>
          {none}
        </Empty>
        {beside}
      </Screen>
    );
  if (survey.data && today)
    return children({ run, water: water ?? null, today, survey: survey.data, rebuilding: survey.isPlaceholderData });
  return (
    <Screen title={run.name} lead={lead} trail={trail}>
      {survey.isError ? (
        <>
          <NotRebuilt survey={survey} />
          {beside}
        </>
      ) : (
        <Loading what="Rebuilding depth and current…" />
      )}
    </Screen>
  );
}
