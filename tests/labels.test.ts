import jsQR from 'jsqr';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import QRCode from 'qrcode';
import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { demoJobs } from '../src/demo/jobs';
import { labelSheet, labelsOf } from '../src/server/labels';

const job = demoJobs(new Date('2026-11-25T15:00:00Z'), ['a', 'b', 'c', 'd', 'e']).find(
  (j) => j.state.tag === 'SP-109',
);

async function textOf(pdf: Uint8Array): Promise<string[]> {
  const doc = await getDocument({ data: new Uint8Array(pdf), useSystemFonts: false, verbosity: 0 }).promise;
  const pages: string[] = [];
  for (let i = 1; i <= doc.numPages; i++) {
    const { items } = await (await doc.getPage(i)).getTextContent();
    pages.push(items.map((t) => ('str' in t ? t.str : '')).join(' '));
  }
  return pages;
}

describe('labels', () => {
  if (!job) throw new Error('no such demo job');
  const labels = labelsOf(job.state, 'http://127.0.0.1:4321');

  it('one for everything that is off, read back from the sheet by a PDF package', async () => {
    // Outside check: pdf.js.
    expect(labels.length).toBeGreaterThan(4);
    const [page] = await textOf(await labelSheet(labels, 'SP-109'));
    for (const l of labels) expect(page).toContain(l.head);
    expect(page).toContain('SP-109');
    expect(page).toContain('4 × M3×8');
  });

  it('its code opens the thing, as a reader package reads it', async () => {
    // Outside check: jsQR.
    const [first] = labels;
    const png = await QRCode.toBuffer(first?.link ?? '', { errorCorrectionLevel: 'M', margin: 1, scale: 6 });
    const { data, info } = await sharp(png).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
    const read = jsQR(new Uint8ClampedArray(data), info.width, info.height);
    expect(read?.data).toBe(first?.link);
    expect(read?.data).toMatch(/^http:\/\/127\.0\.0\.1:4321\/jobs\/[0-9A-Z]{26}\/open-up\?item=/);
  });

  it('more than a sheet goes on the next, and nothing to label is refused with a reason', async () => {
    const many = Array.from({ length: 30 }, (_, i) => ({
      head: `cup ${i}`,
      lines: ['4k7 Ω – 3 μm'],
      link: 'http://x/',
    }));
    const pages = await textOf(await labelSheet(many, 'many'));
    expect(pages).toHaveLength(2);
    expect(pages[1]).toContain('cup 29');
    expect(pages[0]?.replace(/\s/g, '')).toContain('4k7Ω–3μm');
    await expect(labelSheet([], 'none')).rejects.toThrow('nothing to label');
  });

  it('prints names in other alphabets, and says what no shipped font has', async () => {
    const one = (head: string) => [{ head, lines: ['Żółć, Ćma', 'Μάγδα', 'Юлія'], link: 'http://x/' }];
    const [page] = await textOf(await labelSheet(one('Łukasz'), 'names'));
    for (const name of ['Łukasz', 'Żółć, Ćma', 'Μάγδα', 'Юлія'])
      expect(page?.replace(/\s/g, '')).toContain(name.replace(/\s/g, ''));
    expect(page).not.toContain('Not in the shipped fonts');
    const [other] = await textOf(await labelSheet(one('箱 4'), 'names'));
    expect(other).toContain('[U+7BB1]');
    expect(other).toContain('Not in the shipped fonts');
    expect(other).not.toContain('?');
  });
});
