import type { Onset, Study } from './study';
import { STRESS_WORDS, type Stress, type StressKind } from './stresses';
import { formatQuantity } from '../quantity';

/** How soon a part gives way that is put under more than it stands. */
export type Pace = 'at once' | 'seconds' | 'minutes' | 'months';

/** How each overstress ends; common practice, no source. */
const ENDS: Readonly<Record<StressKind, { readonly pace: Pace; readonly because: string; readonly isShort: boolean }>> =
  {
    breakdown: { pace: 'at once', because: 'it breaks down and stays a short', isShort: true },
    peak: { pace: 'at once', because: 'its chip melts and stays a short', isShort: true },
    reverse: { pace: 'at once', because: 'it breaks down and stays a short', isShort: true },
    effective: { pace: 'seconds', because: 'it opens', isShort: false },
    heat: { pace: 'seconds', because: 'it overheats', isShort: false },
    mean: { pace: 'seconds', because: 'it overheats and stays a short', isShort: true },
    reversed: { pace: 'minutes', because: 'its oxide breaks down, it boils and vents', isShort: false },
    voltage: { pace: 'minutes', because: 'it leaks, heats and vents', isShort: false },
    ripple: { pace: 'months', because: 'its own heat dries it out further', isShort: false },
    // A core does not die; what it no longer holds back shows at its switch.
    core: { pace: 'months', because: '', isShort: false },
  };

const PACES: readonly Pace[] = ['at once', 'seconds', 'minutes', 'months'];

/** A part that does not stand what a fault puts it under. */
export interface Death {
  readonly ref: string;
  readonly kind: StressKind;
  readonly pace: Pace;
  readonly value: number;
  readonly limit: number;
  /** Behind the fault, where it is known. */
  readonly seconds?: number;
  /** The whole of it in words. */
  readonly message: string;
}

/** A part that was over its limit before the fault does not count unless it got this much worse. */
const WORSE = 1.05;

/**
 * The parts that a fault kills, the first first: by how soon such an overstress ends a part, then by the instant at which it passed its
 * limit, then by how far it is over it. When a semiconductor becomes a short, the fuse before it follows.
 */
export function deathsOf(
  { stresses, passed }: { readonly stresses: readonly Stress[]; readonly passed?: Onset['passed'] },
  healthy: Study,
): readonly Death[] {
  const before = new Map(healthy.stresses.map(({ ref, kind, share }) => [`${ref} ${kind}`, share]));
  const over = stresses.filter(
    ({ ref, kind, share }) => kind !== 'core' && share > 1 && share > WORSE * (before.get(`${ref} ${kind}`) ?? 0),
  );
  const whenOf = ({ ref, kind }: Stress) => passed?.find((one) => one.ref === ref && one.kind === kind)?.seconds;
  const ranked = over
    .map((stress) => ({ stress, pace: PACES.indexOf(ENDS[stress.kind].pace), when: whenOf(stress) ?? Infinity }))
    .toSorted((a, b) => a.pace - b.pace || (a.when === b.when ? b.stress.share - a.stress.share : a.when - b.when));
  const deaths: Death[] = [];
  for (const { stress, when } of ranked) {
    if (deaths.some(({ ref }) => ref === stress.ref)) continue;
    deaths.push(deathOf(stress, Number.isFinite(when) ? when : undefined));
  }
  const shorted = deaths.find(({ kind }) => ENDS[kind].isShort);
  const fuse = healthy.setting.parts.find(({ drawn }) => drawn.kind === 'fuse');
  const isSwitch = healthy.setting.circuit.roles.switches.includes(shorted?.ref ?? '');
  if (!shorted || !fuse || !isSwitch) return deaths;
  // Whatever the fuse carries now, it opens once the switch is a short.
  const others = deaths.filter(({ ref }) => ref !== fuse.ref);
  const at = others.indexOf(shorted) + 1;
  const follows: Death = {
    ref: fuse.ref,
    kind: 'effective',
    pace: 'seconds',
    value: Number.NaN,
    limit: fuse.limits.rms ?? Number.NaN,
    message: `${fuse.ref} opens when ${shorted.ref} has become a short`,
  };
  return [...others.slice(0, at), follows, ...others.slice(at)];
}

/** Behind a limit that destroys at once nothing is reached any more: what would be is told as that. */
const AT_ONCE: Pace = 'at once';

function deathOf({ ref, kind, value, limit }: Stress, seconds: number | undefined): Death {
  const { label, unit } = STRESS_WORDS[kind];
  const when = seconds === undefined ? '' : ` after ${formatQuantity(seconds, 'second', { digits: 2 })}`;
  const { because, pace } = ENDS[kind];
  const over =
    pace === AT_ONCE
      ? `${label} past its ${formatQuantity(limit, unit)}${when} (${formatQuantity(value, unit)} if nothing gave way)`
      : `${label} ${formatQuantity(value, unit)} against ${formatQuantity(limit, unit)}${when}`;
  return {
    ref,
    kind,
    pace,
    value,
    limit,
    message: `${ref}: ${over}; ${because}`,
    ...(seconds === undefined ? {} : { seconds }),
  };
}
