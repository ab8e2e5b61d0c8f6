import { Stepper } from '@/ui';
import { addDays, dayText, startOfDay } from '../shared/time';

interface Props {
  /** YYYY-MM-DD */
  day: string;
  today: string;
  /** null is today. */
  onDay: (day: string | null) => void;
  /** What has been can be looked at, too. */
  past?: boolean;
}

/** The day that is planned, one step at a time. */
export function DayStepper({ day, today, onDay, past = false }: Props) {
  const move = (n: number) => {
    const next = addDays(day, n);
    onDay(next === today ? null : next);
  };
  return (
    <Stepper
      label="Day"
      text={`${day === today ? 'Today, ' : ''}${dayText(startOfDay(day))}`}
      lessLabel="The day before"
      moreLabel="The day after"
      canLess={past || day > today}
      onLess={() => move(-1)}
      onMore={() => move(1)}
    />
  );
}
