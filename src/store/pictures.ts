import type { PictureRow, RinconDatabase } from './database';

/** Longest side a picture is kept at, px, and how hard it is pressed. */
const LONGEST = 1600;
const QUALITY = 0.82;
/** A file over this is no snapshot. */
const MAX_FILE = 60 * 1024 * 1024;

/** Said of a file that cannot be kept as a picture; the message says what to do. */
export class NotAPicture extends Error {}

/** A picture as it is kept, before it is told what it is of. */
export type SmallPicture = Pick<PictureRow, 'blob' | 'width' | 'height'>;

/**
 * A picture as it is kept: upright, at most 1600 px along its longer side, as JPEG without what the camera wrote about
 * place and owner. Throws `NotAPicture` with what to do about it.
 */
export async function shrinkPicture(file: Blob): Promise<SmallPicture> {
  if (file.size > MAX_FILE)
    throw new NotAPicture('The file is larger than 60 MB. Save the picture smaller, and take it in again.');
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' });
  } catch {
    throw new NotAPicture(
      'The file is no picture this browser can read. JPEG, PNG and WebP can be taken in.',
    );
  }
  const scale = Math.min(1, LONGEST / Math.max(bitmap.width, bitmap.height));
  const width = Math.max(1, Math.round(bitmap.width * scale));
  const height = Math.max(1, Math.round(bitmap.height * scale));
  const canvas = document.createElement('canvas');
  canvas.width = width;
  canvas.height = height;
  const context = canvas.getContext('2d');
  if (!context) throw new NotAPicture('This browser cannot draw pictures. Another one may.');
  // JPEG knows no transparency.
  context.fillStyle = '#fff';
  context.fillRect(0, 0, width, height);
  context.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', QUALITY));
  if (!blob)
    throw new NotAPicture('The picture could not be made smaller. Save it smaller, and take it in again.');
  return { blob, width, height };
}

/** Whether a picture is not in the trash. */
export const isThere = (row: PictureRow): boolean => row.gone === undefined;

export const addPicture = async (db: RinconDatabase, row: PictureRow): Promise<void> => {
  await db.pictures.put(row);
};

/** Pictures of one line of the log, written with it: inside the transaction that writes the line. */
export const addPicturesOf = async (
  db: RinconDatabase,
  line: { readonly id: string; readonly design: string },
  pictures: readonly SmallPicture[],
  now: number,
): Promise<void> => {
  const about = { design: line.design, about: `entry:${line.id}`, at: now };
  await db.pictures.bulkAdd(pictures.map((it) => ({ id: crypto.randomUUID(), ...about, ...it })));
};

/** Pictures of one thing, the oldest first. */
export const listPictures = async (
  db: RinconDatabase,
  design: string,
  about: string,
): Promise<readonly PictureRow[]> =>
  (await db.pictures.where('[design+about]').equals([design, about]).sortBy('at')).filter(isThere);

/** Takes a picture away, into the trash; gives it back, so that it can be put there again. */
export async function removePicture(
  db: RinconDatabase,
  id: string,
  now: number,
): Promise<PictureRow | undefined> {
  return db.transaction('rw', db.pictures, async () => {
    const row = await db.pictures.get(id);
    if (row) await db.pictures.put({ ...row, gone: now });
    return row;
  });
}
