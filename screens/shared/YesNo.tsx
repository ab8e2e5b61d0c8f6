import { Choice } from '@/ui';

const YES_NO = [
  { value: 'yes', label: 'yes' },
  { value: 'no', label: 'no' },
] as const;

interface Props {
  label: string;
  value: boolean;
  onChange: (yes: boolean) => void;
}

export const YesNo = ({ label, value, onChange }: Props) => (
  <Choice label={label} options={YES_NO} value={value ? 'yes' : 'no'} onChange={(v) => onChange(v === 'yes')} />
);
