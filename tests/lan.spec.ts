import { expect, test } from './test';
import { serve } from '../scripts/serve.mjs';
import { sound } from './helpers';

test('on the whole network each device types a code before anything is answered', async ({
  page,
  request,
}) => {
  const { url, stop } = await serve(4191, { code: 'ABCD-2345' });
  try {
    // Neither pages nor programs are told anything before.
    expect((await request.get(`${url}/`, { maxRedirects: 0 })).status()).toBe(307);
    expect((await request.get(`${url}/today`, { maxRedirects: 0 })).headers().location).toMatch(/\/code$/);
    const refused = await request.get(`${url}/api/devices/any/hub`);
    expect([refused.status(), await refused.json()]).toEqual([
      401,
      { message: 'type the code first, at /code' },
    ]);
    expect((await request.post(`${url}/api/handover/ABCDEF`)).status()).toBe(401);

    await page.goto(`${url}/today`);
    await expect(page.getByRole('heading', { name: 'This Rincon asks for a code' })).toBeVisible();
    await sound(page, 'code');
    await page.getByLabel('Code').fill('WRONG-22');
    await page.getByRole('button', { name: 'Go on' }).click();
    await expect(page.getByRole('heading', { name: 'This Rincon asks for a code' })).toBeVisible();
    await page.getByLabel('Code').fill('abcd 2345');
    await page.getByRole('button', { name: 'Go on' }).click();
    await expect(page.getByRole('heading', { name: 'The rack is empty' })).toBeVisible();
    await page.goto(`${url}/today`);
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Nothing to care for yet');
    const [pass] = (await page.context().cookies()).filter((it) => it.name === 'rincon-code');
    expect(pass).toMatchObject({ httpOnly: true, sameSite: 'Strict' });
    expect(pass?.value).not.toContain('ABCD');

    // It cannot be guessed: ten tries a minute, of all together; one comes back in six seconds.
    const tries: number[] = [];
    for (let n = 0; n < 18; n += 1) {
      // A connection of its own each: one on which a try was refused may be hung up.
      const headers = { connection: 'close' };
      const answer = await request.post(`${url}/code`, {
        form: { code: 'AAAA-AAAA' },
        headers,
        maxRedirects: 0,
      });
      tries.push(answer.status());
    }
    expect(tries.filter((it) => it === 429).length).toBeGreaterThanOrEqual(4);
    // The one that is known goes on.
    await page.reload();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Nothing to care for yet');
  } finally {
    stop();
  }
});
