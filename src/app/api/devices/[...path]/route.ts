import { answer } from '@/devices/server';

export const dynamic = 'force-dynamic';

interface Context {
  readonly params: Promise<{ readonly path: readonly string[] }>;
}

const handle = async (request: Request, { params }: Context): Promise<Response> =>
  answer(request, (await params).path);

export { handle as DELETE, handle as GET, handle as POST, handle as PUT };
