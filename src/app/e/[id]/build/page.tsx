import { Build } from '@/features/build/Build';

export default function BuildPage() {
  return <Build />;
}
