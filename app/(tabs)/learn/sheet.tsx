import { SheetScreen } from '@/screens/learn/SheetScreen';

export default function SpreadsheetIn() {
  return <SheetScreen />;
}
