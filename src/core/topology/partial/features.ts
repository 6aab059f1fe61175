import type { BoardPart } from '../../board';
import { CELL_STORIES } from '../forms/cellStories';
import { DRIVES } from '../forms/drives';
import { OUTPUT_FORMS } from '../forms/outputs';
import type { FoundStage } from '../match/stage';
import type { Model } from '../model';
import { isLamp } from '../model/parts';
import { SLOT_CLASSES } from './classes';
import type { Inventory } from './inventory';

export interface FormScores {
  readonly drives: Readonly<Record<string, number>>;
  readonly outputs: Readonly<Record<string, number>>;
  readonly cells: Readonly<Record<string, number>>;
}

const few = (count: number, most: number) => Math.min(count, most) / most;
const is = (fact: boolean) => (fact ? 1 : 0);

/** Numbers that describe a slot, by name; every one lies between about −1 and 1. */
export function featuresOf(
  anchor: BoardPart,
  model: Model,
  inventory: Inventory,
  found: readonly FoundStage[],
  scores: FormScores,
): Readonly<Record<string, number>> {
  const { rails, elements, held, board } = model;
  const pins = Object.keys(anchor.pins);
  const windings = anchor.windings ?? [];
  const transformers = board.parts.filter(({ kind }) => kind === 'transformer');
  const chokes = board.parts.filter(({ kind }) => kind === 'inductor');
  const henries = anchor.value?.inductance;
  const own = elements.windings.filter(({ part }) => part === anchor);
  const anchorRails = [
    ...new Set(own.flatMap((winding) => winding.rails).concat(pins.map((pin) => rails.at(anchor, pin)))),
  ].filter((rail) => rail >= 0);
  const others = (rail: number) => rails.on(rail).filter(({ part }) => part !== anchor);
  const railsWith = (wanted: (rail: number) => boolean) => anchorRails.filter(wanted).length;
  const meets = (rail: number, kinds: readonly string[]) => others(rail).some(({ part }) => kinds.includes(part.kind));
  const switchesAt = (rail: number) =>
    elements.switches.filter(({ part, hi, lo }) => part !== anchor && (hi === rail || lo === rail));
  const rectifiersAt = (rail: number) =>
    elements.rectifiers.filter(({ isBody, from, to }) => !isBody && (from === rail || to === rail));
  const farOf = ({ from, to }: { from: number; to: number }, rail: number) => (from === rail ? to : from);
  const isStored = (rail: number) => rails.on(rail).some(({ part }) => part.kind === 'capacitor' && '+' in part.pins);
  const hasChoke = (rail: number) =>
    elements.inductive.some(({ part, a, b }) => part !== anchor && (a === rail || b === rail));
  const switchRails = anchorRails.filter((rail) => switchesAt(rail).length > 0);
  const totems = anchorRails.filter((rail) => {
    const at = switchesAt(rail);
    return at.some(({ lo }) => lo === rail) && at.some(({ hi }) => hi === rail);
  });
  const chipsWithSwitch = railsWith((rail) =>
    others(rail).some(
      ({ part }) =>
        part.kind === 'ic' &&
        part.subtype !== 'gate-driver' &&
        part.subtype !== 'sync-rectifier' &&
        part.subtype !== 'controller',
    ),
  );
  const nearTotem = railsWith(
    (rail) =>
      elements.capacitors.some(
        ({ a, b, polarised }) => !polarised && (a === rail || b === rail) && switchesAt(a === rail ? b : a).length > 1,
      ) ||
      elements.inductive.some(
        ({ part, a, b }) => part !== anchor && (a === rail || b === rail) && switchesAt(a === rail ? b : a).length > 1,
      ),
  );
  const traced = board.parts.reduce(
    (sum, part) => sum + Object.keys(part.pins).filter((pin) => rails.on(rails.at(part, pin)).length > 1).length,
    0,
  );
  const all = board.parts.reduce((sum, part) => sum + Object.keys(part.pins).length, 0);
  const rectified = anchorRails.flatMap((rail) => rectifiersAt(rail).map((element) => farOf(element, rail)));
  const hereTraced = pins.filter((pin) => rails.on(rails.at(anchor, pin)).length > 1).length / Math.max(1, pins.length);
  const features: Record<string, number> = {
    one: 1,
    transformer: is(anchor.kind === 'transformer'),
    'many pins': few(pins.length, 10),
    'windings 2': is(windings.length === 2),
    'windings 3': is(windings.length === 3),
    'windings 4+': is(windings.length >= 4),
    tapped: is(windings.some((winding) => winding.length > 2)),
    'tapped twice': is(windings.filter((winding) => winding.length > 2).length > 1),
    'tapped 4+': is(windings.some((winding) => winding.length > 3)),
    'most pins': is(transformers.every((other) => Object.keys(other.pins).length <= pins.length)),
    'only transformer': is(transformers.length === 1),
    'inductance known': is(henries !== undefined),
    'inductance small': is(henries !== undefined && henries < 6e-6),
    'inductance middle': is(henries !== undefined && henries >= 6e-6 && henries < 1.5e-4),
    'inductance large': is(henries !== undefined && henries >= 1.5e-4),
    mains: is(inventory.isMains),
    'mains transformer': is(inventory.isMains && anchor.kind === 'transformer'),
    'switches 0': is(inventory.fets + inventory.powerBipolars === 0),
    'switches 1': is(inventory.fets + inventory.powerBipolars === 1),
    'switches 2': is(inventory.fets + inventory.powerBipolars === 2),
    'switches 3': is(inventory.fets + inventory.powerBipolars === 3),
    'switches 4': is(inventory.fets + inventory.powerBipolars === 4),
    'switches 5+': is(inventory.fets + inventory.powerBipolars >= 5),
    'power bipolars': few(inventory.powerBipolars, 2),
    bipolars: is(board.parts.some(({ kind }) => kind === 'npn')),
    'chips 0': is(inventory.chips === 0),
    'chips 1': is(inventory.chips === 1),
    'chips 2': is(inventory.chips === 2),
    'chips 3+': is(inventory.chips >= 3),
    switcher: few(inventory.switcherChips, 2),
    drivers: few(inventory.drivers, 2),
    'sync chips': is(board.parts.some(({ subtype }) => subtype === 'sync-rectifier')),
    opto: is(inventory.optocouplers > 0),
    'optos 2': is(inventory.optocouplers > 1),
    'transformers 0': is(inventory.transformers === 0),
    'transformers 1': is(inventory.transformers === 1),
    'transformers 2': is(inventory.transformers === 2),
    'transformers 3+': is(inventory.transformers >= 3),
    'chokes 0': is(chokes.length === 0),
    'chokes 1': is(chokes.length === 1),
    'chokes 2': is(chokes.length === 2),
    'chokes 3+': is(chokes.length >= 3),
    'large chokes 0': is(inventory.largeChokes === 0),
    'large chokes 1': is(inventory.largeChokes === 1),
    'large chokes 2+': is(inventory.largeChokes >= 2),
    'any tapped': is(inventory.tapped > 0),
    duals: few(inventory.duals, 2),
    'rectifiers 1': is(inventory.rectifiers <= 1),
    'rectifiers 3+': is(inventory.rectifiers >= 3),
    'fast diodes': few(
      board.parts.filter(({ kind, subtype }) => kind === 'diode' && subtype !== 'zener' && subtype !== 'rectifier')
        .length,
      8,
    ),
    resonant: is(inventory.resonantFilms > 0),
    'resonant 2': is(inventory.resonantFilms > 1),
    blocking: is(inventory.blockingFilms > 0),
    'film 100n': is(
      board.parts.some(
        ({ kind, subtype, value }) =>
          kind === 'capacitor' &&
          subtype === 'film' &&
          (value?.capacitance ?? 0) >= 4e-8 &&
          (value?.capacitance ?? 0) <= 2.5e-7,
      ),
    ),
    'film input': is(
      board.parts.some(
        ({ kind, subtype, value }) =>
          kind === 'capacitor' &&
          subtype === 'film' &&
          (value?.capacitance ?? 0) >= 3e-7 &&
          (value?.voltage ?? 0) >= 400,
      ),
    ),
    'half stores': is(inventory.halfStores >= 2),
    'front end store': is(inventory.frontEndStores > 0),
    'high store': is(inventory.highStores > 0),
    coupling: few(inventory.ceramicsCoupling, 4),
    lamps: is(inventory.lamps > 0),
    thyristors: is(inventory.thyristors > 0),
    'outputs 0': is(inventory.outputs === 0),
    'outputs 2+': is(inventory.outputs >= 2),
    'outputs 3+': is(inventory.outputs >= 3),
    negative: is(inventory.negativeOutputs > 0),
    'step up': is(!inventory.isMains && inventory.vOut > inventory.vIn),
    'step down': is(!inventory.isMains && inventory.vOut > 0 && inventory.vOut < inventory.vIn * 0.7),
    'low output': is(inventory.vOut > 0 && inventory.vOut <= 5.5),
    traced: traced / Math.max(1, all),
    'here traced': hereTraced,
    'switch rails 1': is(switchRails.length === 1),
    'switch rails 2': is(switchRails.length >= 2),
    'switches here 2+': is(new Set(switchRails.flatMap((rail) => switchesAt(rail).map(({ part }) => part))).size >= 2),
    totem: few(totems.length, 2),
    'near totem': few(nearTotem, 2),
    'chip here': few(chipsWithSwitch, 2),
    'any chip here': is(railsWith((rail) => meets(rail, ['ic'])) > 0),
    'command here': is(
      railsWith((rail) =>
        others(rail).some(({ pin, part }) => (pin === 'G' || pin === 'B') && part.kind !== 'connector'),
      ) > 0,
    ),
    'rectifier here': few(
      railsWith((rail) => rectifiersAt(rail).length > 0),
      3,
    ),
    'rectifiers at one rail': is(anchorRails.some((rail) => rectifiersAt(rail).length > 1)),
    'rectified to store': few(rectified.filter(isStored).length, 3),
    'rectified to choke': few(rectified.filter(hasChoke).length, 2),
    'rectifiers meet': is(rectified.some((rail, index) => rectified.indexOf(rail) !== index)),
    'store here': few(railsWith(isStored), 3),
    'capacitor here': few(
      railsWith((rail) => others(rail).some(({ part }) => part.kind === 'capacitor' && !('+' in part.pins))),
      3,
    ),
    'choke here': few(
      railsWith((rail) => meets(rail, ['inductor'])),
      2,
    ),
    'transformer here': few(
      railsWith((rail) => meets(rail, ['transformer'])),
      2,
    ),
    'resistor here': few(
      railsWith((rail) => meets(rail, ['resistor'])),
      3,
    ),
    'connector here': few(
      railsWith((rail) => others(rail).some(({ part }) => part.kind === 'connector' && part.role === 'output')),
      2,
    ),
    'inlet here': few(
      railsWith((rail) => held.input.has(rail)),
      2,
    ),
    'line here': few(
      railsWith((rail) => held.mains.has(rail)),
      2,
    ),
    'rectified here': few(
      railsWith((rail) => held.rectified.has(rail)),
      2,
    ),
    'held here': few(
      railsWith((rail) => held.isHeld(rail)),
      3,
    ),
    'lamp here': is(railsWith((rail) => others(rail).some(({ part }) => isLamp(part))) > 0),
    'thyristor here': is(railsWith((rail) => meets(rail, ['scr'])) > 0),
    'spark here': is(railsWith((rail) => meets(rail, ['spark-gap'])) > 0),
    partner: is(found.some(({ magnetics }) => magnetics.includes(anchor) && magnetics[0] !== anchor)),
    'stages found': few(found.length, 3),
  };
  for (const { id } of DRIVES) features[`drive ${id}`] = (scores.drives[id] ?? 0) / 8;
  for (const { id } of OUTPUT_FORMS) features[`output ${id}`] = (scores.outputs[id] ?? 0) / 8;
  for (const { id } of CELL_STORIES) features[`cell ${id}`] = (scores.cells[id] ?? 0) / 8;
  for (const topology of SLOT_CLASSES)
    features[`found ${topology}`] = is(
      found.some((stage) => stage.topology === topology && stage.magnetics[0] === anchor),
    );
  for (const topology of ['boost-pfc', 'flyback', 'forward', 'half-bridge'])
    features[`elsewhere ${topology}`] = is(
      found.some((stage) => stage.topology === topology && !stage.magnetics.includes(anchor)),
    );
  return features;
}
