/** Longest side of a photo that is kept, points: a nail plate is still seen on a wall of 12 ft. */
const LONGEST_PX = 1600;
const QUALITY = 0.82;
/** Larger files are no photos of a wall, bytes. */
const LARGEST_FILE = 80_000_000;

interface SmallPhoto {
  readonly blob: Blob;
  readonly widthPx: number;
  readonly heightPx: number;
}

/**
 * Makes a photo small on the device. It is drawn again, so that nothing of what the camera wrote beside the picture goes along.
 * @throws Error with a sentence for people where it is no photo.
 */
export async function shrinkPhoto(file: Blob & { readonly name?: string }): Promise<SmallPhoto> {
  const name = file.name ?? 'The file';
  if (file.type.startsWith('video/'))
    throw new Error(`${name} is a video. Videos are not kept: take photos of what it shows.`);
  if (file.size > LARGEST_FILE)
    throw new Error(`${name} has ${(file.size / 1e6).toFixed(0)} MB; a photo has at most 80. Choose the photo itself.`);
  let picture: ImageBitmap;
  try {
    picture = await createImageBitmap(file, { imageOrientation: 'from-image' });
  } catch {
    throw new Error(`${name} is no photo that can be read. Choose a JPEG, PNG or WebP.`);
  }
  const scale = Math.min(1, LONGEST_PX / Math.max(picture.width, picture.height));
  const [widthPx, heightPx] = [picture.width, picture.height].map((px) => Math.max(1, Math.round(px * scale)));
  const canvas = new OffscreenCanvas(widthPx!, heightPx!);
  canvas.getContext('2d')!.drawImage(picture, 0, 0, widthPx!, heightPx!);
  picture.close();
  const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY });
  return { blob, widthPx: widthPx!, heightPx: heightPx! };
}
