import {
  BinaryBitmap,
  DecodeHintType,
  HybridBinarizer,
  MultiFormatReader,
  NotFoundException,
  RGBLuminanceSource,
} from '@zxing/library';
import jsQR from 'jsqr';

/** A picture: four bytes a dot, row by row. */
export type Dots = { data: Uint8ClampedArray; width: number; height: number };

const reader = new MultiFormatReader();
reader.setHints(new Map([[DecodeHintType.TRY_HARDER, true]]));

/** Grey of each pixel: 0.299 R + 0.587 G + 0.114 B, in sixteenths of a bit (ITU-R BT.601). */
function greyOf({ data, width, height }: Dots) {
  const grey = new Uint8ClampedArray(width * height);
  for (let i = 0; i < grey.length; i++)
    grey[i] =
      ((data[4 * i] as number) * 306 +
        (data[4 * i + 1] as number) * 601 +
        (data[4 * i + 2] as number) * 117) >>
      10;
  return grey;
}

/**
 * What the code in a picture says; null where none is found. The reader of every kind of code misses
 * one square code in thirty, whole and straight as it is, so another one looks at it too.
 */
export function codeIn(picture: Dots): string | null {
  const source = new RGBLuminanceSource(greyOf(picture), picture.width, picture.height);
  for (const light of [source, source.invert()]) {
    try {
      return reader.decode(new BinaryBitmap(new HybridBinarizer(light))).getText();
    } catch (error) {
      // None found, or found and not whole: the next picture may show it better.
      if (!(error instanceof NotFoundException) && !(error instanceof Error)) throw error;
    }
  }
  return jsQR(picture.data, picture.width, picture.height)?.data || null;
}
