import sharp from 'sharp';
import { getPhoto, putPhoto } from '../db/photos.ts';
import { sha256 } from './chain.ts';
import { invalid, notFound } from './problem.ts';
import { store } from './store.ts';

/** Longest side as it is kept, pixels: enough to see a dent. */
const longestPx = 2000;
/** A picture that unpacks to more is no photo of a bench. */
const mostPixels = 80_000_000;
const formats = ['jpeg', 'png', 'webp'];

export interface KeptPhoto {
  hash: string;
  widthPx: number;
  heightPx: number;
}

const noPhoto = (reason: string) => invalid([{ field: 'photo', reason }]);

/**
 * Keeps a photo: what it is is read from its bytes, it is turned upright, made no larger than can be looked at, and
 * written anew without what the camera noted of place, time and itself.
 */
export async function keepPhoto(bytes: Uint8Array): Promise<KeptPhoto> {
  if (bytes.byteLength === 0) throw noPhoto('Nothing was sent.');
  const picture = sharp(bytes, { limitInputPixels: mostPixels, failOn: 'error' });
  const { format } = await picture.metadata().catch(() => ({ format: undefined }));
  if (!format || !formats.includes(format))
    throw noPhoto('This is no photo: JPEG, PNG or WebP, as their bytes say.');
  const { data, info } = await picture
    .rotate()
    .resize(longestPx, longestPx, { fit: 'inside', withoutEnlargement: true })
    .flatten({ background: '#ffffff' })
    .jpeg({ quality: 82 })
    .toBuffer({ resolveWithObject: true })
    .catch(() => {
      throw noPhoto('This photo is damaged, or far too large.');
    });
  const kept = { hash: sha256(data), widthPx: info.width, heightPx: info.height };
  const { db, writes } = await store();
  await writes.run(() => putPhoto(db, { ...kept, data: data.toString('base64') }));
  return kept;
}

/** A photo as it is kept; its address holds its hash, so that it never changes. */
export async function photo(hash: string): Promise<Response> {
  const row = await getPhoto((await store()).db, hash);
  if (!row) throw notFound('photo', hash);
  return new Response(Buffer.from(row.data, 'base64'), {
    headers: {
      'content-type': 'image/jpeg',
      'cache-control': 'private, max-age=31536000, immutable',
    },
  });
}
