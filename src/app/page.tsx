import { Rack } from '@/features/rack/Rack';
import { Keeping } from '@/features/tools/Keeping';
import { Tools } from '@/features/tools/Tools';

export default function RackPage() {
  return <Rack tools={<Tools />} keeping={<Keeping />} />;
}
