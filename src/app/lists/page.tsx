import type { Metadata } from 'next';
import { JointLists } from '@/features/joint/JointLists';
import { Tools } from '@/features/tools/Tools';

export const metadata: Metadata = { title: 'One purchase for several · Rincon' };

export default function ListsPage() {
  return <JointLists tools={<Tools />} />;
}
