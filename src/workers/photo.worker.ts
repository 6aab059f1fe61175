import { preparePicture } from '../core/photo';
import type { PhotoAnswer, PhotoQuestion } from './photo.contract';

const answer = (message: PhotoAnswer, transfer: Transferable[] = []) => postMessage(message, { transfer });

addEventListener('message', ({ data: { picture, preparation } }: MessageEvent<PhotoQuestion>) => {
  const prepared = preparePicture(picture, preparation, (share) => answer({ share }));
  answer({ picture: prepared }, [prepared.data.buffer]);
});
