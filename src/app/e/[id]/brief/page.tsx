import { Brief } from '@/features/brief/Brief';

export default function BriefPage() {
  return <Brief />;
}
