import { formatDuration, formatQuantity } from '../../../core/quantity';
import {
  bleedThrough,
  bleedToolText,
  checkBleedPath,
  constantPowerLoad,
  CONVERTER_STOPS_NEAR,
  dischargeWarningText,
  hazardBand,
  largestFilterBleeds,
  METER_CEILING,
  METER_LIMIT,
  METER_RATING_FROM,
  REBOUND_SHARE,
  REBOUND_WAIT_SECONDS,
  RESISTOR_VOLTS,
  SOLDER_LIMIT,
  storedEnergy,
  suggestBleed,
  timeAtConstantPower,
  type BleedPathCheck,
} from '../../../core/safety';
import { reliableTime, stringShares, type Assessed } from './assess';
import { clockOf } from '../../../ui/value/moments';
import { routes } from '../../../routes';

const volts = (value: number) => formatQuantity(value, 'volt');
const ohms = (value: number) => formatQuantity(value, 'ohm', { digits: 2 });

/** The answer to “can it hurt you now”. */
export function claimOf({ entry, state, hold, run, fit, touchLimit }: Assessed): { text: string; stop: boolean } {
  const { name } = entry.store;
  if (state.kind === 'never-measured')
    return { text: `Assume yes. ${name} was never read and ${holdText(hold)}`, stop: true };
  if (state.kind === 'powered-since')
    return {
      text: state.on
        ? `Yes. Power is on since ${clockOf(state.at)}; ${name} ${holdText(hold)}`
        : `Assume yes. It was plugged in after the last reading of ${name}, at ${clockOf(state.at)}`,
      stop: true,
    };
  const last = volts(run.at(-1)?.voltageV ?? state.last.voltage);
  if (state.kind === 'live') {
    const crossing = reliableTime(fit, touchLimit);
    const when = crossing ? `, under ${volts(touchLimit)} at about ${formatDuration(crossing.time)}` : '';
    return { text: `Yes. ${name} had ${last} at the last reading${when}`, stop: true };
  }
  if (entry.store.role === 'battery')
    return { text: `${name} has ${last}, under the limit of touch; a battery is never dead`, stop: false };
  if (state.kind === 'below-touch')
    return state.isMeterDoubtful
      ? { text: `Assume yes. ${name} reads ${last}, but the meter was put to more than it stands`, stop: true }
      : {
          text: `${name} is below the touch limit of ${volts(touchLimit)} with ${last}, and not dead`,
          stop: false,
        };
  return state.reboundChecked
    ? { text: `${name} is measured dead: ${last}, and it did not recover`, stop: false }
    : { text: `${name} is measured dead: ${last} at the last reading`, stop: false };
}

/** What the meter itself must stand, and that it must be shown to work. Said before a store is read. */
export function meterText({ state, hold, present }: Assessed): { weight: 'danger' | 'check'; text: string }[] {
  const expected = Math.max(hold.volts ?? Infinity, present ?? Infinity);
  const isRead = state.kind === 'measured-dead';
  const tooHigh = state.kind !== 'never-measured' && state.last && Math.abs(state.last.voltage) > METER_CEILING.volts;
  return [
    ...(tooHigh
      ? [
          {
            weight: 'danger' as const,
            text: `${volts(state.last?.voltage ?? 0)} is more than a hand meter measures: do not believe the reading, and do not trust the meter until it was checked on a known source.`,
          },
        ]
      : []),
    ...(!isRead && expected > METER_CEILING.volts
      ? [
          {
            weight: 'danger' as const,
            text: `${Number.isFinite(expected) ? `It may hold ${volts(expected)}` : 'Nobody knows what it may hold'}: hand meters and their leads end at ${volts(METER_CEILING.volts)} (${METER_CEILING.cite}). Do not put one on it. Bleed it through a resistor chain made for that voltage, or leave it to someone with a high-voltage probe.`,
          },
        ]
      : !isRead && expected > METER_RATING_FROM
        ? [
            {
              weight: 'check' as const,
              text: `It may hold ${volts(expected)}: meter and leads must be rated for at least ${expected > 600 ? '1000' : '600'} V, CAT III.`,
            },
          ]
        : []),
    ...(isRead && !state.meterChecked
      ? [
          {
            weight: 'check' as const,
            text: 'Leads on nothing and a dead meter read zero as well: check the meter on a known source, and say so below.',
          },
        ]
      : []),
  ];
}

/** The hazard band of a store in plain words. */
export function hazardOf({
  present,
  largest,
  state,
  entry,
  touchLimit,
}: Assessed): { weight: 'danger' | 'check' | 'note' | 'ok'; text: string; rule?: string } | null {
  if (present === undefined)
    return {
      weight: 'danger',
      text: 'Nobody knows what it may hold: assume that it can kill, and more than a meter stands. Never short it, and put no meter on it before its rating is known.',
    };
  if (entry.store.role === 'battery')
    return {
      weight: present > touchLimit ? 'danger' : 'check',
      text: `${volts(present)} of a battery: it does not run down while you wait, and a short makes fire. Part it at its connector and tape each contact by itself.`,
    };
  if (state.kind === 'measured-dead' && state.reboundChecked) return null;
  if (entry.store.capacitanceF === 0 && present > touchLimit)
    return {
      weight: 'danger',
      text: `${volts(present)} of a capacitor whose size is not known: assume that it can kill. Use the resistor tool; never short it.`,
    };
  const energy = storedEnergy({ capacitance: largest, voltage: present });
  const band = hazardBand({ voltage: present, energy, capacitance: largest, touchLimit });
  const weight = band.severity === 'warn' ? 'check' : band.severity;
  const charge = formatQuantity(largest * present, 'coulomb', { digits: 2 });
  return {
    weight,
    text: `${volts(present)}, ${formatQuantity(energy, 'joule', { digits: 2 })} and ${charge}: ${band.title}. ${band.instruction}`,
    rule: routes.article('charge', band.title),
  };
}

const BLEED_SAYS: Readonly<Record<BleedPathCheck['verdict'], (ohm: string) => string>> = {
  'as-traced': (ohm) => `${ohm} bleeds it, as traced.`,
  'bleeder-open': () => 'Only the meter bleeds it: the bleeder is open or there is none. It will hold its charge for long.',
  'capacitor-low': (ohm) => `It falls faster than it should: the capacitor has lost capacitance, or more than the traced ${ohm} loads it.`,
  'bleeder-high': () => 'It falls more slowly than traced: the bleeder has gone high, or the capacitor is larger than printed.',
  'something-else-loads': () => 'It falls far faster than its bleeder explains: something else on the board draws current.',
  'no-bleeder-traced': (ohm) => `By its printed capacitance ${ohm} bleeds it, the meter’s own resistance taken out.`,
}; // oxfmt-ignore

/** What the readings say: the time constant, the bleed path, the time to the limit, and each warning. */
export function fitText({ entry, run, fit, touchLimit }: Assessed): string[] {
  if (run.length === 0) return [];
  const message: string[] = [];
  const { tau, tauLow, tauHigh } = fit;
  if (tau !== undefined && tauLow !== undefined && tauHigh !== undefined) {
    const seconds = (value: number) => formatQuantity(value, 'second');
    message.push(`Time constant ${seconds(tau)}, between ${seconds(tauLow)} and ${seconds(tauHigh)} (95 %).`);
    const { bleedOhm, capacitanceF } = entry.store;
    const toolOn = run.at(-1)?.toolOhm ?? null;
    if (capacitanceF > 0 && toolOn !== null)
      message.push(
        `Through the tool of ${ohms(toolOn)} that is ${formatQuantity(tau / toolOn, 'farad', { digits: 2 })}.`,
      );
    if (capacitanceF > 0 && toolOn === null) {
      const path = checkBleedPath({ tau, capacitance: capacitanceF, bleed: bleedOhm ?? undefined });
      message.push(BLEED_SAYS[path.verdict](ohms(bleedOhm ?? path.resistance)));
      if (path.capacitance !== undefined)
        message.push(
          `Through ${ohms(bleedOhm ?? 0)} and the meter that is ${formatQuantity(path.capacitance, 'farad', { digits: 2 })}; ${formatQuantity(capacitanceF, 'farad')} is printed.`,
        );
    }
    const crossing = reliableTime(fit, touchLimit);
    if (crossing && crossing.latest > (run.at(-1)?.elapsedS ?? 0))
      message.push(
        `Under ${volts(touchLimit)} by ${formatDuration(crossing.latest)} at the late bound. It says when to measure, not that it is safe.`,
      );
  }
  return [
    ...message,
    ...fit.warnings.map(dischargeWarningText),
    ...converterText(run, fit.model, entry.store.capacitanceF),
  ];
}

/** A converter that still runs: what it draws, and how long until it stops by itself. */
function converterText(run: Assessed['run'], model: Assessed['fit']['model'], capacitance: number): string[] {
  const [first, last] = [run[0], run.at(-1)];
  if (model !== 'constant-power' || !first || !last || capacitance <= 0) return [];
  const watts = constantPowerLoad({
    capacitance,
    from: first.voltageV,
    to: last.voltageV,
    seconds: last.elapsedS - first.elapsedS,
  });
  const stop = timeAtConstantPower({ capacitance, from: last.voltageV, to: CONVERTER_STOPS_NEAR, watts });
  return [
    `It draws about ${formatQuantity(watts, 'watt', { digits: 2 })}, and stops near ${volts(CONVERTER_STOPS_NEAR)}${stop > 0 ? ` after ${formatDuration(stop)} more` : ''}. What is left then stays.`,
  ];
}

/** What the standards ask of an X capacitor's bleeder. */
export function filterBleedText({ entry, hold }: Assessed): string[] {
  const { role, capacitanceF, bleedOhm } = entry.store;
  const rules =
    role === 'filter' && hold.volts !== undefined
      ? largestFilterBleeds({ capacitance: capacitanceF, peak: hold.volts })
      : [];
  const [loosest] = [...rules].sort((a, b) => b.ohms - a.ohms);
  if (!loosest) return [];
  const asked = rules.map(({ rule, standard, ohms: most }) => `${ohms(most)} for ${rule} (${standard})`).join(', ');
  return [
    `Its bleeder may have at most ${asked}; from memory.`,
    ...(bleedOhm === null
      ? ['None is traced: expect it to hold its charge.']
      : bleedOhm > loosest.ohms
        ? [`The ${ohms(bleedOhm)} traced is more than any of them allows.`]
        : []),
  ];
}

/** What each capacitor of a series string may hold by itself. */
export function stringText(assessed: Assessed): string[] {
  const shares = stringShares(assessed);
  if (shares.length === 0) return [];
  return [
    ...shares.map(
      ({ nominal, worst, capacitance, overRated }, index) =>
        `Capacitor ${index + 1}, ${formatQuantity(capacitance, 'farad')}: ${volts(nominal)}, up to ${volts(worst)} if it is small${overRated ? '; that is above its rating' : ''}.`,
    ),
    'After the ends read zero each may still hold charge of its own: read every one.',
  ];
}

/** What a store may hold, as a clause of a sentence. */
const holdText = (hold: Assessed['hold']) =>
  hold.volts === undefined ? `may hold nobody knows what: ${hold.why}` : `may hold ${volts(hold.volts)}`;

/** Above what usual resistors stand. */
const NO_TOOL = `No tool of usual resistors is at hand for this voltage: each stands ${volts(RESISTOR_VOLTS.each)}, and above ${volts(RESISTOR_VOLTS.chain)} a chain needs the spacing of one made for it. Leave it to someone with a tool and a probe for high voltage.`;

/** The tool for a discharge as a whole. */
const planFor = ({ highest, largest, touchLimit }: Pick<Assessed, 'highest' | 'largest' | 'touchLimit'>) =>
  highest === undefined ? undefined : suggestBleed({ start: highest, capacitance: largest, touchLimit });

/** The one thing to do next. */
export function nextStep(assessed: Assessed, open: readonly Assessed[], now: number): string {
  const { entry, state, run, fit, touchLimit } = assessed;
  const { name } = entry.store;
  const lower = name.toLowerCase();
  if (state.kind === 'powered-since')
    return state.on
      ? 'Unplug it, say so below, and read every store again.'
      : `Read ${name} again: what was read before power was applied says nothing any more.`;
  if (state.kind === 'never-measured')
    return `Unplug it and wait. Then read ${name}, three times with the seconds, like ${lower} 212V @ 15s.`;
  if (entry.store.role === 'battery')
    return `Part ${name} at its connector, tape each contact by itself, and read the board’s side of it.`;
  if (state.kind === 'live') {
    const { toolOhm, capacitanceF } = entry.store;
    if (toolOhm !== null)
      return `The tool of ${ohms(toolOhm)} is on ${name}. Leave it on${capacitanceF === 0 ? '' : `: under ${volts(SOLDER_LIMIT.volts)} in ${formatDuration(bleedThrough({ start: state.upper, capacitance: assessed.largest, touchLimit, resistance: toolOhm }).timeToSolder)}`}, then read it again.`;
    if (capacitanceF === 0)
      return `Bleed ${name} through a resistor of some kilohms and 10 W or more, and read it again and again: nobody knows how long it takes.`;
    const crossing = reliableTime(fit, touchLimit);
    const plan = planFor(assessed);
    if (!plan) return `${NO_TOOL} Then read ${name} again with a meter that stands it.`;
    const { timeToSolder } = bleedThrough({
      start: state.upper,
      capacitance: assessed.largest,
      touchLimit,
      resistance: plan.resistance,
    });
    const wait = crossing ? 'Wait, or put' : 'Put';
    return `${wait} a tool of ${bleedToolText(plan)} across ${name}: ${formatQuantity(plan.initialPower, 'watt', { digits: 2 })} at most, under ${volts(SOLDER_LIMIT.volts)} in ${formatDuration(timeToSolder)}. Then read it again.`;
  }
  if (state.kind === 'below-touch' && state.isMeterDoubtful)
    return `Check the meter on a known source, say so below, and read ${name} again.`;
  if (state.kind === 'below-touch')
    return `Bleed ${name} under ${volts(METER_LIMIT.volts)} before a meter or a tip touches it, then read it again. Under ${volts(SOLDER_LIMIT.volts)} parts may be desoldered.`;
  const others = open.filter((other) => other.entry.store.name !== name).map((other) => other.entry.store.name);
  if (others.length > 0) return `Go on with ${others.join(', ')}: not measured dead yet.`;
  if (entry.store.toolOhm !== null)
    return `Take the tool off ${name}, say so below, and read it again after five minutes: with the tool on it cannot recover.`;
  if (!state.reboundChecked) {
    const back = run.length > 0 ? Math.max(...run.map(({ voltageV }) => Math.abs(voltageV))) : 0;
    const rebound =
      back > 60 ? ` It may recover by ${volts(back * REBOUND_SHARE.low)} to ${volts(back * REBOUND_SHARE.high)}.` : '';
    const due = (REBOUND_WAIT_SECONDS * 1000 - (now - state.last.takenAt)) / 1000;
    const when = due > 0 ? `in ${formatDuration(due)}` : 'now';
    return `Read ${name} again ${when}: five minutes show whether it recovers.${rebound}`;
  }
  if (!state.meterChecked)
    return 'Check the meter on a known source once more, and say so below. Then open it, and look for stores that are not listed.';
  return 'Every listed store is measured dead. Open it, and look for stores that are not listed.';
}

/** The tool to bleed it with, and what the bleeder on the board would do alone. */
export function toolText({ entry, present, highest, largest, touchLimit }: Assessed): string {
  if (present === undefined) return NO_TOOL;
  const of = { start: present, capacitance: largest, touchLimit };
  const { bleedOhm, toolOhm } = entry.store;
  if (toolOhm !== null) {
    const on = bleedThrough({ ...of, resistance: toolOhm });
    return `${ohms(toolOhm)} is on it: under ${volts(touchLimit)} in ${formatDuration(on.timeToTouch)}, under ${volts(SOLDER_LIMIT.volts)} in ${formatDuration(on.timeToSolder)}, under ${volts(METER_LIMIT.volts)} in ${formatDuration(on.timeToMeter)}. That is when to read, not that it is empty; readings with it on are fitted apart.`;
  }
  // Chosen for where the discharge began, so that the advice does not change with every reading.
  const plan = planFor({ highest, largest, touchLimit });
  if (!plan) return NO_TOOL;
  const from = bleedThrough({ ...of, resistance: plan.resistance });
  const power = (value: number) => formatQuantity(value, 'watt', { digits: 2 });
  const size = plan.wirewound === undefined ? ', and no common wirewound takes the pulse' : '';
  const tool = `${bleedToolText(plan)}${size}: starts at ${power(plan.initialPower)} and ${formatQuantity(plan.initialCurrent, 'ampere', { digits: 2 })}, takes ${formatQuantity(plan.energy, 'joule', { digits: 2 })}; under ${volts(touchLimit)} in ${formatDuration(from.timeToTouch)}, under ${volts(SOLDER_LIMIT.volts)} in ${formatDuration(from.timeToSolder)}, under ${volts(METER_LIMIT.volts)} in ${formatDuration(from.timeToMeter)}. Never short it: the flash pits the leads, can burst the part, and hides an open bleeder.`;
  if (bleedOhm === null) return tool;
  const alone = bleedThrough({ ...of, resistance: bleedOhm });
  return `${tool} The ${ohms(bleedOhm)} on the board alone needs ${formatDuration(alone.timeToTouch)} and ${formatDuration(alone.timeToSolder)}, if it is not open.`;
}
