'use client';

import { useRouter } from 'next/navigation';
import { GradeMark, Tag, VerdictMark, type VerdictWord } from '../value/marks';
import type { Cell } from './rows';

/** A cell that leads to what its row is about, as the first of a row does. */
export function LinkCell({ cell, href, name }: { cell: Cell | undefined; href: string; name?: string | undefined }) {
  const router = useRouter();
  return (
    <a
      href={href}
      aria-label={name}
      tabIndex={-1}
      onClick={(event) => {
        event.preventDefault();
        router.push(href);
      }}
    >
      <CellView cell={cell} />
    </a>
  );
}

/** What a cell shows. */
export function CellView({ cell }: { cell: Cell | undefined }) {
  if (cell?.shown !== undefined) return cell.shown;
  if (!cell || cell.text === '') return null;
  switch (cell.as) {
    case 'tag':
      return <Tag code={cell.text} />;
    case 'grade':
      return <GradeMark grade={cell.text} />;
    case 'verdict':
      return <VerdictMark verdict={cell.text as VerdictWord} />;
    case 'value':
    case 'mono':
      return <span className={cell.as === 'value' ? 'q' : 'font-mono'}>{cell.text}</span>;
    case 'quiet':
      return <span className="text-[12px] text-ink-2">{cell.text}</span>;
    case 'strong':
      return <span className="font-semibold">{cell.text}</span>;
    default:
      return cell.text;
  }
}
