import Link from '../../../ui/frame/Link';
import type { ReactNode } from 'react';
import { GRAMMAR } from '../../../core/benchline';
import { EVERY_LINE_EXAMPLES } from '../../../core/everyLine';
import type { StationName } from '../../../core/station';
import { routes } from '../../../routes';
import { PageFrame } from '../../../ui/frame/Page';
import { Shortcuts } from '../../../ui/frame/Shortcuts';
import { StageLine } from '../../../ui/frame/StageLine';
import { Tag } from '../../../ui/value/marks';
import type { DonorFrame } from './view.server';
import { BenchLine } from './BenchLine';
import { PowerNotice, UnplugFirst } from './PowerNotice';
import { HoldNext } from '../../../ui/judgement/Next';

const LINES = [...GRAMMAR, ...EVERY_LINE_EXAMPLES];

type Branch = 'diagnose' | 'replace' | 'power-up';
/** Work beside the line, with where it begins. */
const BRANCHES = [
  { id: 'diagnose', label: 'Diagnose', href: routes.diagnose },
  { id: 'power-up', label: 'First power-up', href: routes.powerUp },
] as const;

/** Stations where hands and leads go to the unit: nothing is next there while power is on. */
const HANDS_ON: ReadonlySet<StationName> = new Set(['open', 'trace', 'identify', 'test', 'harvest']);

/** A station of a donor: its tag and line above, the bench line below. */
export function DonorPage({
  frame,
  station,
  branch,
  sign,
  children,
}: {
  frame: DonorFrame;
  station: StationName;
  /** Work beside the line: the unit is not taken apart but mended. */
  branch?: Branch;
  /** What the page says itself of power, in place of the notice that it is on. */
  sign?: ReactNode;
  children: ReactNode;
}) {
  const keys = frame.stages.map(({ label, href }, index) => ({
    key: String(index + 1),
    label: `go to ${label}`,
    href,
  }));
  return (
    <PageFrame foot={<BenchLine code={frame.code} station={station} context={frame.context} />}>
      <div>
        {frame.isPowered && !sign && <PowerNotice code={frame.code} />}
        <DonorHead frame={frame} station={station} branch={branch} hasSign={sign !== undefined} />
        {sign}
      </div>
      {frame.isPowered && HANDS_ON.has(station) ? (
        <HoldNext first={<UnplugFirst code={frame.code} />}>{children}</HoldNext>
      ) : (
        children
      )}
      <Shortcuts keys={[...keys, { key: '/', label: 'type into the bench line', focus: 'bench-line' }]} lines={LINES} />
    </PageFrame>
  );
}

function DonorHead({
  frame,
  station,
  branch,
  hasSign,
}: {
  frame: DonorFrame;
  station: StationName;
  branch: Branch | undefined;
  hasSign: boolean;
}) {
  const { code, title, subtitle, live, stages } = frame;
  return (
    <header className="border-b border-rule px-[22px] pt-3.5 pb-2.5 max-[899px]:px-4 max-[899px]:pt-2.5">
      <div className="mb-3 flex items-center gap-3.5 max-[899px]:mb-2 max-[899px]:flex-wrap max-[899px]:gap-2">
        <Tag code={code} />
        <div className="min-w-0">
          <h1 className="truncate text-[18px] leading-tight font-semibold tracking-[-0.01em] max-[899px]:text-[15px]">
            {title}
          </h1>
          <p className="truncate text-[12px] text-ink-2 max-[899px]:hidden">{subtitle}</p>
        </div>
        {live && !hasSign && (
          <p className="ml-auto flex flex-none items-center gap-2.5 rounded-[4px] border-[1.5px] border-stop bg-stop-wash px-3 py-1.5 text-[13.5px] font-semibold text-stop max-[899px]:w-full max-[899px]:py-1 max-[899px]:text-[12.5px]">
            <i aria-hidden="true" className="hatch size-[17px] flex-none" />
            {live.message}
            {live.volts && <span className="q">{live.volts}</span>}
          </p>
        )}
      </div>
      <nav aria-label="Repair" className={`branch no-print ${hasSign ? 'max-[899px]:hidden!' : ''}`}>
        <svg aria-hidden="true" viewBox="0 0 24 22" className="branch-out">
          <path d="M0 22L20 1H24" />
        </svg>
        <svg aria-hidden="true" viewBox="0 0 24 22" className="branch-in">
          <path d="M0 1H4L24 22" />
        </svg>
        <span>repair</span>
        {BRANCHES.map(({ id, label, href }) => (
          <Link key={id} href={href(code)} aria-current={branch === id ? 'page' : undefined}>
            <i aria-hidden="true" />
            {label}
          </Link>
        ))}
      </nav>
      <div className={hasSign ? 'max-[899px]:hidden' : ''}>
        <StageLine label="Stations" stages={stages} current={branch ?? station} />
      </div>
    </header>
  );
}
