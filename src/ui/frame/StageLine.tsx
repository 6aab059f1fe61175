'use client';

import Link from './Link';
import { useEffect, useRef } from 'react';

export interface Stage {
  readonly id: string;
  readonly label: string;
  readonly status: string;
  readonly state: string;
  readonly href: string;
}

const STATE_WORD: Readonly<Record<string, string>> = {
  untouched: 'not started',
  'in-hand': 'in progress',
  done: 'done',
  blocked: 'not safe',
};

/** A bus with a joint for each stage of the work; a hatched square where something is not safe. */
export function StageLine({ label, stages, current }: { label: string; stages: readonly Stage[]; current: string }) {
  const line = useRef<HTMLElement>(null);
  // On a narrow screen the line is wider than the page: the present stage stands in its middle.
  useEffect(() => {
    const joint = line.current?.querySelector<HTMLElement>('[aria-current]');
    if (line.current && joint)
      line.current.scrollLeft = joint.offsetLeft - line.current.clientWidth / 2 + joint.offsetWidth / 2;
  }, [current]);
  return (
    <nav ref={line} aria-label={label} className="line">
      {stages.map(({ id, label: name, status, state, href }) => (
        <Link
          key={id}
          href={href}
          className="joint"
          data-state={state}
          aria-current={id === current ? 'step' : undefined}
          aria-label={`${name}: ${STATE_WORD[state] ?? state}, ${status}`}
        >
          <i />
          {name}
          <em>{status}</em>
        </Link>
      ))}
    </nav>
  );
}

/** The same line in small, for a row of a list. */
export function SmallStageLine({
  stages,
  current,
}: {
  stages: readonly Pick<Stage, 'id' | 'label' | 'state'>[];
  current: string;
}) {
  const words = stages.map(({ label, state }) => `${label} ${STATE_WORD[state] ?? state}`).join(', ');
  return (
    <div className="line w-[200px]" data-small="" role="img" aria-label={words}>
      {stages.map(({ id, state }) => (
        <span key={id} className="joint" data-state={state} aria-current={id === current ? 'step' : undefined}>
          <i />
        </span>
      ))}
    </div>
  );
}
