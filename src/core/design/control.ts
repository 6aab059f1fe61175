import { chipByMarking, CHIP_FAMILIES, type ChipFamily } from '../chips';
import { E24, nearestOf } from '../marking';
import { clampOf } from './parts';
import { RULES } from './rules';
import type { Design } from './search';
import type { Designed, DesignLot, DesignSpec } from './spec';

/** A part outside the controller, with what it is worked out from. */
export interface OuterPart {
  readonly name: string;
  readonly value: number;
  readonly unit: 'ohm' | 'farad';
  readonly why: string;
}

/** What commands the switch: a lot of the drawers, or a family to buy; and the parts around it. */
export interface Control {
  readonly lot?: DesignLot;
  readonly family: ChipFamily;
  readonly outer: readonly OuterPart[];
  readonly notes: readonly string[];
}

/** Circuits by the names that chips know them by. */
const SERVES: Readonly<Record<Designed, readonly string[]>> = {
  buck: ['buck', 'forward'],
  boost: ['boost'],
  inverting: ['inverting-buck-boost', 'inverting', 'flyback'],
  sepic: ['sepic', 'boost', 'flyback'],
  cuk: ['cuk', 'boost', 'flyback'],
  flyback: ['flyback'],
};
/** What holds a switch of its own leaves none to choose. */
const COMMANDS: ReadonlySet<string> = new Set(['current-mode', 'voltage-mode']);

/** Whether a family can work there: by its circuits, what feeds it, and the duty it reaches. */
function serves(family: ChipFamily, design: Design, spec: DesignSpec): boolean {
  const duty = Math.max(...design.demand.point.at.map((one) => one.duty));
  const [low, high] = family.supply
    ? [family.supply.start, family.supply.most ?? Infinity]
    : [family.range?.low ?? 0, family.range?.high ?? Infinity];
  return (
    COMMANDS.has(family.role) &&
    family.topologies.some((name) => SERVES[design.topology].includes(name)) &&
    low < spec.inputLow &&
    high > spec.inputHigh &&
    (family.dutyLimit ?? 1) > duty
  );
}

/** The controller of a design: one that lies in the drawers, else one to buy; nothing where none that is known would do. */
export function controlOf(design: Design, spec: DesignSpec, lots: readonly DesignLot[]): Control | undefined {
  const own = lots
    .filter(({ pieces }) => pieces > 0)
    .map((lot) => ({ lot, family: chipByMarking(lot.marking) }))
    .find(({ family }) => family !== undefined && serves(family, design, spec));
  const family = own?.family ?? CHIP_FAMILIES.find((one) => one.memory === 'sure' && serves(one, design, spec));
  if (!family) return undefined;
  return {
    ...(own ? { lot: own.lot } : {}),
    family,
    outer: [
      ...timing(family, design.frequency),
      ...divider(design.topology === 'flyback' ? SHUNT : family, spec),
      ...sense(family, design),
      ...clamp(design),
    ],
    notes: [
      ...(['boost', 'sepic', 'cuk', 'flyback'].includes(design.topology)
        ? []
        : ['its switch does not stand on ground: drive it by a small transformer or a driver with a bootstrap']),
      ...(design.topology === 'flyback'
        ? ['the output floats: an optocoupler with a shunt reference of 2.5 V carries the feedback across']
        : spec.output < 0
          ? ['its output lies under its ground: the feedback wants an amplifier that turns it round']
          : []),
      'values from memory of its datasheet: check them against the one in hand',
    ],
  };
}

/** f = factor / (R·C), with a capacitor for which the resistor is neither too small nor too large. */
function timing({ oscillator }: ChipFamily, frequency: number): readonly OuterPart[] {
  if (!oscillator) return [];
  const { timing: wanted } = RULES;
  const farads = nearestOf(oscillator.factor / (frequency * wanted.ohms), E24);
  const ohms = nearestOf(oscillator.factor / (frequency * farads), E24);
  return [
    { name: 'timing capacitor', value: farads, unit: 'farad', why: oscillator.message },
    { name: 'timing resistor', value: ohms, unit: 'ohm', why: oscillator.message },
  ];
}

/** The reference that holds a floating output. */
const SHUNT = { feedback: 2.495 } as const;

/** Resistor and capacitor that take what the leakage of a transformer holds: P = Vc²/R, and twenty periods to discharge. */
function clamp({ topology, demand, parts: { choke } }: Design): readonly OuterPart[] {
  if (topology !== 'flyback' || !choke) return [];
  const { volts, watts, ...ideal } = clampOf(demand, choke.lot.ratings);
  const ohms = nearestOf(ideal.ohms, E24);
  const why = `holds ${volts.toFixed(0)} V over the input; ${(2 * watts).toFixed(2)} W or more, and a fast diode`;
  return [
    { name: 'clamp resistor', value: ohms, unit: 'ohm', why },
    { name: 'clamp capacitor', value: nearestOf(ideal.farads, E24), unit: 'farad', why },
  ];
}

/** Two resistors that bring the output to the volts of the feedback pin, the nearest pair of the series. */
function divider({ feedback }: Pick<ChipFamily, 'feedback'>, { output }: DesignSpec): readonly OuterPart[] {
  const volts = Math.abs(output);
  if (feedback === undefined || volts <= feedback) return [];
  const ratio = volts / feedback - 1;
  const pairs = E24.map((step) => {
    const lower = step * RULES.divider;
    const upper = nearestOf(lower * ratio, E24);
    return { lower, upper, off: Math.abs(upper / lower / ratio - 1) };
  });
  const [best] = pairs.toSorted((a, b) => a.off - b.off);
  if (!best) return [];
  const why = `${feedback} V at the feedback pin; the output comes to ${(feedback * (1 + best.upper / best.lower)).toFixed(2)} V`;
  return [
    { name: 'upper divider', value: best.upper, unit: 'ohm', why },
    { name: 'lower divider', value: best.lower, unit: 'ohm', why },
  ];
}

/** A resistor in the way of the switch’s current: 0.9 V at the peak, with room to it. */
function sense({ role }: ChipFamily, { demand }: Design): readonly OuterPart[] {
  if (role !== 'current-mode') return [];
  const { volts, room } = RULES.sense;
  const ohms = nearestOf(volts / (room * demand.peak), E24);
  return [
    {
      name: 'sense resistor',
      value: ohms,
      unit: 'ohm',
      why: `${volts} V at ${room} times the peak; ${(2 * demand.switchRms ** 2 * ohms).toFixed(2)} W or more`,
    },
  ];
}
