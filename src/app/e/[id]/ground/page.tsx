import { Ground } from '@/features/ground/Ground';

export default function GroundPage() {
  return <Ground />;
}
