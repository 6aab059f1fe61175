import type { NearCore } from '../../../core/magnetics';
import type { TransformerReport } from '../../../core/measure';
import { formatQuantity } from '../../../core/quantity';

/** What the bench says of a transformer, in words. */
export interface TransformerView {
  readonly windings: readonly { readonly pins: string; readonly ohms: string; readonly guess: string }[];
  readonly lonely: readonly string[];
  /** The pairs to read next. */
  readonly ask: readonly string[];
  readonly facts: readonly { readonly label: string; readonly value: string }[];
  readonly core: string | null;
  readonly goodFor: readonly { readonly message: string; readonly why: string }[];
}

const TOPOLOGY = {
  flyback: 'a flyback converter',
  forward: 'a forward converter',
  'half-bridge': 'a half-bridge converter',
  resonant: 'a resonant half-bridge',
} as const;
const BOUND = { flux: 'the flux', copper: 'the copper', saturation: 'where it saturates' } as const;

/** Turns the report of a transformer into the rows of its sheet. */
export function transformerView(report: TransformerReport): TransformerView {
  const { windings, coupling, ratio, mutual, series, cores, nearest, turns, gap } = report;
  const facts: { label: string; value: string }[] = [];
  const add = (label: string, value: string | undefined) => value !== undefined && facts.push({ label, value });
  add('coupling', coupling?.coupling.toFixed(3));
  add('leakage', coupling && formatQuantity(coupling.leakage, 'henry'));
  add('magnetising', coupling && formatQuantity(coupling.magnetising, 'henry'));
  add('turns ratio, primary to output', ratio && `${ratio.ratio.toFixed(2)} : 1`);
  if (!ratio && typeof series === 'object')
    add('turns ratio, primary to output', `${series.ratio.toFixed(2)} : 1, by the inductances`);
  add('mutual inductance', mutual && formatQuantity(mutual.mutual, 'henry'));
  add('turns of the primary', turns && `about ${Math.round(turns.turns)}, by ${turns.by}`);
  add(
    'gap',
    gap.gapped === undefined
      ? undefined
      : gap.gapped
        ? gap.gap === undefined
          ? 'gapped'
          : `${(gap.gap * 1e3).toFixed(2)} mm in all`
        : 'none',
  );
  return {
    windings: windings.windings.map(({ pins, ohms, sections, guess }) => ({
      pins: pins.join(' – '),
      ohms:
        pins.length > 2
          ? sections.map((section) => (section === undefined ? '?' : formatQuantity(section, 'ohm'))).join(' + ')
          : ohms === undefined
            ? '?'
            : formatQuantity(ohms, 'ohm'),
      guess,
    })),
    lonely: windings.lonely,
    ask: windings.ask.slice(0, 3).map(([a, b]) => `${a}-${b}`),
    facts,
    core: coreText(cores.map(({ core }) => `${core.name}${core.alias ? ` (${core.alias})` : ''}`)) ?? nearText(nearest),
    goodFor: report.goodFor.map((use) => ({
      message: `${TOPOLOGY[use.topology]} at ${formatQuantity(use.frequency, 'hertz')}${use.power > 0 ? `, ${formatQuantity(use.power, 'watt', { digits: 2 })}` : ''}`,
      why:
        use.topology === 'flyback'
          ? `peak ${formatQuantity(use.current, 'ampere', { digits: 2 })} at ${use.flux.toFixed(2)} T, from ${formatQuantity(use.volts, 'volt', { digits: 2 })} in; ${BOUND[use.bound]} sets it`
          : `up to ${formatQuantity(use.volts, 'volt', { digits: 2 })} on the primary at ${use.flux.toFixed(2)} T${use.current > 0 ? `, ${formatQuantity(use.current, 'ampere', { digits: 2 })} rms at 5 A/mm²` : '; measure its wire for the power'}`,
    })),
  };
}

function coreText(names: readonly string[]): string | null {
  const [first, ...others] = names;
  if (!first) return null;
  return others.length === 0 ? first : `${first}, or ${others.slice(0, 2).join(' or ')}`;
}

/** `none of the table; the nearest is EE25, of which it is 1.2 mm wider`. */
function nearText(nearest: NearCore | undefined): string | null {
  if (!nearest) return null;
  const words = { width: ['wider', 'narrower'], height: ['higher', 'lower'], depth: ['thicker', 'thinner'] } as const;
  const off = nearest.off
    .filter(({ by }) => Math.abs(by) >= 0.05e-3)
    .map(({ name, by }) => `${(Math.abs(by) * 1e3).toFixed(1)} mm ${words[name][by > 0 ? 0 : 1]}`);
  return `none of the table; the nearest is ${nearest.core.name}, than which it is ${off.join(', ')}`;
}
