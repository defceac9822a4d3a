import { Rack } from '@/features/rack/Rack';
import { Tools } from '@/features/tools/Tools';

export default function RackPage() {
  return <Rack tools={<Tools />} />;
}
