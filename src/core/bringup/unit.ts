import { practice } from '../evidence';
import type { Board } from '../board';
import type { RoleName } from '../diagnose';
import { chipByMarking, type ChipFamily, type ChipRole } from '../chips';
import { outputPower, supplyOf, type Nameplate, type NameplateOutput } from '../nameplate';
import { hasTransformer, TOUCH_LIMIT_DC, type StoreRole } from '../safety';
import type { UnitKindName } from '../unit';
import { lampFor, type LampChoice } from './lamp';

/** A store of charge, as far as a power-up asks. Farads, volts. */
export interface UnitStore {
  readonly name: string;
  readonly role: StoreRole;
  readonly capacitance: number;
  readonly rated?: number;
  /** The most it may hold. */
  readonly holds?: number;
  /** It is one of two in a row across the rectified mains. */
  readonly isHalf?: boolean;
}

/** A unit that is to be powered up. */
export interface PowerUpUnit {
  readonly kind: UnitKindName;
  readonly plate: Nameplate;
  /** The mains at the bench, rms volts. */
  readonly mains: number;
  readonly stores: readonly UnitStore[];
  readonly board: Board;
  /** What it is known to be, such as `flyback`. */
  readonly topologies: readonly string[];
  /** Whether its outputs are apart from the mains, where that was traced. */
  readonly isIsolated?: boolean;
  /** References of parts by what they are, the surest first. */
  readonly partsOf: (role: RoleName) => readonly string[];
  /** References of parts that are new. */
  readonly replaced: readonly string[];
  /** Why it stays shut, where one of its cautions says so. */
  readonly leaveShut?: string;
}

/** A rail that it should give. */
export interface Rail {
  /** “24 V”, “5V standby”. */
  readonly name: string;
  readonly output: NameplateOutput;
  readonly volts: number;
  readonly amperes?: number;
  readonly watts?: number;
  /** Where it is read. */
  readonly at: string;
}

/** What follows from a unit before any step is written. */
export interface PowerUpFacts {
  readonly unit: PowerUpUnit;
  readonly feed: 'mains' | 'direct' | 'controller';
  /** Volts it is fed with: rms on the mains. */
  readonly volts: number;
  readonly idle: number;
  readonly full: number;
  readonly lamp: LampChoice;
  readonly rails: readonly Rail[];
  readonly standby: Rail | undefined;
  /** Hands may come near its outputs while it runs. */
  readonly isIsolated: boolean;
  readonly hasEarth: boolean;
  readonly corrects: boolean;
  readonly controller: { readonly ref: string; readonly family: ChipFamily } | undefined;
  readonly names: (role: RoleName, otherwise: string) => string;
}

/** Share of its input that a supply gives on, its idle input, and how its current follows the power without correction. */
const TAKES = practice({ efficiency: 0.8, idleShare: 0.02, idleLeast: 1, largeIdleShare: 0.05, large: 150 } as const);
/** What a unit takes at full load where its plate does not say. */
const FULL_UNKNOWN = practice(60);
/** Kinds whose outputs are touched in use, so that they are made to be apart from the mains. */
const TOUCHED: ReadonlySet<UnitKindName> = new Set(['plug-top', 'desk-brick', 'usb-charger', 'battery-charger']);
/** Chips that command a main switch. */
const COMMANDS: ReadonlySet<ChipRole> = new Set([
  'current-mode',
  'voltage-mode',
  'quasi-resonant',
  'llc',
  'combo',
  'switcher',
]);
/** Mains of the world that a bench may have, rms volts; nominal values of IEC 60038 and of Japan, from memory. */
export const MAINS_CHOICES = [230, 120, 100] as const;
/** How far the mains may lie from a printed range; IEC 60038. */
const MAINS_SPREAD = 0.1;

/** What a plate asks for that the mains of the bench does not give; nothing where they agree. */
export function mainsMismatch({ plate, mains }: Pick<PowerUpUnit, 'plate' | 'mains'>): string | undefined {
  const supply = supplyOf(plate);
  if (supply?.kind !== 'ac') return undefined;
  const { vMin, vMax } = supply;
  if (mains >= vMin * (1 - MAINS_SPREAD) && mains <= vMax * (1 + MAINS_SPREAD)) return undefined;
  return `Its label asks for ${vMin === vMax ? vMin : `${vMin} to ${vMax}`} V, and the mains here is ${mains} V.`;
}

const nameOf = (output: NameplateOutput): string => {
  const volts = `${output.v}`.replace('-', '−');
  return output.standby ? `${volts}V standby` : `${volts} V`;
};

/** The store that stands on an output: the one whose rating lies next above it. */
function placeOf(output: NameplateOutput, stores: readonly UnitStore[], count: number): string {
  const size = Math.abs(output.vMax ?? output.v);
  const fitting = stores
    .filter(
      ({ role, rated }) =>
        role === 'output' && (rated === undefined ? count === 1 : rated > size && rated < 3.2 * size),
    )
    .toSorted((a, b) => (a.rated ?? 0) - (b.rated ?? 0));
  return fitting[0]?.name ?? 'its output';
}

/** Cans in a row share the crest of the mains: each is rated for less than it. */
function withHalves(stores: readonly UnitStore[], volts: number): readonly UnitStore[] {
  const low = stores.filter(({ role, rated }) => role === 'bulk' && rated !== undefined && rated < volts * Math.SQRT2);
  return low.length < 2 ? stores : stores.map((store) => (low.includes(store) ? { ...store, isHalf: true } : store));
}

/**
 * Whether hands may come near what hangs on its outputs: nothing over the touch limit, and on the mains a transformer between, by
 * the traced board, else by its kind. A board traced in part may look apart while a join is missing: one of its stages must be known
 * to have a transformer. That the barrier holds is measured before it is plugged in.
 */
function mayBeTouched(
  { plate, topologies, kind, isIsolated }: PowerUpUnit,
  feed: PowerUpFacts['feed'],
  fedWith: number,
): boolean {
  const limit = TOUCH_LIMIT_DC.volts;
  if (plate.outputs.some(({ v, vMax }) => Math.abs(vMax ?? v) > limit)) return false;
  if (feed === 'direct') return fedWith <= limit;
  if (feed === 'controller' || isIsolated === false) return false;
  return topologies.length > 0 ? hasTransformer(topologies) : TOUCHED.has(kind);
}

/** What a unit comes to; nothing where its plate does not say what feeds it. */
export function powerUpFacts(unit: PowerUpUnit): PowerUpFacts | undefined {
  const supply = supplyOf(unit.plate);
  const isController = unit.topologies.some((name) => name === 'phase-control') || unit.kind === 'power-controller';
  if (!supply) return undefined;
  const feed = isController ? 'controller' : supply.kind === 'ac' ? 'mains' : 'direct';
  const given = unit.plate.outputs.filter(({ v }) => v !== 0);
  // Of choices the first is what comes without asking.
  const [first] = given.filter(({ alternative }) => alternative);
  const outputs = given.filter((output) => !output.alternative || output === first);
  const rails = outputs.map((output): Rail => {
    const watts = outputPower(output);
    const amperes = output.i ?? (watts === undefined ? undefined : watts / Math.abs(output.v));
    return {
      name: nameOf(output),
      output,
      volts: output.v,
      at: placeOf(output, unit.stores, outputs.length),
      ...(amperes === undefined ? {} : { amperes }),
      ...(watts === undefined ? {} : { watts }),
    };
  });
  const watts = unit.plate.totalPower ?? rails.reduce((sum, rail) => sum + (rail.watts ?? 0), 0);
  const full = watts > 0 ? watts / TAKES.efficiency : (supply.power ?? FULL_UNKNOWN);
  const volts = supply.kind === 'ac' ? unit.mains : (supply.vMin + supply.vMax) / 2;
  const idle = full > TAKES.large ? TAKES.largeIdleShare * full : Math.max(TAKES.idleLeast, TAKES.idleShare * full);
  const chips = unit.board.parts.flatMap(({ ref, marking }) => {
    const family = chipByMarking(marking);
    return family?.supply && COMMANDS.has(family.role) ? [{ ref, family }] : [];
  });
  return {
    unit: feed === 'mains' ? { ...unit, stores: withHalves(unit.stores, volts) } : unit,
    feed,
    volts,
    idle,
    full,
    lamp: lampFor({ mains: volts, idle, full }),
    rails: rails.filter(({ output }) => !output.standby),
    standby: rails.find(({ output }) => output.standby),
    isIsolated: mayBeTouched(unit, feed, supply.vMax),
    hasEarth: unit.plate.safetyClass === 'I' || unit.board.parts.some(hasEarthPin),
    corrects: unit.topologies.some((name) => name.includes('pfc')),
    controller: chips[0],
    names: (role, otherwise) => unit.partsOf(role).slice(0, 3).join(', ') || otherwise,
  };
}

const EARTH: ReadonlySet<string> = new Set(['PE', 'E', 'EARTH']);
const hasEarthPin = ({ role, pins }: Board['parts'][number]): boolean =>
  role === 'mains-inlet' && Object.keys(pins).some((pin) => EARTH.has(pin.toUpperCase()));
