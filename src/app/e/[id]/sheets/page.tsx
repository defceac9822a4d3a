import { Sheets } from '@/features/sheets/Sheets';

export default function SheetsPage() {
  return <Sheets />;
}
