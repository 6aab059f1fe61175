import { CAUSE_NAMES, type CauseName } from './causes';
import type { Complaint } from './complaint';
import { firstVolts, isStandbyRail, nominalOf, type Seen } from './readings';
import { causeOf, RULE, type Weigh } from './rule';
import type { Symptom } from './words';

/** Complaints that a rail which is right by itself speaks against: the fault is behind it. */
const WOULD_FALL: ReadonlySet<Symptom> = new Set(['dead', 'hiccup', 'rail-low']);

/** What a standby supply that is right rules out: what feeds it, and what it starts. */
const NOT_WITH_STANDBY: readonly CauseName[] = [
  'standby-capacitor-dry',
  'standby-switch-shorted',
  'standby-unprotected',
  'startup-resistor-open',
  'ntc-open',
  'fuse-aged',
  'bridge-shorted',
  'bulk-shorted',
  'switch-shorted',
  'cable-broken',
];

/** The share of its nominal volts at which a rail was read; the last reading counts. */
function railShare(seen: Seen): { readonly name: string; readonly share: number } | undefined {
  const name = seen.rail ?? (seen.ref?.startsWith('rail ') ? seen.ref.slice(5) : undefined);
  const nominal = name === undefined ? undefined : nominalOf(name);
  const volts = seen.volts ?? seen.value ?? (seen.text === undefined ? undefined : firstVolts(seen.text));
  if (name === undefined || volts === undefined || !nominal) return undefined;
  return { name, share: Math.abs(volts) / nominal };
}

/** Circuits that give nothing while what feeds them is gone or shorted. */
const STARTED = /flyback|forward|bridge|push|llc|pfc|linear|line-transformer/u;
/** What a unit that gives its rail cannot have. */
const NOT_ALIVE: readonly CauseName[] = [
  'switch-shorted',
  'bridge-shorted',
  'bulk-shorted',
  'varistor-shorted',
  'fuse-aged',
  'ntc-open',
  'startup-resistor-open',
];

/** Causes by which no rail is held any more. */
const HOLDS: readonly CauseName[] = ['feedback-open', 'optocoupler-dead', 'reference-dead'];

/** Circuits in which every rail has its own rectifier and bulk can. */
const OWN_BULK = /line-transformer|linear/u;

/** Rails that sag together are short of what feeds them all; the cans of one output pull down one. */
export function weighTogether(observations: readonly Seen[], circuits: string, weigh: Weigh): void {
  const { low, gone: least, alike, bulk, cans } = RULE.together;
  const rails = new Map(
    observations.flatMap((seen) => {
      const rail = railShare(seen);
      return rail && !isStandbyRail(rail.name) ? [[rail.name, rail.share] as const] : [];
    }),
  );
  const shares = [...rails.values()];
  const [there] = [...rails].filter(([, share]) => share > RULE.alive.from);
  // Said once, however many rails there are.
  if (there && STARTED.test(circuits))
    for (const name of NOT_ALIVE) weigh(name, RULE.alive.leaves, `${there[0]} is there`);
  const gone = [...rails].filter(([, share]) => share < RULE.oneGone.under);
  const right = [...rails].filter(([, share]) => share > RULE.rail.rightFrom && share < RULE.rail.rightTo);
  if (gone.length > 0 && right.length > 0) {
    const reason = `${gone.map(([name]) => name).join(' and ')} gone, ${right.map(([name]) => name).join(' and ')} right`;
    for (const name of CAUSE_NAMES) weigh(name, RULE.oneGone.behind[name] ?? RULE.oneGone.others, reason);
  }
  const over = [...rails].filter(([, share]) => share > RULE.rail.high);
  // What holds the rails holds one of them; the other is high because nothing loads it, or for a reason of its own.
  if (over.length > 0 && right.length > 0)
    for (const name of HOLDS)
      weigh(name, RULE.held, `${right.map(([rail]) => rail).join(' and ')} right: the rails are held`);
  const lower = [...rails].filter(([, share]) => share >= RULE.oneGone.under && share < RULE.rail.low);
  if (lower.length > 0 && right.length > 0) {
    const reason = `${lower.map(([name]) => name).join(' and ')} low, ${right.map(([name]) => name).join(' and ')} right`;
    // Behind a mains transformer each rail has a bulk can of its own.
    const others = (name: CauseName) => (name === 'bulk-dry' && OWN_BULK.test(circuits) ? 2 : RULE.oneLow.others);
    for (const name of CAUSE_NAMES) weigh(name, RULE.oneLow.behind[name] ?? others(name), reason);
  }
  const { selector, rectifier } = RULE.halved;
  if (
    shares.length > 1 &&
    shares.every((share) => share > RULE.halved.from && share < RULE.halved.to) &&
    Math.max(...shares) - Math.min(...shares) < 2 * alike
  ) {
    const halves = `${[...rails.keys()].join(' and ')} are all near half`;
    weigh('line-selector-wrong', selector, halves);
    weigh('output-rectifier-open', rectifier ** -rails.size / rectifier, halves);
    return;
  }
  if (shares.length < 2 || shares.some((share) => share >= low || share < least)) return;
  if (Math.max(...shares) - Math.min(...shares) > alike) return;
  const reason = `${[...rails.keys()].join(' and ')} sag together`;
  weigh('bulk-dry', bulk, reason);
  weigh('output-capacitors-dry', cans, reason);
}

/** Circuits whose output is fed by both halves of a period: one rectifier open leaves the half. With one way it leaves nothing. */
const BOTH_WAYS = /forward|bridge|push|llc|line-transformer|linear/u;

/** A step-up converter that stands still passes its input on, less its diode. */
function weighUnboosted(seen: Seen, { board }: Complaint, circuits: string, weigh: Weigh): void {
  const { vMin, vMax, kind } = board?.nameplate?.input ?? {};
  const volts = seen.volts ?? seen.value;
  if (volts === undefined || kind !== 'dc' || vMin === undefined || vMax === undefined) return;
  if (!/^boost\b(?!-)/u.test(circuits) || volts < RULE.unboosted.from * vMin || volts > vMax) return;
  for (const [name, factor] of Object.entries(RULE.unboosted.tells))
    weigh(name as CauseName, factor, `${volts} V is what goes in: nothing is stepped up`);
}

/** What the reading of one rail says of every cause. */
export function weighRail(rail: string, seen: Seen, complaint: Complaint, circuits: string, weigh: Weigh): void {
  const ratio = railShare(seen)?.share;
  if (ratio === undefined) return;
  const isStandby = isStandbyRail(rail);
  const isRight = ratio > RULE.rail.rightFrom && ratio < RULE.rail.rightTo;
  const shows: Symptom | undefined =
    ratio > RULE.rail.high
      ? isStandby
        ? 'standby-high'
        : 'rail-high'
      : ratio < RULE.rail.gone
        ? isStandby
          ? 'standby-dead'
          : undefined
        : ratio < RULE.rail.low
          ? 'rail-low'
          : undefined;
  if (shows === undefined) {
    // A standby supply that is right has nothing wrong with it.
    if (isStandby && isRight) for (const name of NOT_WITH_STANDBY) weigh(name, RULE.standbyRight, `${rail} is right`);
    const isAlone = complaint.observations.every((other) => (railShare(other)?.share ?? 1) > RULE.rail.rightFrom);
    if (!isStandby && isRight && isAlone && WOULD_FALL.has(complaint.symptom)) {
      weigh('overloaded-outside', RULE.outside, `${rail} is right by itself`);
      weigh('cable-broken', RULE.cable, `${rail} is right by itself`);
    }
    return;
  }
  weighUnboosted(seen, complaint, circuits, weigh);
  const reading = `${rail} at ${Math.round(100 * ratio)} % of its volts`;
  if (ratio > RULE.halved.from && ratio < RULE.halved.to && BOTH_WAYS.test(circuits)) {
    weigh('output-rectifier-open', RULE.halved.rectifier, reading);
    weigh('output-capacitors-dry', RULE.halved.cans, reading);
  }
  if (isStandby && shows === 'rail-low') {
    for (const name of CAUSE_NAMES)
      weigh(name, name === 'standby-capacitor-dry' ? RULE.standbyLow.cans : RULE.standbyLow.others, reading);
    return;
  }
  if (shows === complaint.symptom) return;
  // Too high a rail is hardly made by anything but a lost hold of it; too low a one is made by much.
  const { others, makes: weight } = shows.endsWith('high') ? RULE.railHigh : { others: 0.6, makes: 3 };
  for (const name of CAUSE_NAMES) weigh(name, others + weight * (causeOf(name).symptoms[shows] ?? 0), reading);
}
