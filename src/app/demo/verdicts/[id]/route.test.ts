import { expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { judgeDesign } from '@/core/verdict';
import { verdictKey } from '@/workers/verdictKey';
import { dynamicParams, generateStaticParams, GET } from './route';

it('the demo’s verdicts come as they are calculated, whole, under the key they are looked for by', async () => {
  expect(dynamicParams).toBe(false);
  expect(generateStaticParams().map((it) => it.id)).toEqual(demoDesigns(catalogue).map((it) => it.id));
  const design = demoDesigns(catalogue)[3]!;
  const answer = await GET(new Request('http://x'), { params: Promise.resolve({ id: design.id }) });
  const [entry, ...more] = (await answer.json()) as { key: string; value: { verdict: unknown } }[];
  expect(more).toEqual([]);
  expect(entry!.key).toBe(verdictKey({ ...design, name: 'another name' }, catalogue));
  expect(entry!.value.verdict).toEqual(judgeDesign({ design, catalogue }));
});

it('a design it does not know has none', async () => {
  const answer = await GET(new Request('http://x'), { params: Promise.resolve({ id: 'none' }) });
  expect(await answer.json()).toEqual([]);
});
