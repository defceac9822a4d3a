import { expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { Design } from '@/core/document';
import { GET } from './route';

it('the demo comes as it is proposed, and as it is read in anywhere else', async () => {
  const all: unknown = await GET().json();
  expect(all).toEqual(demoDesigns(catalogue));
  expect(Design.array().parse(all)).toEqual(all);
});
