import { simulate, type Measure } from '../circuit';
import { expectedEsr } from '../measure';
import { RATINGS, type RatingName } from '../part';
import type { Unit } from '../quantity';
import { onGrowth, SWITCHED } from '../thermal';
import {
  answerOf,
  circuitById,
  deckOf,
  elementOf,
  outputOf,
  spiceOf,
  studyOf,
  type Answer,
  type PowerCircuit,
  type PowerPart,
  type Study,
  type Values,
} from '../whatif';
import { flybackCircuit } from './flyback';
import { strayOf, type Fit } from './parts';
import { RULES } from './rules';
import type { Design } from './search';
import { isPaired, type DesignRole, type DesignSpec } from './spec';

/** A design with the values of its lots, before it is run. */
export interface DesignCircuit {
  readonly circuit: PowerCircuit;
  readonly values: Values;
  /** What stands beside each part on its drawing. */
  readonly figures: Readonly<Record<string, { readonly value: number; readonly unit: Unit }>>;
}

/** A design as it runs with its own parts, at the input that asks most of its choke. */
export interface DesignRun {
  /** Its waves, stresses and output, as the simulator finds them. */
  readonly answer: Answer;
  readonly volts: number;
  readonly ripple: number;
  /** Highest current of a choke. */
  readonly peak: number;
  /** The deck in the language of SPICE, to run elsewhere. */
  readonly spice: string;
  readonly start: StartUp | undefined;
  readonly step: LoadStep | undefined;
}

/** What switching on does at the duty of the steady state, without a soft start: highest current of the choke and volts of the output. */
export interface StartUp {
  readonly choke: number;
  readonly volts: number;
}

/** What a load that comes at once does to the output before its loop answers: from half to full, volts that it dips. */
export interface LoadStep {
  readonly from: number;
  readonly to: number;
  readonly dip: number;
}

/** Celsius at which a switch in use is reckoned. */
const WARM = 80;

/** References of a role in the circuit. */
export function refsOf(design: Pick<Design, 'topology'>, role: DesignRole): readonly string[] {
  if (role === 'choke' && design.topology === 'flyback') return ['T1'];
  const paired = isPaired(design.topology);
  const refs: Readonly<Record<DesignRole, readonly string[]>> = {
    choke: paired ? ['L1', 'L2'] : ['L1'],
    switch: ['Q1'],
    rectifier: ['D1'],
    link: ['C2'],
    output: [paired ? 'C3' : 'C2'],
    input: ['C1'],
    snubber: [design.topology === 'flyback' ? 'C5' : 'C8'],
  };
  return refs[role];
}

/** The circuit of a design with the parts of its lots; those that must be bought are as usual. */
function partsOf(design: Design, spec: DesignSpec): { readonly circuit: PowerCircuit; readonly values: Values } {
  const base = design.topology === 'flyback' ? flybackCircuit(design) : circuitById(design.topology);
  if (!base) throw new Error(`There is no circuit ${design.topology}.`);
  const { output } = design.parts;
  const { topology } = design;
  const values: Values = {
    input: topology === 'buck' ? spec.inputHigh : spec.inputLow,
    output: Math.abs(spec.output),
    load: spec.current,
    frequency: design.frequency,
    inductance: design.inductance,
    capacitance: output ? (output.lot.ratings['capacitance'] ?? 0) * output.count : 220e-6,
    esr: output ? esrOf(output) / output.count : 0.05,
  };
  const fits = new Map<string, Fit>();
  for (const [role, fit] of Object.entries(design.parts) as [DesignRole, Fit][])
    for (const ref of refsOf(design, role)) fits.set(ref, fit);
  const parts = (own: Values) => base.parts(own).map((part) => withLot(part, fits.get(part.ref)));
  const saturates = design.parts.choke?.lot.ratings['saturation'];
  const drive =
    base.drive.kind === 'duty'
      ? { ...base.drive, limit: { ref: 'Q1', amperes: Math.max(2 * design.demand.switchPeak, saturates ?? 0) } }
      : base.drive;
  return { circuit: { ...base, parts, drive }, values };
}

const esrOf = ({ lot: { ratings } }: Fit): number =>
  ratings['esr'] ?? expectedEsr({ capacitance: ratings['capacitance'] ?? 1e-4, voltage: ratings['voltage'] ?? 25 });

function withLot(part: PowerPart, fit: Fit | undefined): PowerPart {
  if (!fit) return part;
  const { ratings, technology = '' } = fit.lot;
  const { model } = part;
  const has = (name: string) => ratings[name];
  switch (model.kind) {
    case 'capacitor': {
      const ohms = technology === 'film' || technology === 'ceramic' ? (has('esr') ?? RULES.link.ohms) : esrOf(fit);
      return {
        ...part,
        model: { ...model, farads: (has('capacitance') ?? model.farads) * fit.count, ohms: ohms / fit.count },
        limits: {
          ...part.limits,
          volts: has('voltage') ?? 0,
          rms: (has('ripple') ?? Math.sqrt(RULES.canHeat / ohms)) * fit.count,
        },
      };
    }
    case 'choke':
      return {
        ...part,
        model: { ...model, henries: has('inductance') ?? model.henries, ohms: has('dcr') ?? RULES.dcrUnknown },
        limits: { amperes: has('saturation') ?? has('current') ?? 0 },
      };
    case 'transformer':
      return {
        ...part,
        model: {
          ...model,
          henries: has('inductance') ?? model.henries,
          leakage: strayOf(fit.lot.ratings),
          windings: model.windings.map((winding, place) => ({
            ...winding,
            // What was wound for it has ohms of its own; of another the secondary is taken to lose as much as the primary.
            ohms:
              place === 1 && fit.lot.winding?.secondary
                ? fit.lot.winding.secondary.ohms
                : (has('dcr') ?? RULES.dcrUnknown) / (place === 0 ? 1 : (has('turnsRatio') ?? 1) ** 2),
          })),
        },
        limits: { amperes: has('saturation') ?? has('current') ?? 0 },
      };
    case 'mosfet':
      return {
        ...part,
        model: {
          ...model,
          ohms: (has('rdsOn') ?? model.ohms) * onGrowth({ rating: has('vds') ?? 100, celsius: WARM }),
          farads: has('coss') ?? SWITCHED.outputCapacitance,
        },
        limits: { ...part.limits, volts: has('vds') ?? 0, amperes: 3 * (has('id') ?? 0) },
      };
    case 'diode': {
      const drop = Math.max(has('vf') ?? 0, /schottky/iu.test(technology) ? RULES.drops.rectifier : RULES.drops.fast);
      return {
        ...part,
        // What it drops at the current it carries; part of that is its own resistance.
        model: { ...model, drop: 0.85 * drop },
        limits: { volts: has('vrrm') ?? 0, mean: has('ifav') ?? 0 },
      };
    }
    default:
      return part;
  }
}

/** The value a part is told by on the drawing. */
const TOLD: Readonly<Record<DesignRole, readonly RatingName[]>> = {
  choke: ['inductance'],
  switch: ['vds'],
  rectifier: ['vrrm'],
  link: ['capacitance'],
  output: ['capacitance'],
  input: ['capacitance'],
  snubber: ['capacitance'],
};

/** The circuit of a design with its own values; those of parts that must be bought are as usual. */
export function circuitOf(design: Design, spec: DesignSpec): DesignCircuit {
  const { circuit, values } = partsOf(design, spec);
  const figures: Record<string, { value: number; unit: Unit }> = {
    J1: { value: values['input'] ?? 0, unit: 'volt' },
    J2: { value: Math.abs(spec.output), unit: 'volt' },
  };
  for (const [role, fit] of Object.entries(design.parts) as [DesignRole, Fit][])
    for (const ref of refsOf(design, role))
      for (const name of TOLD[role]) {
        const value = fit.lot.ratings[name];
        const { unit } = RATINGS[name];
        if (value !== undefined) figures[ref] = { value: unit === 'farad' ? value * fit.count : value, unit };
      }
  return { circuit, values, figures };
}

/**
 * Runs the steady state of a design with its own parts; nothing where one of them is missing, or where it does not settle.
 * @param isOver asked between periods; true ends the run with what was reached
 */
export function runDesign(
  design: Design,
  spec: DesignSpec,
  isOver: () => boolean = () => false,
): DesignRun | undefined {
  if (design.missing.length > 0) return undefined;
  const { circuit, values } = partsOf(design, spec);
  const study = studyOf(circuit, values, { isOver });
  if ('kind' in study) return undefined;
  const stores = study.stresses.filter(({ ref, kind }) => /^[LT]/u.test(ref) && kind === 'core');
  return {
    answer: answerOf(study),
    volts: Math.abs(study.output.volts),
    ripple: study.output.ripple,
    peak: Math.max(0, ...stores.map(({ value }) => value)),
    spice: spiceOf(study),
    start: isOver() ? undefined : startOf(study, design.topology === 'flyback' ? ['Q1'] : refsOf(design, 'choke')),
    step: isOver() ? undefined : stepOf(circuit, values, isOver),
  };
}

/** Periods that a start and a step are looked at. */
const LOOKED_AT = { start: 300, step: 25 } as const;

/** Runs a deck for some periods from given stores, at a fixed duty. */
function onwards(
  { setting, operation: { control } }: Pick<Study, 'setting' | 'operation'>,
  stored: Study['operation']['stored'],
  of: { readonly periods: number; readonly signals: readonly (readonly ['max' | 'min', Measure['signal']])[] },
): readonly number[] | undefined {
  const { deck, period } = deckOf(setting, control, stored);
  const span = of.periods * period;
  const measures = of.signals.map(([op, signal], place): Measure => ({
    text: String(place),
    op,
    signal,
    window: { kind: 'span', from: 0, to: span },
  }));
  const result = simulate({ ...deck, span, measures }, { period });
  if ('kind' in result || result.cut !== undefined) return undefined;
  return measures.map(({ text }) => result.measures[text]?.value ?? Number.NaN);
}

/** The first periods from all stores empty. */
function startOf(study: Study, chokes: readonly string[]): StartUp | undefined {
  const { operation, setting } = study;
  const empty = new Map(
    operation.deck.elements.flatMap(({ kind, name }) => (kind === 'L' || kind === 'C' ? [[name, 0]] : [])),
  );
  const found = onwards(study, empty, {
    periods: LOOKED_AT.start,
    signals: [
      ['max', outputOf(setting.circuit)],
      ...chokes.map((ref) => ['max', { kind: 'amperes', element: elementOf(ref) }] as const),
    ],
  });
  return found && { volts: found[0] ?? 0, choke: Math.max(0, ...found.slice(1)) };
}

/** From half to full load at the duty of half load. */
function stepOf(circuit: PowerCircuit, values: Values, isOver: () => boolean): LoadStep | undefined {
  const to = values['load'] ?? 0;
  const half = studyOf(circuit, { ...values, load: to / 2 }, { isOver });
  if ('kind' in half) return undefined;
  const setting = { ...half.setting, values, parts: circuit.parts(values) };
  const found = onwards({ setting, operation: half.operation }, half.operation.stored, {
    periods: LOOKED_AT.step,
    signals: [['min', outputOf(circuit)]],
  });
  return found && { from: to / 2, to, dip: Math.max(0, Math.abs(half.output.volts) - (found[0] ?? 0)) };
}
