import { SheetScreen } from '@/screens/learn/later';

export default function SpreadsheetIn() {
  return <SheetScreen />;
}
