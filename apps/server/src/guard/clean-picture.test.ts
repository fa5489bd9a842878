import { describe, expect, it } from '@jest/globals';
import sharp from 'sharp';
import { cleanPicture } from './clean-picture.js';

const square = (width: number, height: number, background = '#c02020') =>
  sharp({ create: { width, height, channels: 3, background } });

const refusalOf = async (body: unknown): Promise<string> => {
  try {
    await cleanPicture(body);
    return '';
  } catch (error) {
    return (error as { response: { error: { message: string } } }).response.error.message;
  }
};

describe('a picture that is sent', () => {
  it('is kept without the place where it was taken, and upright', async () => {
    const sent = await square(40, 20)
      .withExif({ IFD0: { Make: 'camera' }, IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '46/1 30/1 0/1' } })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer();
    expect((await sharp(sent).metadata()).exif).toBeDefined();
    const kept = await cleanPicture(sent);
    const found = await sharp(kept.bytes).metadata();
    expect(found).toMatchObject({ format: 'jpeg', width: 20, height: 40 });
    expect(found.exif).toBeUndefined();
    expect(found.orientation).toBeUndefined();
    expect(kept.mediaType).toBe('image/jpeg');
  });

  it('is no larger than it is looked at, and never made larger', async () => {
    const large = await cleanPicture(await square(4000, 1000).png().toBuffer());
    expect(await sharp(large.bytes).metadata()).toMatchObject({ width: 1600, height: 400 });
    const small = await cleanPicture(await square(30, 20).webp().toBuffer());
    expect(await sharp(small.bytes).metadata()).toMatchObject({ width: 30, height: 20 });
  });

  it('is white where it was clear', async () => {
    const clear = await sharp({
      create: { width: 8, height: 8, channels: 4, background: { r: 0, g: 0, b: 0, alpha: 0 } },
    })
      .png()
      .toBuffer();
    const { dominant } = await sharp((await cleanPicture(clear)).bytes).stats();
    expect(Math.min(dominant.r, dominant.g, dominant.b)).toBeGreaterThan(240);
  });

  it.each([
    ['nothing', Buffer.alloc(0), 'Send the picture itself'],
    ['no bytes', { a: 1 }, 'Send the picture itself'],
    ['text', Buffer.from('a shopping list'), 'not a picture'],
    [
      'a drawing in words',
      Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>'),
      'not a picture',
    ],
  ])('is refused where it is %s', async (_why, body, text) => {
    expect(await refusalOf(body)).toContain(text);
  });

  it('is refused where it is broken off, and where its points would fill the memory', async () => {
    const whole = await square(300, 300).png().toBuffer();
    expect(await refusalOf(whole.subarray(0, whole.length - 60))).toContain('broken off');
    const head = Buffer.from(await square(4, 4).png().toBuffer());
    // Width and height of the head say 20,000 points a side.
    head.writeUInt32BE(20_000, 16);
    head.writeUInt32BE(20_000, 20);
    expect(await refusalOf(head)).not.toBe('');
  });
});
