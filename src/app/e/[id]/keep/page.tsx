import { Keep } from '@/features/keep/Keep';

export default function KeepPage() {
  return <Keep />;
}
