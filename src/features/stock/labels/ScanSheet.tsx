'use client';

import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useRef, useState, type FormEvent } from 'react';
import { readCode } from '../../../core/ident';
import { useHydrated } from '../../../ui/form/useHydrated';
import { Evidence } from '../../../ui/frame/Halves';
import { routes } from '../../../routes';

/** Pictures looked through each second. */
const LOOKS_MS = 200;
/** A square this wide is read well enough, and fast. */
const WIDEST = 640;

/** The page a label leads to: by the address in its square, or by its code alone. */
export function placeOf(text: string): string | undefined {
  const tail = /\/(?:stock|donors|builds)\/([A-Za-z0-9-]+)\/?$/.exec(text.trim())?.[1];
  const code = readCode(tail ?? text);
  return code && routes.coded(code);
}

/** The camera looks for a label; what it finds, or what is typed, opens the page it stands for. */
export function ScanSheet() {
  const router = useRouter();
  const hydrated = useHydrated();
  const video = useRef<HTMLVideoElement>(null);
  const [stream, setStream] = useState<MediaStream>();
  const [message, setMessage] = useState('');
  const [refusal, setRefusal] = useState('');
  const found = useCallback(
    (text: string) => {
      const place = placeOf(text);
      if (place) router.push(place);
      else setMessage(`“${text.slice(0, 60)}” is no label of Zorvek; still looking.`);
      return place !== undefined;
    },
    [router],
  );

  useEffect(() => () => stream?.getTracks().forEach((track) => track.stop()), [stream]);
  useEffect(() => {
    const element = video.current;
    if (!stream || !element) return;
    element.srcObject = stream;
    void element.play().catch(() => undefined);
    return watch(element, found);
  }, [stream, found]);

  async function open() {
    setMessage('');
    try {
      setStream(await navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' } }));
    } catch {
      setMessage(
        'The camera cannot be used here: it needs permission, and a page from this machine or over https. Type the code.',
      );
    }
  }

  function enter(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const text = String(new FormData(event.currentTarget).get('code') ?? '');
    const place = placeOf(text);
    if (place) router.push(place);
    else setRefusal(`“${text}” is no code. It has six letters and digits, like K7F-2QM.`);
  }

  return (
    <Evidence>
      <form onSubmit={enter} className="flex max-w-[420px] items-end gap-2.5" aria-label="Code of a label">
        <div className="field flex-1" data-mono="" data-problem={refusal ? '' : undefined}>
          <label htmlFor="scan-code">code on the label</label>
          <input
            id="scan-code"
            name="code"
            placeholder="K7F-2QM"
            autoComplete="off"
            autoCapitalize="characters"
            aria-describedby="scan-says"
            aria-invalid={refusal ? true : undefined}
          />
        </div>
        <button type="submit" className="btn" data-tone="next" disabled={!hydrated}>
          Go there
        </button>
      </form>
      <p id="scan-says" role={refusal ? 'alert' : undefined} className="min-h-5 text-[12.5px] text-stop">
        {refusal}
      </p>
      {stream ? (
        <video
          ref={video}
          muted
          playsInline
          aria-label="What the camera sees"
          className="mt-2 w-full max-w-[640px] border border-rule-2"
        />
      ) : (
        <button type="button" className="btn mt-2" disabled={!hydrated} onClick={() => void open()}>
          Use the camera
        </button>
      )}
      {message && (
        <p role="status" className="mt-2 text-[13px]">
          {message}
        </p>
      )}
    </Evidence>
  );
}

/**
 * Looks through the pictures of a video until a square is found that leads somewhere; returns how to stop.
 * @param found what to do with the text of a square; whether it led somewhere
 */
function watch(element: HTMLVideoElement, found: (text: string) => boolean): () => void {
  let stopped = false;
  const canvas = document.createElement('canvas');
  const context = canvas.getContext('2d', { willReadFrequently: true });
  const reader = import('jsqr');
  async function look() {
    if (stopped || !context) return;
    if (element.videoWidth > 0) {
      const scale = Math.min(1, WIDEST / element.videoWidth);
      canvas.width = Math.round(element.videoWidth * scale);
      canvas.height = Math.round(element.videoHeight * scale);
      context.drawImage(element, 0, 0, canvas.width, canvas.height);
      const { data, width, height } = context.getImageData(0, 0, canvas.width, canvas.height);
      const text = (await reader).default(data, width, height)?.data;
      if (text && !stopped && found(text)) {
        stopped = true;
        return;
      }
    }
    setTimeout(() => void look(), LOOKS_MS);
  }
  void look();
  return () => {
    stopped = true;
  };
}
