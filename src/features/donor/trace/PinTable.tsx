'use client';

import Link from '../../../ui/frame/Link';
import { routes } from '../../../routes';
import type { BoardAnswer } from '../../../workers/board.contract';
import type { TraceView } from './view.server';

/** Every part with its pins, to be probed by touching them. */
export function PinTable({
  code,
  view,
  answer,
  held,
  isLit,
  onTouch,
}: {
  code: string;
  view: TraceView;
  answer: BoardAnswer | undefined;
  held: string | undefined;
  isLit: (pin: string) => boolean;
  onTouch: (pin: string) => void;
}) {
  const joined = new Set(
    [...(view.board.joined ?? []), ...(view.board.through ?? []).map(({ a, b }) => [a, b] as const)].flat(),
  );
  return (
    <ul className="columns-2 gap-x-8 max-[1099px]:columns-1" aria-label="Parts and their pins">
      {view.board.parts.map(({ ref, kind, subtype, pins }) => (
        <li
          key={ref}
          className="grid break-inside-avoid grid-cols-[52px_1fr_auto] items-baseline gap-x-2 border-b border-dotted border-rule py-1 text-[13px]"
        >
          <span className="ref">{ref}</span>
          <span className="min-w-0 text-ink-2">
            {subtype ?? kind}
            <span className="text-[11.5px]">
              {' '}
              {sideWord(answer?.analysis.sides[`${ref}.${Object.keys(pins)[0] ?? ''}`])}
            </span>
            {held?.startsWith(`${ref}.`) && (
              <Link className="ml-2 text-[12px] underline decoration-dotted" href={routes.replace(code, { part: ref })}>
                what takes its place
              </Link>
            )}
          </span>
          <span className="flex flex-wrap justify-end gap-1">
            {Object.keys(pins).map((pin) => {
              const name = `${ref}.${pin}`;
              return (
                <button
                  key={pin}
                  type="button"
                  className="pin"
                  data-lit={isLit(name)}
                  data-traced={joined.has(name)}
                  aria-pressed={held === name}
                  aria-label={
                    held === undefined || held === name ? `Hold a probe on ${name}` : `${name} beeps with ${held}`
                  }
                  onClick={() => onTouch(name)}
                >
                  {pin}
                </button>
              );
            })}
          </span>
        </li>
      ))}
    </ul>
  );
}

const sideWord = (side: string | undefined) =>
  side === undefined || side === 'unknown' ? '' : side === 'mains' ? 'mains side' : side;
