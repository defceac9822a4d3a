import { Sheet } from '@/features/mixing/Sheet';

export default function MixingPage() {
  return <Sheet />;
}
