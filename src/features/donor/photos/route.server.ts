import 'server-only';
import { z } from 'zod';
import { STATIONS } from '../../../core/station';
import { appContext } from '../../../db/appContext';
import { knowsPhotoHash } from '../../../db/repositories/photos';
import { fileRoute } from '../../../server/uploads';
import { PHOTO_SIZES, photoName, photoStore, type PhotoSize } from '../../../services/attachments';
import { receivePrepared } from './boardPhotos';
import { receivePhoto } from './commands';
import { preparedForm } from './schema';

/** Takes one photo of a donor. */
export const answerPhoto = fileRoute({
  question: z.object({ station: z.enum(STATIONS), name: z.string().min(1).max(200).default('The file') }),
  expected: 'A photo is expected as plain bytes, with its station.',
  receive: ({ code }: { code: string }, of) =>
    receivePhoto(appContext(), photoStore(), { code: code.toUpperCase(), ...of }),
});

/** Takes a picture that was made ready from a photo. */
export const answerPrepared = fileRoute({
  question: preparedForm,
  expected: 'A picture is expected as plain bytes, with the photo it was made from.',
  receive: ({ code }: { code: string }, { from, mirror, corners, bytes }) =>
    receivePrepared(appContext(), photoStore(), {
      code: code.toUpperCase(),
      fromId: from,
      how: { mirror, ...(corners ? { corners } : {}) },
      bytes,
    }),
});

/** A known picture by its content's hash, or nothing when it is none of ours. */
export async function pictureOf(hash: string, size: string): Promise<Uint8Array | undefined> {
  if (!/^[0-9a-f]{64}$/.test(hash) || !Object.hasOwn(PHOTO_SIZES, size)) return undefined;
  if (!(await knowsPhotoHash(appContext().db.read, hash))) return undefined;
  return photoStore().get(photoName(hash, size as PhotoSize));
}
