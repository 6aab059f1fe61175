import Link from '../../ui/frame/Link';
import { routes } from '../../routes';
import type { DesignRow, DesignView } from './designView.server';

/** Columns that a phone folds into the part. */
const DESK_ONLY = 'max-[620px]:hidden';

/** Margins are ruled from one to ten times, by ratios. */
const RULE = { width: 74, most: 10 };

/** A tick on a rule from 1 to 10: how many times over a part stands what it must. */
function MarginRule({ margin }: { margin: number }) {
  const x = (RULE.width * Math.log10(Math.min(RULE.most, Math.max(1, margin)))) / Math.log10(RULE.most);
  return (
    <svg width={RULE.width + 4} height="14" aria-hidden="true" className="inline-block align-middle">
      <g stroke="var(--ink-2)" strokeWidth="1">
        <path d={`M2 7H${RULE.width + 2}M2 4V10M${RULE.width + 2} 4V10`} />
        {[2, 5].map((at) => (
          <path key={at} d={`M${2 + RULE.width * Math.log10(at)} 5.5V8.5`} />
        ))}
      </g>
      <path d={`M${2 + x} 1V13`} stroke="var(--ink)" strokeWidth="3" />
    </svg>
  );
}

/** The parts of a design in the order in which they are taken out of their bins. */
export function DesignParts({ rows }: { rows: readonly DesignRow[] }) {
  const sorted = rows.toSorted(
    (a, b) =>
      (a.lot === undefined ? 1 : 0) - (b.lot === undefined ? 1 : 0) ||
      a.bin.localeCompare(b.bin, 'en', { numeric: true }),
  );
  return (
    <table className="rows plain mt-3" aria-label="Parts, bin by bin">
      <thead>
        <tr>
          <th>bin</th>
          <th>lot</th>
          <th data-align="end">n</th>
          <th>goes in as</th>
          <th>part</th>
          <th data-align="end" className={DESK_ONLY}>
            must stand
          </th>
          <th data-align="end" className={DESK_ONLY}>
            stands
          </th>
          <th data-align="end" className={DESK_ONLY}>
            margin, 1 to 10
          </th>
        </tr>
      </thead>
      <tbody>
        {sorted.map(({ role, refs, count, lot, bin, title, must, stands, margin, isTight, notes }) => (
          <tr key={role} className={lot === undefined ? 'text-ochre' : undefined}>
            <td className="font-mono whitespace-nowrap">{lot === undefined ? '–' : bin}</td>
            <td>
              {lot === undefined ? (
                'to buy'
              ) : (
                <Link href={routes.lot(lot)} className="ref">
                  {lot}
                </Link>
              )}
            </td>
            <td data-align="end" className="q">
              {count}
            </td>
            <td className="font-mono whitespace-nowrap">{refs.join(' ')}</td>
            <td>
              {count > refs.length && `${count} × `}
              {title}
              {count > refs.length && ', side by side'}
              {must !== '' && (
                <span className="block text-[11.5px] text-ink-2 min-[621px]:hidden">
                  {isTight && '△ '}
                  {must} of {stands}
                </span>
              )}
              {notes.length > 0 && (
                <span className="block text-[11.5px] leading-snug text-ink-2">{notes.join('; ')}</span>
              )}
            </td>
            <td data-align="end" className={`q ${DESK_ONLY}`}>
              {must}
            </td>
            <td data-align="end" className={`q ${DESK_ONLY}`}>
              {stands}
            </td>
            <td data-align="end" className={`q whitespace-nowrap ${DESK_ONLY}`}>
              {margin !== undefined && (
                <>
                  <MarginRule margin={margin} />{' '}
                  <span className={isTight ? 'font-semibold text-stop' : undefined}>
                    {isTight && '△ '}
                    {margin.toFixed(margin < 10 ? 1 : 0)}×
                  </span>
                </>
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** What is lost, part by part, as lengths of one bar. */
export function LossBar({ losses, lost, frequency }: Pick<DesignView, 'losses' | 'lost' | 'frequency'>) {
  const sum = losses.reduce((total, { watts }) => total + watts, 0);
  // A share too small for its words is told under the bar only.
  const wide = losses.filter(({ watts }) => watts / sum > 0.09);
  return (
    <section aria-label="Losses">
      <div className="flex" aria-hidden="true">
        {wide.map(({ refs, watts, text }) => (
          <span
            key={refs}
            className="border-l border-ink text-[11px] leading-tight"
            style={{ width: `${(100 * watts) / sum}%` }}
          >
            <span className="block pl-1 font-mono">{refs}</span>
            <span className="block border-t border-ink pl-1 font-mono text-ink-2">{text}</span>
          </span>
        ))}
      </div>
      <p className="mt-1 text-[12.5px] text-ink-2">
        <b className="q text-ink">{lost}</b> lost at full load:{' '}
        {losses.map(({ refs, text }) => `${refs} ${text}`).join(', ')}. At {frequency}.
      </p>
    </section>
  );
}
