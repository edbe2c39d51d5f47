/** Width that a picture in small is made, device pixels: its tile at twice the density. */
const WIDE_PX = 192;
/** Pictures in small that are remembered, a few kilobytes each; and made at a time, so that what is in sight comes first. */
const [MOST, AT_ONCE] = [800, 2];

const made = new Map<string, Promise<string>>();
const waiting: (() => void)[] = [];
let working = 0;

async function inTurn<T>(work: () => Promise<T>): Promise<T> {
  if (working >= AT_ONCE) await new Promise<void>((go) => void waiting.push(go));
  working++;
  try {
    return await work();
  } finally {
    working--;
    // The one asked for last is the one in sight.
    waiting.pop()?.();
  }
}

async function make(url: string): Promise<string> {
  // As an image: what waits on this device has an address that a page may show, and may not fetch.
  const image = new Image();
  image.src = url;
  // Decoded and made small beside the page: a list of full pictures is what makes it stutter.
  await image.decode();
  const bitmap = await createImageBitmap(image, { resizeWidth: WIDE_PX, resizeQuality: 'medium' });
  image.src = '';
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [bitmap.width, bitmap.height];
  canvas.getContext('2d')!.drawImage(bitmap, 0, 0);
  bitmap.close();
  const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', 0.8));
  if (!blob) throw new Error('no picture');
  return URL.createObjectURL(blob);
}

/** The picture at an address in small, as an address for an image; made once. Rejects where it cannot be had: asked again, it is tried again. */
export function thumbnailOf(url: string): Promise<string> {
  const known = made.get(url);
  if (known) return known;
  if (made.size >= MOST) {
    const [oldest, picture] = made.entries().next().value!;
    made.delete(oldest);
    void picture.then(URL.revokeObjectURL, () => undefined);
  }
  const small = inTurn(() => make(url));
  made.set(url, small);
  small.catch(() => made.delete(url));
  return small;
}
