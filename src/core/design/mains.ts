import { convert, lastingCorrector, lineRipple, MAINS_SUPPLY, reflectedTo, resonantCurrents } from '../converter';
import { USED_VOLTS } from '../derating';
import { practice } from '../evidence';
import { BARRIER, clearance, creepage } from '../isolation';
import { CORES, type Core } from '../magnetics';
import { reservoirValley } from '../nameplate';
import { formatQuantity, type Unit } from '../quantity';

/** A supply from the mains, to learn from and to repair one by; never to be built. Volts rms, volts, amperes. */
export interface MainsSpec {
  readonly low: number;
  readonly high: number;
  readonly output: number;
  readonly current: number;
  readonly line?: number;
}

/** Volts rms between which a supply works anywhere. */
export const MAINS = { low: 90, high: 264 } as const;

/** How such supplies are usually made; common practice, no source. */
const USUAL = practice({
  /** Farads per watt at the input: with a mains from 85 V, and with 180 V and more. */
  bulk: { wide: 2e-6, narrow: 1e-6, narrowFrom: 170 },
  /** Watts at the input from which the current must follow the mains: IEC 61000-3-2, class D, from memory. */
  corrected: 75,
  /** Watts up to which one switch and a flyback are usual. */
  flyback: 120,
  /** What its clamp adds over the volts that a flyback reflects, as a share. */
  clamp: 0.5,
  frequency: { resonant: 100e3, corrector: 65e3 },
  /** Just within the range in which the core empties each period at the lowest input. */
  underBoundary: 0.9,
  /** Of a resonant tank: what is stored over what resonates, and its quality at full load. */
  tank: { ratio: 5, quality: 0.4 },
  corrector: { ripple: 0.3 },
  drop: 0.6,
  fuse: 2,
});

/** Volts reflected to a switch of 600 to 700 V, which is what such supplies have. */
const REFLECTED = reflectedTo(650);

/** A figure of a stage: what a part is, or must stand. */
export interface MainsFigure {
  readonly name: string;
  readonly value: number;
  readonly unit: Unit;
}

export interface MainsStage {
  readonly id: 'entry' | 'bulk' | 'pfc' | 'flyback' | 'llc';
  readonly name: string;
  readonly why: string;
  readonly figures: readonly MainsFigure[];
}

export interface MainsDesign {
  readonly watts: number;
  readonly stages: readonly MainsStage[];
  /** What lies between the mains and the hand, each with its source. */
  readonly barrier: readonly { readonly name: string; readonly value: string; readonly source: string }[];
  /** A core that supplies of such a power have. */
  readonly core: Core | undefined;
}

/** Why there is none. */
export interface MainsProblem {
  readonly wrong: string;
}

const millimetres = (value: number) => formatQuantity(value, 'metre', { digits: 2 });

/** What is wrong with what was asked; names the value and what is expected. */
function problemOf({ low, high, output, current }: MainsSpec): string | undefined {
  for (const [name, value] of Object.entries({ low, high, output, current }))
    if (!Number.isFinite(value) || value <= 0) return `The ${name} is ${value}; a number above 0 is expected.`;
  if (high < low) return `The highest mains, ${high} V, is under the lowest, ${low} V.`;
  if (low < 85 || high > 277) return `A mains of ${low} to ${high} V; 85 to 277 V are expected.`;
  if (output > 60) return `The output is ${output} V; 60 V or less is expected of a supply that may be touched.`;
  if (output * current > 1000) return `${output * current} W; up to 1000 W are worked out.`;
  return undefined;
}

/**
 * The stages of a supply from the mains, and what each part of it must stand: to see how one works, or to judge a part of one that
 * is repaired. Equations: FORMULAS 6 after Erickson & Maksimovic, LLC by its first harmonic (from memory).
 */
export function learnMains(spec: MainsSpec): MainsDesign | MainsProblem {
  const wrong = problemOf(spec);
  if (wrong !== undefined) return { wrong };
  const { low, high, output, current, line = 50 } = spec;
  const watts = output * current;
  const taken = watts / MAINS_SUPPLY.efficiency;
  const isCorrected = taken > USUAL.corrected;
  const factor = MAINS_SUPPLY.lineFactor[isCorrected ? 'corrected' : 'plain'];
  const farads = taken * (low >= USUAL.bulk.narrowFrom || isCorrected ? USUAL.bulk.narrow : USUAL.bulk.wide);
  const [valley, top] = isCorrected
    ? [MAINS_SUPPLY.bus * 0.95, MAINS_SUPPLY.bus]
    : [reservoirValley({ power: taken, capacitance: farads, volts: low, hertz: line }), Math.SQRT2 * high];
  const store = isCorrected ? MAINS_SUPPLY.bus * 1.1 : top;
  const stages: MainsStage[] = [
    {
      id: 'entry',
      name: 'Fuse, filter and bridge',
      why: 'breaks a short circuit, keeps noise off the mains, and makes pulsing DC of it',
      figures: [
        { name: 'current drawn, rms', value: taken / low / factor, unit: 'ampere' },
        { name: 'fuse, slow, about', value: (USUAL.fuse * taken) / low / factor, unit: 'ampere' },
        { name: 'bridge stands', value: (Math.SQRT2 * high) / USED_VOLTS.diode, unit: 'volt' },
      ],
    },
    ...(isCorrected ? [correctorStage(low, taken)] : []),
    {
      id: 'bulk',
      name: 'Bulk capacitor',
      why: 'carries the supply over the gaps of the mains; it is what bites an hour after the plug is out',
      figures: [
        { name: 'capacitance', value: farads, unit: 'farad' },
        { name: 'stands', value: store, unit: 'volt' },
        {
          name: isCorrected ? 'ripple, peak to peak' : 'falls to, at full load',
          value: isCorrected ? lineRipple({ current: taken / MAINS_SUPPLY.bus, line, capacitance: farads }) : valley,
          unit: 'volt',
        },
        { name: 'holds', value: (farads * top ** 2) / 2, unit: 'joule' },
      ],
    },
    watts <= USUAL.flyback
      ? flybackStage({ valley, top, output, current })
      : resonantStage({ bus: MAINS_SUPPLY.bus, output, current }),
  ];
  return {
    watts,
    stages,
    barrier: barrierOf(high, store),
    core: CORES.filter(({ flybackWatts }) => flybackWatts !== undefined && flybackWatts[1] >= watts).toSorted(
      (a, b) => a.volume - b.volume,
    )[0],
  };
}

function correctorStage(lowest: number, power: number): MainsStage {
  const found = lastingCorrector(
    { lowest, power, output: MAINS_SUPPLY.bus },
    { frequency: USUAL.frequency.corrector, ripple: USUAL.corrector.ripple },
  );
  return {
    id: 'pfc',
    name: 'Power factor stage (boost)',
    why: `from ${USUAL.corrected} W the current must follow the mains: IEC 61000-3-2, from memory`,
    figures: [
      { name: 'output', value: MAINS_SUPPLY.bus, unit: 'volt' },
      { name: 'choke', value: found.inductance, unit: 'henry' },
      { name: 'peak of its current', value: found.peak, unit: 'ampere' },
      { name: 'switch and diode stand', value: (MAINS_SUPPLY.bus * 1.1) / USED_VOLTS.mosfet, unit: 'volt' },
      { name: 'switch, rms', value: found.switchRms, unit: 'ampere' },
    ],
  };
}

function flybackStage(of: {
  readonly valley: number;
  readonly top: number;
  readonly output: number;
  readonly current: number;
}): MainsStage {
  const { valley, top, output, current } = of;
  const frequency = MAINS_SUPPLY.flyback;
  const turns = REFLECTED / (output + USUAL.drop);
  const duty = REFLECTED / (REFLECTED + valley);
  const power = (output * current) / MAINS_SUPPLY.efficiency;
  const inductance = (USUAL.underBoundary * (valley * duty) ** 2) / (2 * power * frequency);
  const worked = convert({
    topology: 'flyback',
    input: valley,
    output,
    current,
    frequency,
    inductance,
    turns,
    rectifierDrop: USUAL.drop,
    efficiency: MAINS_SUPPLY.efficiency,
  });
  const figures: readonly MainsFigure[] =
    'wrong' in worked
      ? []
      : [
          { name: 'primary', value: inductance, unit: 'henry' },
          { name: 'primary turns for one', value: turns, unit: 'count' },
          { name: 'peak of the switch', value: worked.switchPeak, unit: 'ampere' },
          { name: 'switch sees, with its clamp', value: top + REFLECTED * (1 + USUAL.clamp), unit: 'volt' },
          { name: 'rectifier stands', value: (top / turns + output) / USED_VOLTS.schottky, unit: 'volt' },
          { name: 'output cans, ripple', value: worked.outputCapacitorRms, unit: 'ampere' },
        ];
  return {
    id: 'flyback',
    name: 'Flyback',
    why: 'one switch and one transformer: usual up to some hundred watts',
    figures,
  };
}

function resonantStage({
  bus,
  output,
  current,
}: {
  readonly bus: number;
  readonly output: number;
  readonly current: number;
}): MainsStage {
  const { ratio, quality } = USUAL.tank;
  const resonance = USUAL.frequency.resonant;
  const volts = output + USUAL.drop;
  const turns = bus / (2 * volts);
  const reflected = (8 * turns ** 2 * (output / current)) / Math.PI ** 2;
  const series = (quality * reflected) / (2 * Math.PI * resonance);
  const tank = {
    series,
    magnetising: ratio * series,
    capacitance: 1 / (2 * Math.PI * resonance * quality * reflected),
    turns,
  };
  const found = resonantCurrents(tank, { volts, current, resonance });
  return {
    id: 'llc',
    name: 'Resonant half bridge (LLC)',
    why: 'two switches that turn on at no volts: usual above a hundred watts',
    figures: [
      { name: 'primary turns for one', value: turns, unit: 'count' },
      { name: 'resonant inductance', value: series, unit: 'henry' },
      { name: 'resonant capacitor', value: tank.capacitance, unit: 'farad' },
      { name: 'its current, rms', value: found.total, unit: 'ampere' },
      { name: 'switches stand', value: (bus * 1.1) / USED_VOLTS.mosfet, unit: 'volt' },
      { name: 'rectifiers stand', value: (2 * volts) / USED_VOLTS.schottky, unit: 'volt' },
      { name: 'output cans, ripple', value: found.outputCapacitor, unit: 'ampere' },
    ],
  };
}

/** Distances, tests and classes between the mains and what is touched. */
function barrierOf(mains: number, store: number): MainsDesign['barrier'] {
  const along = creepage(Math.max(mains, store / Math.SQRT2), 'ordinary board');
  const through = clearance(mains);
  return [
    ...(along === undefined
      ? []
      : [
          {
            name: 'creepage, reinforced',
            value: `${millimetres(Math.max(2 * along, BARRIER.creepage))} or more along every surface`,
            source: 'IEC 60664-1, pollution degree 2, twice basic; from memory',
          },
        ]),
    ...(through
      ? [
          {
            name: 'clearance, reinforced',
            value: `${millimetres(Math.max(through.reinforced, BARRIER.clearance))} or more through air`,
            source: 'IEC 60664-1, overvoltage category II; from memory',
          },
        ]
      : []),
    {
      name: 'transformer',
      value:
        'three layers of tape of which any two pass the test, or 0.4 mm solid, with margins; or triple-insulated wire',
      source: 'IEC 62368-1 and IEC 61558; from memory',
    },
    {
      name: 'test',
      value: '3 kV AC for a minute between mains and output, by a laboratory: the tester itself kills',
      source: 'IEC 62368-1, reinforced; from memory',
    },
    {
      name: 'over the barrier',
      value:
        'only Y capacitors and an optocoupler rated for it; without earth it is class II and its case is part of the barrier',
      source: 'IEC 60384-14, IEC 62368-1; from memory',
    },
  ];
}
