import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { NO_OWN_ROWS } from '@/catalogue';
import { readEnvelope, writeSingle } from './envelope';
import { fileInPage, pageOf, type HandOverPage } from './page';

const nasty = '</script><script>alert(1)</script><!-- "&';
const design = { ...demoDesigns(catalogue)[0]!, name: nasty.slice(0, 80) };
const page: HandOverPage = {
  lang: 'en-GB',
  kicker: 'Hand-over',
  title: nasty,
  lines: ['four frogs', nasty],
  blocks: [
    { is: 'heading', text: nasty },
    { is: 'text', text: 'one\ntwo' },
    { is: 'list', items: [nasty, 'b'] },
    { is: 'table', head: ['What', nasty], rows: [['Night', '18 to 20 °C', nasty]] },
  ],
  foot: nasty,
};
const html = pageOf(page, writeSingle(design, NO_OWN_ROWS, new Date('2026-11-30T10:00:00Z')));

describe('a page that is read anywhere', () => {
  it('holds the enclosure to the letter, whatever it is called', () => {
    const read = readEnvelope(fileInPage(html)!);
    expect(read.ok && read.value.designs).toEqual([design]);
  });
  it('runs no script and fetches nothing: what a keeper wrote stays words', () => {
    // The one script element is data, and what is in it opens no other.
    expect([...html.matchAll(/<script/g)]).toHaveLength(1);
    expect([...html.matchAll(/<\/script/g)]).toHaveLength(1);
    expect(html).not.toMatch(/<!--|src=|href=|url\(|@import/);
    expect(html).toContain("default-src 'none'");
    expect(html).toContain('<p>one<br>two</p>');
  });
  it.each([
    '',
    '{}',
    '<!doctype html><p>nothing',
    'x<!doctype html><script type="application/json" id="rincon">{}</script>',
  ])('%j is no such page', (text) => expect(fileInPage(text)).toBeNull());
});
