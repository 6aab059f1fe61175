import Link from 'next/link';
import { SmallStageLine } from '../../ui/frame/StageLine';
import { Tag } from '../../ui/value/marks';
import type { DonorLine } from '../../services/dossier';

/** Donors as rows: tag, what it is, where it stands, what comes next. */
export function DonorRows({ lines }: { lines: readonly DonorLine[] }) {
  const grid =
    'grid grid-cols-[104px_minmax(0,1fr)_204px_150px] gap-3.5 max-[1080px]:grid-cols-[104px_minmax(0,1fr)_130px]';
  return (
    <div>
      <div aria-hidden="true" className={`${grid} pb-1.5 text-[12px] text-ink-2 max-[620px]:hidden`}>
        <span>label</span>
        <span>unit</span>
        <span className="max-[1080px]:hidden">station</span>
        <span>next</span>
      </div>
      <ul>
        {lines.map(({ code, title, message, stages, station, next, href, live }) => (
          <li key={code} className="relative border-t border-rule hover:bg-ochre-wash">
            <Link
              href={href}
              prefetch={false}
              className={`${grid} items-center py-2.5 max-[620px]:grid-cols-[104px_minmax(0,1fr)] max-[620px]:gap-y-0.5`}
            >
              <Tag code={code} />
              <span className="min-w-0">
                <b className="block truncate font-semibold">{title}</b>
                <span className="block truncate text-[12px] text-ink-2">{message}</span>
              </span>
              <span className="max-[1080px]:hidden">
                <SmallStageLine stages={stages} current={station} />
              </span>
              <span className={`text-[13px] max-[620px]:col-start-2 ${live.length > 0 ? 'text-stop' : ''}`}>
                {next}
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </div>
  );
}
