import { Living } from '@/features/living/Living';

export default function LivingPage() {
  return <Living />;
}
