'use client';

import { ProgressLine } from '../../../ui/feedback/ProgressLine';
import Link from '../../../ui/frame/Link';
import { useRouter } from 'next/navigation';
import { useId, useRef, useState, type DragEvent } from 'react';
import type { StationName } from '../../../core/station';
import type { FormOutcome } from '../../../ui/form/outcome';
import { useHydrated } from '../../../ui/form/useHydrated';
import type { PhotoThumb } from './view.server';
import { sendPhoto } from './sendPhoto';

interface Sending {
  readonly name: string;
  readonly done: number;
  readonly total: number;
  readonly share: number;
}

/** The photos of a donor, and the way to add more: dropped, chosen, or taken with the camera of a phone. */
export function PhotoStrip({
  code,
  station,
  photos,
}: {
  code: string;
  station: StationName;
  photos: readonly PhotoThumb[];
}) {
  const router = useRouter();
  const hydrated = useHydrated();
  const id = useId();
  const stop = useRef<AbortController | undefined>(undefined);
  const [sending, setSending] = useState<Sending>();
  const [refused, setRefused] = useState<readonly string[]>([]);
  const [over, setOver] = useState(false);

  async function send(files: readonly File[]) {
    if (files.length === 0 || sending) return;
    stop.current = new AbortController();
    const problems: string[] = [];
    for (const [index, file] of files.entries()) {
      if (stop.current.signal.aborted) {
        problems.push(`${file.name} was not sent: you stopped.`);
        continue;
      }
      const report = (share: number) => setSending({ name: file.name, done: index, total: files.length, share });
      report(0);
      const outcome = await sendPhoto({ code, station, file, signal: stop.current.signal, onShare: report }).catch(
        (error: unknown): FormOutcome => ({
          ok: false,
          problems: [{ message: error instanceof Error ? error.message : `${file.name} was not sent.` }],
        }),
      );
      if (!outcome.ok) problems.push(...outcome.problems.map(({ message }) => message));
    }
    setSending(undefined);
    setRefused(problems);
    router.refresh();
  }

  function drop(event: DragEvent) {
    event.preventDefault();
    setOver(false);
    void send([...event.dataTransfer.files]);
  }

  return (
    <section
      aria-label="Photos"
      className={`mt-5 max-w-[820px] border-t pt-3 ${over ? 'border-ochre bg-ochre-wash' : 'border-rule'}`}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={drop}
    >
      <div className="flex flex-wrap items-center gap-x-3 gap-y-2">
        <h2 className="text-[15px] font-semibold">Photos</h2>
        <p className="text-[12.5px] text-ink-2">Drop them here. Place and camera are taken out before they are kept.</p>
        <span className="ml-auto flex gap-2">
          <label htmlFor={`${id}-files`} className="btn cursor-pointer" aria-disabled={!hydrated}>
            Choose
            <input
              id={`${id}-files`}
              type="file"
              accept="image/*"
              multiple
              disabled={!hydrated}
              className="sr-only"
              onChange={(event) => {
                void send([...(event.target.files ?? [])]);
                event.target.value = '';
              }}
            />
          </label>
          <label htmlFor={`${id}-camera`} className="btn cursor-pointer">
            Camera
            <input
              id={`${id}-camera`}
              type="file"
              accept="image/*"
              capture="environment"
              disabled={!hydrated}
              className="sr-only"
              onChange={(event) => {
                void send([...(event.target.files ?? [])]);
                event.target.value = '';
              }}
            />
          </label>
        </span>
      </div>
      {sending && (
        <div className="mt-2">
          <ProgressLine
            label={`${sending.name}, ${Math.round(sending.share * 100)} %`}
            done={sending.done}
            total={sending.total}
            onCancel={() => stop.current?.abort()}
          />
        </div>
      )}
      {refused.length > 0 && (
        <ul role="alert" className="mt-2 text-[12.5px] text-stop">
          {refused.map((message) => (
            <li key={message}>{message}</li>
          ))}
        </ul>
      )}
      {photos.length > 0 && (
        <ul className="mt-2.5 grid grid-cols-[repeat(auto-fill,minmax(132px,1fr))] gap-2.5" aria-label="Photos so far">
          {photos.map(({ id: photoId, href, small, message, pins }) => (
            <li key={photoId}>
              <Link href={href} className="block">
                {/* A route of this server; the optimiser would only shrink what is small already. */}
                {/* oxlint-disable-next-line nextjs/no-img-element */}
                <img src={small} alt={message} className="aspect-[4/3] w-full border border-rule-2 object-cover" />
                <span className="block truncate text-[12px] text-ink-2">
                  {message}
                  {pins > 0 ? `, ${pins} ${pins === 1 ? 'pin' : 'pins'}` : ''}
                </span>
              </Link>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
