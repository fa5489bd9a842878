/** A picture as it is kept and sent. */
export interface Picture {
  readonly bytes: ArrayBuffer;
  readonly mediaType: string;
}

const MOST_BYTES = 40_000_000;
const LONGEST_SIDE = 1600;
const QUALITY = 0.85;

/** Why a file is not kept; words for the person who chose it. */
export class PhotoRefused extends Error {
  override readonly name = 'PhotoRefused';
}

/** How large a picture is kept. */
export function keptSize(width: number, height: number): { width: number; height: number } {
  const share = Math.min(1, LONGEST_SIDE / Math.max(width, height));
  return { width: Math.max(1, Math.round(width * share)), height: Math.max(1, Math.round(height * share)) };
}

/** @throws PhotoRefused for a file that is too large to be opened on a phone, or calls itself something else */
export function requirePhotoFile({ size, type }: Pick<File, 'size' | 'type'>): void {
  if (type !== '' && !type.startsWith('image/'))
    throw new PhotoRefused('That is not a picture; take a photograph or choose one.');
  if (size > MOST_BYTES)
    throw new PhotoRefused(
      `That file has ${Math.round(size / 1e6)} MB; up to ${MOST_BYTES / 1e6} MB can be opened. Take it again at a smaller size.`,
    );
}

/** Makes a photograph small enough to keep and send. @throws PhotoRefused with the reason */
export async function smallPhoto(file: File): Promise<Picture> {
  requirePhotoFile(file);
  const bitmap = await createImageBitmap(file).catch(() => null);
  if (!bitmap) throw new PhotoRefused('That file cannot be opened as a picture; nothing was kept of it.');
  const { width, height } = keptSize(bitmap.width, bitmap.height);
  const canvas = new OffscreenCanvas(width, height);
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY });
  return { bytes: await blob.arrayBuffer(), mediaType: blob.type };
}
