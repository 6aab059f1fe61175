import { expose, transfer } from 'comlink';
import { preparePicture, type Picture, type Preparation } from '../core/photo';

const JPEG_QUALITY = 0.92;

/** A picture made ready, as pixels to be shown and as a file to be kept. */
export interface PreparedPhoto {
  readonly picture: Picture;
  readonly file: Blob;
}

const functions = {
  /** Makes a picture ready; `onShare` hears how far it is, 0 to 1. */
  async prepare(picture: Picture, preparation: Preparation, onShare: (share: number) => void): Promise<PreparedPhoto> {
    const prepared = preparePicture(picture, preparation, onShare);
    return transfer({ picture: prepared, file: await fileOf(prepared) }, [prepared.data.buffer]);
  },
};
export type PhotoWorker = typeof functions;

/** Written here and not on the page, where a browser waits for an idle moment. */
function fileOf({ data, width, height }: Picture): Promise<Blob> {
  const sheet = new OffscreenCanvas(width, height);
  sheet.getContext('2d')?.putImageData(new ImageData(new Uint8ClampedArray(data), width, height), 0, 0);
  return sheet.convertToBlob({ type: 'image/jpeg', quality: JPEG_QUALITY });
}

expose(functions);
