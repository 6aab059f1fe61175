import Link from '../../ui/frame/Link';
import { Fragment } from 'react';
import type { CompareRow, Subject } from '../../core/compare';
import { formatQuantity } from '../../core/quantity';
import { routes } from '../../routes';
import { EmptyState } from '../../ui/feedback/EmptyState';
import { Halves } from '../../ui/frame/Halves';
import { Judgement } from '../../ui/judgement/Judgement';
import { Caution, Claim, Next, Section } from '../../ui/judgement/parts';
import type { CompareView } from './compare.server';

/** Donors side by side: boxes to one scale, parts role by role, and what the difference is in watts. */
export function CompareSheet({ view }: { view: CompareView }) {
  const { subjects, comparison, unknown } = view;
  return (
    <Halves judgement={<CompareJudgement view={view} />}>
      {unknown.length > 0 && (
        <p role="alert" className="mb-3 text-[13.5px] font-semibold text-stop">
          No donor has the code {unknown.join(', ')}; a code such as K7F-2QM is expected.
        </p>
      )}
      <Choice view={view} />
      {subjects.length === 0 && (
        <EmptyState title="Which ones?">Tick two to five donors: they are laid side by side, role by role.</EmptyState>
      )}
      {subjects.length > 0 && <Boxes subjects={subjects} />}
      {comparison && (
        <>
          <SideBySide
            label="Role by role"
            rows={comparison.roles}
            subjects={subjects}
            sums={comparison.lost}
            foot="W of every 100 W delivered at full load from 230 V"
          />
          <SideBySide label="As a whole" rows={comparison.figures} subjects={subjects} />
          <SideBySide label="Protection" rows={comparison.protections} subjects={subjects} />
          <div className="mt-5 grid grid-cols-2 gap-6 max-[760px]:grid-cols-1">
            <section aria-label="Only in some of them">
              <h2 className="label mb-1">Only in some of them</h2>
              {comparison.only.length === 0 && (
                <p className="text-[13px] text-ink-2">Nothing, as far as both are logged.</p>
              )}
              <ul className="dotted text-[13px]">
                {comparison.only.map(({ codes, text }) => (
                  <li key={text} className="py-1">
                    <span className="font-mono text-ink-2">{codes.join(', ')}</span> {text}
                  </li>
                ))}
              </ul>
            </section>
            <SideBySide label="Told apart without opening" rows={comparison.apart} subjects={subjects} isPlain />
          </div>
        </>
      )}
    </Halves>
  );
}

/** The donors that may be chosen, each to tick. */
function Choice({ view: { subjects, others } }: { view: CompareView }) {
  return (
    <details className="mb-4 text-[13.5px]" open={subjects.length < 2}>
      <summary className="cursor-pointer underline decoration-dotted">choose the donors</summary>
      <form method="get" aria-label="Donors to compare" className="mt-2 grid gap-1.5">
        <ul className="grid grid-cols-2 gap-x-6 max-[620px]:grid-cols-1">
          {[
            ...subjects.map(({ code, title }) => ({ code, title, isKin: false, isIn: true })),
            ...others.map((one) => ({ ...one, isIn: false })),
          ].map(({ code, title, isKin, isIn }) => (
            <li key={code}>
              <label className="flex items-baseline gap-2 py-0.5">
                <input type="checkbox" name="of" value={code} defaultChecked={isIn} className="size-4 accent-ochre" />
                <span className="font-mono">{code}</span> {title}
                {isKin && <b className="text-[12px] text-ochre">its family</b>}
              </label>
            </li>
          ))}
        </ul>
        <div>
          <button type="submit" className="btn" data-tone="next">
            Lay them side by side
          </button>
        </div>
      </form>
    </details>
  );
}

/** Millimetres of the longest side, and the pixels it takes. */
const WIDE = 190;

/** The boxes of the units to one scale, from above and from the end. */
function Boxes({ subjects }: { subjects: readonly Subject[] }) {
  const longest = Math.max(...subjects.map(({ size }) => (size ? Math.max(size.length, size.width) : 0)));
  const scale = longest > 0 ? WIDE / longest : 0;
  return (
    <div className="flex flex-wrap items-start gap-x-8 gap-y-4">
      {subjects.map(({ code, title, year, size, watts }) => {
        const volume = size && size.length * size.width * size.height * 1e6;
        return (
          <figure key={code} className="max-w-[340px] min-w-[240px] flex-1">
            <figcaption className="mb-1.5 text-[13.5px]">
              <Link href={routes.donor(code)} className="ref">
                {code}
              </Link>{' '}
              <b>{title}</b>
              {year !== undefined && `, ${String(year)}`}
              {watts !== undefined && (
                <span className="text-ink-2"> · {formatQuantity(watts, 'watt', { digits: 3 })}</span>
              )}
            </figcaption>
            {size && volume ? (
              <svg
                width={(size.length + size.height) * scale + 30}
                height={size.width * scale + 24}
                role="img"
                aria-label={`${title}: ${[size.length, size.width, size.height].map((side) => Math.round(side * 1000)).join(' × ')} mm, ${Math.round(volume)} cm³`}
              >
                <g fill="var(--lift)" stroke="var(--ink)" strokeWidth="1.5">
                  <rect x="1" y="1" width={size.length * scale} height={size.width * scale} rx="6" />
                  <rect
                    x={size.length * scale + 18}
                    y={1 + (size.width - Math.min(size.width, size.height)) * scale}
                    width={size.height * scale}
                    height={Math.min(size.width, size.height) * scale}
                    rx="5"
                  />
                </g>
                <text
                  x={(size.length * scale) / 2}
                  y={(size.width * scale) / 2}
                  textAnchor="middle"
                  dominantBaseline="middle"
                  className="fill-ink font-mono text-[13px] font-semibold"
                >
                  {Math.round(volume)} cm³
                </text>
                <text
                  x={(size.length * scale) / 2}
                  y={size.width * scale + 17}
                  textAnchor="middle"
                  className="fill-ink-2 font-mono text-[11px]"
                >
                  {Math.round(size.length * 1000)} × {Math.round(size.width * 1000)} × {Math.round(size.height * 1000)}{' '}
                  mm
                </text>
              </svg>
            ) : (
              <p className="text-[12.5px] text-ink-2">not measured yet</p>
            )}
          </figure>
        );
      })}
    </div>
  );
}

const MARK: Readonly<Record<CompareRow['change'], string>> = {
  changed: 'bg-ink',
  slightly: 'bg-rule-2',
  same: '',
  unknown: '',
};

/** What a phone folds into the first column. */
const DESK_ONLY = 'max-[620px]:hidden';

function SideBySide({
  label,
  rows,
  subjects,
  sums,
  foot,
  isPlain = false,
}: {
  label: string;
  rows: readonly CompareRow[];
  subjects: readonly Subject[];
  sums?: readonly (number | undefined)[];
  foot?: string;
  isPlain?: boolean;
}) {
  if (rows.length === 0) return null;
  const hasWatts = rows.some(({ cells }) => cells.some(({ watts }) => watts !== undefined));
  return (
    <section aria-label={label} className={isPlain ? '' : 'mt-5'}>
      <h2 className="label mb-1">{label}</h2>
      <table className="rows plain" aria-label={label}>
        <thead>
          <tr>
            <th>{hasWatts ? 'role' : 'figure'}</th>
            {subjects.map(({ code }) => (
              <th key={code} className="font-mono" colSpan={hasWatts ? 2 : 1}>
                {code}
                {hasWatts && <span className="float-right pr-2 font-sans">W</span>}
              </th>
            ))}
            {!isPlain && <th className={DESK_ONLY}>what the difference is</th>}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ label: name, cells, change, says }) => (
            <tr key={name}>
              <td className={`min-[621px]:whitespace-nowrap ${change === 'changed' ? 'font-semibold' : ''}`}>
                <span aria-hidden="true" className={`mr-2 inline-block h-3.5 w-1 align-middle ${MARK[change]}`} />
                {name}
                {!isPlain && says !== '' && (
                  <span className="block text-[11.5px] leading-snug font-normal whitespace-normal text-ink-2 min-[621px]:hidden">
                    {says}
                  </span>
                )}
              </td>
              {cells.map(({ text, watts, why }, column) => (
                <Fragment key={subjects[column]?.code ?? column}>
                  <td title={why}>{text || <span className="text-ink-3">–</span>}</td>
                  {hasWatts && (
                    <td data-align="end" className="q pr-3 font-semibold" title={why}>
                      {watts?.toFixed(1)}
                    </td>
                  )}
                </Fragment>
              ))}
              {!isPlain && <td className={`text-[12.5px] text-ink-2 ${DESK_ONLY}`}>{says}</td>}
            </tr>
          ))}
          {hasWatts && sums && (
            <tr>
              <td className="font-semibold">in all, where known of each</td>
              {sums.map((sum, column) => (
                <td
                  key={subjects[column]?.code ?? column}
                  colSpan={2}
                  data-align="end"
                  className="q pr-3 font-semibold"
                >
                  {sum?.toFixed(1)}
                </td>
              ))}
              <td className={`text-[12.5px] text-ink-2 ${DESK_ONLY}`}>{foot}</td>
            </tr>
          )}
        </tbody>
      </table>
    </section>
  );
}

/** What a place saves, as a length to the right, or to the left where it costs. */
function SavedRule({ watts, most }: { watts: number; most: number }) {
  const length = (60 * Math.abs(watts)) / most;
  const end = watts > 0 ? 66 + length : 66 - length;
  return (
    <svg width="132" height="14" aria-hidden="true">
      <path d="M2 8H130" stroke="var(--rule-2)" strokeWidth="1" />
      <path d={`M66 8H${end}`} stroke="var(--ink)" strokeWidth="3" />
      <path d={`M${end} 3V13`} stroke="var(--ink)" strokeWidth="2" />
      <path d="M66 4V12" stroke="var(--ink-2)" strokeWidth="1" />
    </svg>
  );
}

/** Watts of every 100 from which one is clearly the better supply to keep. */
const CLEARLY = 2;

function CompareJudgement({ view: { subjects, comparison } }: { view: CompareView }) {
  const [a, b] = [subjects[0], subjects.at(-1)];
  if (!comparison || !a || !b)
    return (
      <Judgement>
        <Claim label="Compare">{a ? 'With which one?' : 'Nothing is chosen yet'}</Claim>
        <Next>Tick a donor of its family, or one of its power.</Next>
      </Judgement>
    );
  const years = a.year !== undefined && b.year !== undefined ? Math.abs(b.year - a.year) : undefined;
  const most = Math.max(...comparison.saved.map(({ watts }) => Math.abs(watts)), 0.1);
  const total = comparison.saved.reduce((sum, { watts }) => sum + watts, 0);
  const rooms = [a, b]
    .map(({ size, watts }) =>
      size && watts ? ((size.length * size.width * size.height * 1e6) / watts).toFixed(1) : undefined,
    )
    .filter((one) => one !== undefined)
    .join(' to ')
    .replace(/^(\S+ to \S+)$/u, '$1 cm³ for each watt');
  const keep = b.yielded.pieces === 0 ? b : undefined;
  return (
    <Judgement>
      <Claim label={years ? `What ${String(years)} years changed, watt for watt` : `${a.code} against ${b.code}`}>
        {comparison.headline}
      </Claim>
      {rooms.endsWith('watt') && <p className="-mt-1 text-[13px]">{rooms}</p>}
      {comparison.saved.length > 0 && (
        <Section label={`Where ${b.code} saves heat, of every 100 W`}>
          <ul>
            {comparison.saved.map(({ label, watts }) => (
              <li
                key={label}
                className="grid grid-cols-[1fr_132px_52px] items-center border-b border-dotted border-rule-2 py-0.5"
              >
                {label} <SavedRule watts={watts} most={most} />
                <b className="q text-right">
                  {watts > 0 ? '−' : '+'}
                  {Math.abs(watts).toFixed(1)}
                </b>
              </li>
            ))}
            <li className="flex justify-between pt-1 font-semibold">
              in all
              <span className="q">
                {total > 0 ? '−' : '+'}
                {Math.abs(total).toFixed(1)} W
              </span>
            </li>
          </ul>
        </Section>
      )}
      <Next
        actions={
          <>
            <Link href={routes.station(a.code, 'harvest')} className="btn" data-tone="next">
              Harvest {a.code}
            </Link>
            <Link href={routes.compare(subjects.map(({ code }) => code).toReversed())} className="btn">
              Swap sides
            </Link>
          </>
        }
      >
        {total >= CLEARLY && keep
          ? `Strip ${a.code} for its parts; keep ${b.code} whole as a supply.`
          : `Look where ${a.code} and ${b.code} differ before one stands in for the other.`}
      </Next>
      <Section label="More of the shop">
        <Link href={routes.trends()} className="underline decoration-dotted">
          density, efficiency and hours over the years
        </Link>
      </Section>
      <Caution>
        Watts are worked out from the parts as logged, for a flyback at the edge of emptying its core, at 230 V and full
        load: they tell one from another, not what a meter reads. One unit of each is two units, not an age.
      </Caution>
    </Judgement>
  );
}
