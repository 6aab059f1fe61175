import Link from '../../../ui/frame/Link';
import { LoneSymbol } from '../../../ui/schematic/ink';
import { routes } from '../../../routes';
import type { WayPart } from './view.server';

const WORDS: Readonly<Record<WayPart['state'], string>> = {
  good: 'good',
  shorted: 'shorted',
  open: 'open',
  off: 'off its value',
  damaged: 'damaged',
  stained: 'stained',
  unknown: 'not checked',
  next: 'next',
  replaced: 'replaced',
};
const BAD: ReadonlySet<WayPart['state']> = new Set(['shorted', 'open', 'off', 'damaged']);

const inkOf = (state: WayPart['state']) =>
  state === 'next'
    ? 'var(--ochre)'
    : BAD.has(state)
      ? 'var(--stop)'
      : state === 'unknown'
        ? 'var(--ink-2)'
        : 'var(--ink)';

/** Parts in the order in which power meets them, with what was found at each. */
export function PowerWay({ code, way }: { code: string; way: readonly WayPart[] }) {
  if (way.length === 0) return null;
  return (
    <section className="mt-5">
      <h2 className="label mb-1">Along the way of the power, mains first: what was found where</h2>
      <ol className="power-way">
        {way.map(({ ref, label, symbol, side, state }, index) => (
          <li key={ref} data-side={side} data-first={way[index - 1]?.side === side ? undefined : ''}>
            <Link href={routes.station(code, 'test', { part: ref })} className="q text-[12.5px]" title={label}>
              {ref}
            </Link>
            {symbol ? <LoneSymbol symbol={symbol} ink={inkOf(state)} /> : <span>{label}</span>}
            <span
              className={`text-[12px] ${BAD.has(state) ? 'font-semibold text-stop' : state === 'next' ? 'font-semibold text-ochre' : 'text-ink-2'}`}
            >
              {WORDS[state]}
            </span>
            <span className="sr-only">, {label}</span>
          </li>
        ))}
      </ol>
    </section>
  );
}
