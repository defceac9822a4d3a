import { Scape } from '@/features/scape/Scape';

export default function ScapePage() {
  return <Scape />;
}
