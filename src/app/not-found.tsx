import Link from 'next/link';
import { Message } from '@/ui/Message';

export default function NotFound() {
  return (
    <Message title="No such page" actions={<Link href="/">Back to the rack</Link>}>
      The address leads nowhere.
    </Message>
  );
}
