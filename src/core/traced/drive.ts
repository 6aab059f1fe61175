import { practice } from '../evidence';
import { chipByMarking, oscillatorFrequency, type ChipFamily } from '../chips';
import type { BoardPart } from '../board';
import type { FoundStage, Model } from '../topology';
import type { Drive, Gates } from '../whatif';
import { TYPICAL } from './typical';
import type { Values } from './unit';

/** How a stage of a topology works. */
export interface Way {
  /** When its rectifiers conduct: with the switch, after it, or in turns. */
  readonly conducts: 'on' | 'off' | 'both';
  readonly turned: 'duty' | 'frequency';
  /** Switches at once, in two sets that take turns, or one that clamps while the other rests. */
  readonly gates: 'together' | 'turns' | 'clamp';
  /** Share of the source that stands across the primary or the choke. */
  readonly share: number;
  readonly isTransformer: boolean;
  /** Whether the output lies behind a choke that the switch feeds. */
  readonly ratio: 'buck' | 'boost' | 'both';
}

const flyback = {
  conducts: 'off',
  turned: 'duty',
  gates: 'together',
  share: 1,
  isTransformer: true,
  ratio: 'both',
} as const;
const forward = {
  conducts: 'on',
  turned: 'duty',
  gates: 'together',
  share: 1,
  isTransformer: true,
  ratio: 'buck',
} as const;
const turns = {
  conducts: 'both',
  turned: 'duty',
  gates: 'turns',
  share: 1,
  isTransformer: true,
  ratio: 'buck',
} as const;
const cell = { conducts: 'off', turned: 'duty', gates: 'together', share: 1, isTransformer: false } as const;

/** The topologies that can be run as they were traced. Textbook forms. */
export const WAYS: Readonly<Record<string, Way>> = {
  flyback,
  'rcc-flyback': flyback,
  'two-switch-flyback': flyback,
  'active-clamp-flyback': { ...flyback, gates: 'clamp' },
  forward,
  'two-switch-forward': forward,
  'push-pull': turns,
  'half-bridge': { ...turns, share: 0.5 },
  'full-bridge': turns,
  'llc-half-bridge': { ...turns, turned: 'frequency', share: 0.5 },
  buck: { ...cell, ratio: 'buck' },
  'synchronous-buck': { ...cell, ratio: 'buck' },
  boost: { ...cell, ratio: 'boost' },
  'boost-pfc': { ...cell, ratio: 'boost' },
  'inverting-buck-boost': { ...cell, ratio: 'both' },
  sepic: { ...cell, ratio: 'both' },
  cuk: { ...cell, ratio: 'both' },
};

/** The family of the chip that commands a stage, if it is remembered. */
export const familyOf = ({ controllers, switches }: FoundStage): ChipFamily | undefined =>
  [...controllers, ...switches].flatMap(({ kind, marking }) =>
    kind === 'ic' ? (chipByMarking(marking) ?? []) : [],
  )[0];

const chipOf = ({ controllers, switches }: FoundStage): BoardPart | undefined =>
  controllers.find(({ kind }) => kind === 'ic') ?? switches.find(({ kind }) => kind === 'ic');

/** The frequency that a stage is clocked with, hertz: by its timing parts, by its chip, or as is usual. */
export function frequencyOf(stage: FoundStage, model: Model, values: Values, way: Way): number {
  const chip = chipOf(stage);
  const family = familyOf(stage);
  const ref = chip?.ref ?? stage.switches[0]?.ref ?? '';
  const note = (value: number, source: 'decoded' | 'remembered' | 'typical', why: string) => {
    values.note({ ref, name: 'frequency', label: 'frequency', value, unit: 'hertz', source, why });
    return value;
  };
  if (chip && family?.oscillator) {
    const timing = family.pins.find(({ does }) => does === 'timing');
    const reference = family.pins.find(({ does }) => does === 'reference');
    const parts = timing ? around(model, chip, `${timing.number}`) : [];
    const isOn = (part: BoardPart, pin: number | undefined) =>
      pin !== undefined &&
      Object.keys(part.pins).some((own) => model.nets.of(`${part.ref}.${own}`) === model.nets.of(`${chip.ref}.${pin}`));
    const resistor = parts.find((part) => part.kind === 'resistor' && isOn(part, reference?.number));
    const capacitor = parts.find(({ kind }) => kind === 'capacitor');
    const ohms = resistor && values.find(resistor, 'resistance');
    const farads = capacitor && values.find(capacitor, 'capacitance');
    const found = ohms && farads ? oscillatorFrequency(family, ohms, farads) : undefined;
    if (found && found > 5e3 && found < 2e6)
      return note(found, 'decoded', `${resistor?.ref ?? ''} and ${capacitor?.ref ?? ''} at a ${family.id}`);
  }
  if (family?.frequency) return note(family.frequency, 'remembered', `a ${family.id} is clocked with that`);
  const usual =
    stage.topology === 'rcc-flyback'
      ? TYPICAL.frequency.self
      : way.turned === 'frequency'
        ? TYPICAL.frequency.resonant
        : TYPICAL.frequency.clocked;
  return note(usual, 'typical', 'usual for such a stage; measure it at the gate');
}

const around = ({ nets }: Model, chip: BoardPart, pin: string): readonly BoardPart[] =>
  (nets.pins[nets.of(`${chip.ref}.${pin}`)] ?? []).map(({ part }) => part).filter((part) => part !== chip);

/** What a shunt in the foot of a switch lets through, ampere; none where the chip is not known to end a pulse by it. */
export function limitOf(stage: FoundStage, model: Model, values: Values): number | undefined {
  const family = familyOf(stage);
  const [lead] = stage.switches;
  if (family?.role !== 'current-mode' || !lead || lead.kind === 'ic') return undefined;
  const foot = model.nets.of(`${lead.ref}.${lead.kind === 'nmos' ? 'S' : 'E'}`);
  const shunts = model.board.parts.filter(
    (part) =>
      part.kind === 'resistor' &&
      part.fitted !== false &&
      model.rails.isPass(part) &&
      Object.keys(part.pins).some((pin) => model.nets.of(`${part.ref}.${pin}`) === foot),
  );
  const siemens = shunts.reduce((sum, part) => sum + 1 / (values.find(part, 'resistance') ?? Infinity), 0);
  if (siemens <= 0) return undefined;
  const amperes = TYPICAL.senseVolts * siemens;
  values.note({
    ref: shunts[0]?.ref ?? lead.ref,
    name: 'limit',
    label: 'current limit',
    value: amperes,
    unit: 'ampere',
    source: 'remembered',
    why: `a ${family.id} ends a pulse at 1 V across ${shunts.map(({ ref }) => ref).join(' and ')}`,
  });
  return amperes;
}

/** Sets of switches that conduct together. */
export interface GateSets {
  readonly first: readonly string[];
  readonly second: readonly string[];
}

/** Which switches of a stage close together. */
export function gateSets(
  { switches }: FoundStage,
  { gates }: Way,
  { elements }: Model,
  { plus, minus }: { readonly plus: number; readonly minus: number },
): GateSets {
  const refs = switches.map(({ ref }) => ref);
  if (gates === 'together') return { first: refs, second: [] };
  const own = elements.switches.filter(({ part }) => switches.includes(part));
  const refsOf = (list: typeof own) => list.map(({ part }) => part.ref);
  if (gates === 'clamp') {
    const main = own.filter(({ lo }) => lo === minus);
    return { first: refsOf(main), second: refs.filter((ref) => !refsOf(main).includes(ref)) };
  }
  const high = own.filter(({ hi }) => hi === plus);
  const low = own.filter(({ lo }) => lo === minus);
  const legs = [...new Set(high.map(({ lo }) => lo))];
  if (legs.length > 1)
    return {
      first: [...refsOf(high.filter(({ lo }) => lo === legs[0])), ...refsOf(low.filter(({ hi }) => hi !== legs[0]))],
      second: [...refsOf(high.filter(({ lo }) => lo !== legs[0])), ...refsOf(low.filter(({ hi }) => hi === legs[0]))],
    };
  if (high.length > 0) return { first: refsOf(high), second: refs.filter((ref) => !refsOf(high).includes(ref)) };
  const swings = [...new Set(own.map(({ hi }) => hi))];
  const first = own.filter(({ hi }) => hi === swings[0]);
  return { first: refsOf(first), second: refs.filter((ref) => !refsOf(first).includes(ref)) };
}

/** Between two switches of one leg neither conducts, seconds. */
const PAUSE = practice(250e-9);

/** The drive of a stage: its duty or its frequency is turned. */
export function driveOf(of: {
  readonly way: Way;
  readonly sets: GateSets;
  readonly hertz: number;
  readonly duty: number;
  readonly most: number;
  readonly amperes: number | undefined;
}): Drive {
  const { way, sets, hertz, duty } = of;
  const [lead = ''] = sets.first;
  // Without a limit it must not stand in the way of the output.
  const limit = { ref: lead, amperes: of.amperes ?? 1e6 };
  const gatesAt = (period: number, width: number): Gates => {
    const all = (refs: readonly string[], delay: number, wide: number) =>
      refs.map((ref) => [ref, { delay, width: wide }] as const);
    const half = Math.min(width, period / 2 - PAUSE);
    switch (way.gates) {
      case 'together':
        return Object.fromEntries(all(sets.first, 0, width));
      case 'turns':
        return Object.fromEntries([...all(sets.first, 0, half), ...all(sets.second, period / 2, half)]);
      case 'clamp':
        return Object.fromEntries([
          ...all(sets.first, 0, width),
          ...all(sets.second, width + PAUSE, Math.max(0, period - width - 2 * PAUSE)),
        ]);
    }
  };
  if (way.turned === 'frequency')
    return {
      kind: 'frequency',
      least: hertz / 2,
      most: 3 * hertz,
      guess: () => hertz,
      gates: ({ period }) => gatesAt(period, period / 2),
      limit,
    };
  const most = way.gates === 'turns' ? Math.min(0.5, of.most) : of.most;
  return {
    kind: 'duty',
    least: 0.003,
    most,
    guess: () => Math.min(most, Math.max(0.003, duty)),
    period: () => 1 / hertz,
    gates: ({ period, control }) => gatesAt(period, control * period),
    limit,
  };
}
