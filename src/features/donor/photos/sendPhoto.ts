import type { Preparation } from '../../../core/photo';
import type { StationName } from '../../../core/station';
import { routes } from '../../../routes';
import type { FormOutcome } from '../../../ui/form/outcome';

/** Sends one photo and reports how much of it has gone; the signal stops it. */
export function sendPhoto(of: {
  code: string;
  station: StationName;
  file: File;
  signal: AbortSignal;
  onShare: (share: number) => void;
}): Promise<FormOutcome> {
  const { code, station, file, signal, onShare } = of;
  return new Promise((resolve, reject) => {
    // The request that can tell how far its body has gone.
    const request = new XMLHttpRequest();
    const fail = (why: string) => reject(new Error(`${file.name} was not sent: ${why}.`));
    request.upload.onprogress = ({ loaded, total }) => onShare(total > 0 ? loaded / total : 0);
    request.onerror = () => fail('the server did not answer');
    request.onabort = () => fail('you stopped');
    request.onload = () => {
      try {
        resolve(JSON.parse(request.responseText) as FormOutcome);
      } catch {
        fail(request.responseText.slice(0, 120).trim() || `the server answered ${request.status}`);
      }
    };
    signal.addEventListener('abort', () => request.abort(), { once: true });
    const name = file.name.slice(0, 200) || 'The photo';
    request.open('POST', routes.photoUpload(code, { station, name }));
    request.setRequestHeader('content-type', 'application/octet-stream');
    request.send(file);
  });
}

/** Sends a picture that was made ready from a photo, with how it was made. */
export async function sendPrepared(of: {
  code: string;
  fromId: string;
  preparation: Preparation;
  blob: Blob;
}): Promise<FormOutcome> {
  const { corners, mirror } = of.preparation;
  const address = routes.preparedPhoto(of.code, {
    from: of.fromId,
    mirror: mirror ? 'yes' : 'no',
    corners: corners && JSON.stringify(corners),
  });
  const answer = await fetch(address, {
    method: 'POST',
    headers: { 'content-type': 'application/octet-stream' },
    body: of.blob,
  });
  return (await answer.json()) as FormOutcome;
}
