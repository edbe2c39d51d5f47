/** A gray picture of 8 by 6 points, as a camera's program would write it without its notes. */
export const JPEG = Buffer.from(
  '/9j/4AAQSkZJRgABAQAAAQABAAD/2wBDACgcHiMeGSgjISMtKygwPGRBPDc3PHtYXUlkkYCZlo+AjIqgtObDoKrarYqMyP/L2u71////m8H////6/+b9//j/wAALCAAGAAgBASIA/8QAFAABAAAAAAAAAAAAAAAAAAAAAP/EABQQAQAAAAAAAAAAAAAAAAAAAAD/2gAIAQEAAD8AP//Z',
  'base64',
);

/** A segment as it stands in the file: marker, length, content. */
const segment = (marker: number, content: string): Buffer => {
  const body = Buffer.from(content, 'latin1');
  const head = Buffer.from([0xff, marker, (body.length + 2) >> 8, (body.length + 2) & 255]);
  return Buffer.concat([head, body]);
};

/** The same with what a camera writes into it: where it stood, and a comment. */
export const WITH_PLACE = Buffer.concat([
  JPEG.subarray(0, 2),
  segment(0xe1, 'Exif\0\0GPS 45.1 N 93.2 W'),
  segment(0xfe, 'taken by a person'),
  JPEG.subarray(2),
]);
