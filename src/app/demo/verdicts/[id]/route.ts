import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { judgeDesign, yearFindings } from '@/core/verdict';
import type { Judged } from '@/workers/verdict.worker';
import { verdictKey } from '@/workers/verdictKey';

/**
 * Verdicts of the demo's enclosures, calculated once when the application is built, by the same function that judges
 * every other box, and under the same hash: one that is out of date is never found.
 */
export const dynamic = 'force-static';
export const dynamicParams = false;

export const generateStaticParams = (): { id: string }[] => demoDesigns(catalogue).map(({ id }) => ({ id }));

export async function GET(
  _: Request,
  { params }: { readonly params: Promise<{ readonly id: string }> },
): Promise<Response> {
  const { id } = await params;
  const design = demoDesigns(catalogue).find((it) => it.id === id);
  const verdict = design && judgeDesign({ design, catalogue });
  if (!design || !verdict) return Response.json([]);
  const value: Judged = { ok: true, verdict, findings: yearFindings(verdict, design, catalogue) };
  return Response.json([{ key: verdictKey(design, catalogue), value }]);
}
