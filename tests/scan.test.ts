import QRCode from 'qrcode';
import sharp from 'sharp';
import { ulid } from 'ulid';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { codeIn } from '../src/workers/code-in';

const dots = async (png: Buffer) => {
  const { data, info } = await sharp(png).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
  return { data: new Uint8ClampedArray(data), width: info.width, height: info.height };
};

describe('codes in pictures', () => {
  // The reader package tells the console of every kind of code that it did not find.
  beforeEach(() => {
    vi.spyOn(console, 'warn').mockReturnValue();
    vi.spyOn(console, 'error').mockReturnValue();
  });
  afterEach(() => vi.restoreAllMocks());

  it('every label is read, whatever its ids', async () => {
    // Times and chance as ulids have them, by number: the same sixty labels in every run.
    let seed = 7;
    const chance = () => {
      seed = (seed * 48271) % 2147483647;
      return seed / 2147483647;
    };
    const id = (at: number) => ulid(at, chance);
    for (let k = 0; k < 60; k++) {
      const link = `http://bench.example/jobs/${id(1.79e12 + k * 7919)}/open-up?item=${id(1.79e12 + k * 104729)}`;
      expect(codeIn(await dots(await QRCode.toBuffer(link, { scale: 6 }))), link).toBe(link);
    }
  });

  it('nothing is read from what has no code', async () => {
    const plain = await sharp({ create: { width: 300, height: 200, channels: 3, background: '#ddd' } })
      .png()
      .toBuffer();
    expect(codeIn(await dots(plain))).toBeNull();
  });
});
