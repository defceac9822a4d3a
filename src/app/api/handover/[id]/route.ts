import { fetchOnce, leave } from '@/server/handover';

export const dynamic = 'force-dynamic';

interface Context {
  readonly params: Promise<{ readonly id: string }>;
}

export const PUT = async (request: Request, { params }: Context): Promise<Response> =>
  leave(request, (await params).id, Date.now());

export const POST = async (_: Request, { params }: Context): Promise<Response> =>
  fetchOnce((await params).id, Date.now());
