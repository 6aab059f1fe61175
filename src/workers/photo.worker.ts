import { preparePicture, type Picture } from '../core/photo';
import type { PhotoAnswer, PhotoQuestion } from './photo.contract';

const JPEG_QUALITY = 0.92;
const answer = (message: PhotoAnswer, transfer: Transferable[] = []) => postMessage(message, { transfer });

addEventListener('message', ({ data: { picture, preparation } }: MessageEvent<PhotoQuestion>) => {
  const prepared = preparePicture(picture, preparation, (share) => answer({ share }));
  fileOf(prepared).then((file) => answer({ picture: prepared, file }, [prepared.data.buffer]), reportError);
});

/** Written here and not on the page, where a browser waits for an idle moment. */
function fileOf({ data, width, height }: Picture): Promise<Blob> {
  const sheet = new OffscreenCanvas(width, height);
  sheet.getContext('2d')?.putImageData(new ImageData(new Uint8ClampedArray(data), width, height), 0, 0);
  return sheet.convertToBlob({ type: 'image/jpeg', quality: JPEG_QUALITY });
}
