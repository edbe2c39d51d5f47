import type { SignedIn } from '@winculum/contract';
import type { Db } from '../db/database';
import { findHead } from '../db/houses';
import { countPhotos, findPhoto, insertPhoto, photoBytes } from '../db/photos';
import { forbidden, notFound, Refusal } from './errors';
import { readJpeg } from './jpeg';

const MOST_PHOTOS = 2_000;
/** Bytes of photos that one firm may keep. */
const MOST_PHOTO_BYTES = 4_000_000_000;
const LARGEST_SIDE_PX = 6_000;

async function mustSee(db: Db, member: SignedIn, houseId: string): Promise<void> {
  if (!(await findHead(db, member.firm.id, houseId))) throw notFound('house');
}

/** Keeps the picture of a photo, without what the camera wrote into it. */
export async function addPhoto(
  db: Db,
  member: SignedIn,
  houseId: string,
  id: string,
  body: unknown,
): Promise<{ widthPx: number; heightPx: number; bytes: number }> {
  await mustSee(db, member, houseId);
  if (member.role === 'viewer') throw forbidden('Your role here is viewer: you can look, not add photos.');
  const jpeg = Buffer.isBuffer(body) ? readJpeg(body) : undefined;
  if (!jpeg)
    throw new Refusal(422, 'no-photo', 'This is no photo. Choose a JPEG; videos and other files are not kept.');
  if (Math.max(jpeg.widthPx, jpeg.heightPx) > LARGEST_SIDE_PX)
    throw new Refusal(
      422,
      'too-large',
      `The photo is wider or taller than ${LARGEST_SIDE_PX} points. Make it smaller.`,
    );
  if ((await countPhotos(db, houseId)) >= MOST_PHOTOS)
    throw new Refusal(409, 'too-many', `A house has at most ${MOST_PHOTOS} photos. Remove some first.`);
  if ((await photoBytes(db, member.firm.id)) + jpeg.bytes.length > MOST_PHOTO_BYTES)
    throw new Refusal(
      507,
      'photos-full',
      `The firm's photos take ${MOST_PHOTO_BYTES / 1e9} GB, which is the most. Remove some, or save and delete old houses.`,
    );
  if (!(await insertPhoto(db, { houseId, id, authorId: member.user.id, bytes: jpeg.bytes })))
    throw new Refusal(409, 'id-taken', 'Another photo has this id. Take the photo again.');
  return { widthPx: jpeg.widthPx, heightPx: jpeg.heightPx, bytes: jpeg.bytes.length };
}

export async function photo(db: Db, member: SignedIn, houseId: string, id: string): Promise<Buffer> {
  await mustSee(db, member, houseId);
  const bytes = await findPhoto(db, houseId, id);
  if (!bytes) throw new Refusal(404, 'not-found', 'The device that took this photo has not sent it yet.');
  return bytes;
}
