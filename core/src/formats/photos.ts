import { z } from '../reading/zod.ts';

/** Most photos of a build, and longest picture text, that its file may carry. */
export const MOST_PHOTOS = 120;
const LONGEST_PICTURE = 2_000_000;

/** A photo in a build file: which item it shows, and the picture as a data URL of a raster image only. */
const filePhotoSchema = z.object({
  item: z.string().min(1).max(200),
  on: z.iso.date(),
  dataUrl: z
    .string()
    .max(LONGEST_PICTURE, 'a picture of more than 2 million characters')
    .regex(/^data:image\/(jpeg|png|webp);base64,[A-Za-z0-9+/]+=*$/, 'not a JPEG, PNG or WebP picture in base64'),
});
export type FilePhoto = z.infer<typeof filePhotoSchema>;
export const filePhotosSchema = z.array(filePhotoSchema).max(MOST_PHOTOS);
