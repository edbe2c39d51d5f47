/** A photo as it may be kept: without what the camera wrote into it, its place above all. */
interface Jpeg {
  readonly bytes: Buffer;
  readonly widthPx: number;
  readonly heightPx: number;
}

const START = 0xd8;
const SCAN = 0xda;
/** Segments that carry the picture and how it is to be shown; APP1 (EXIF, XMP), APP13 and comments do not. */
const keeps = (marker: number): boolean =>
  !(marker >= 0xe1 && marker <= 0xef && marker !== 0xee && marker !== 0xe2) && marker !== 0xfe;
const isFrame = (marker: number): boolean =>
  marker >= 0xc0 && marker <= 0xcf && marker !== 0xc4 && marker !== 0xc8 && marker !== 0xcc;

/**
 * Reads a JPEG segment by segment and leaves out what is no picture (ITU-T T.81, annex B). Undefined where it is none: a text
 * named .jpg, a file that breaks off, or another format.
 */
export function readJpeg(file: Buffer): Jpeg | undefined {
  if (file.length < 4 || file[0] !== 0xff || file[1] !== START) return undefined;
  const parts: Buffer[] = [file.subarray(0, 2)];
  let at = 2;
  let size: { widthPx: number; heightPx: number } | undefined;
  while (at + 4 <= file.length) {
    if (file[at] !== 0xff) return undefined;
    const marker = file[at + 1]!;
    // Any number of fill bytes may stand before a marker.
    if (marker === 0xff) {
      at++;
      continue;
    }
    const length = file.readUInt16BE(at + 2);
    const end = at + 2 + length;
    if (length < 2 || end > file.length) return undefined;
    if (isFrame(marker) && length >= 7)
      size = { heightPx: file.readUInt16BE(at + 5), widthPx: file.readUInt16BE(at + 7) };
    if (marker === SCAN) {
      if (!size || size.widthPx === 0 || size.heightPx === 0) return undefined;
      if (file.lastIndexOf(Buffer.from([0xff, 0xd9])) < end) return undefined;
      parts.push(file.subarray(at));
      return { bytes: Buffer.concat(parts), ...size };
    }
    if (keeps(marker)) parts.push(file.subarray(at, end));
    at = end;
  }
  return undefined;
}
