import { MOST_PHOTOS } from '@sprocket/core';
import { db, type BuildPhoto } from './db.ts';
import { today } from '../ui/today.ts';
import { Told } from '../ui/attempt.ts';

/** Longest side a photo is kept at, px, and the quality of its JPEG. */
const LONGEST = 1280;
const QUALITY = 0.78;
/** Largest photo that is read at all, bytes. */
const LARGEST = 40_000_000;

/** Scales a picture down and keeps it with a build's item. Says in words why a file cannot be used. */
export async function keepPhoto(buildId: string, item: string, file: File): Promise<void> {
  if (file.size > LARGEST) throw new Told(`${file.name}: larger than 40 MB.`);
  if ((await db.photos.where({ buildId }).count()) >= MOST_PHOTOS)
    throw new Told(`${file.name}: this build has ${MOST_PHOTOS} photos, as many as its file can carry.`);
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(file);
  } catch {
    throw new Told(`${file.name}: not a picture this browser can read.`);
  }
  const scale = Math.min(1, LONGEST / Math.max(bitmap.width, bitmap.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(bitmap.width * scale));
  canvas.height = Math.max(1, Math.round(bitmap.height * scale));
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  await db.photos.add({
    id: crypto.randomUUID(),
    buildId,
    item,
    on: today(),
    dataUrl: canvas.toDataURL('image/jpeg', QUALITY),
  });
}

export async function dropPhoto(photo: BuildPhoto): Promise<void> {
  await db.photos.delete(photo.id);
}

/** Puts photos from a file or another build beside a build, under ids of their own. */
export async function putPhotos(buildId: string, photos: readonly Omit<BuildPhoto, 'id' | 'buildId'>[]): Promise<void> {
  await db.photos.bulkAdd(
    photos.map(({ item, on, dataUrl }) => ({ id: crypto.randomUUID(), buildId, item, on, dataUrl })),
  );
}

/** A build’s photos in order of their days, for a paper. */
export async function photosInOrder(buildId: string): Promise<BuildPhoto[]> {
  return (await db.photos.where({ buildId }).toArray()).sort((a, b) => a.on.localeCompare(b.on));
}
