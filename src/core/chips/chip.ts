import { packageRule, type KindName } from '../part';
import type { PinFunction } from './pinFunctions';

/** What a chip does, for lists and for the topologies it points to. */
export const CHIP_ROLES = {
  'current-mode': 'current-mode controller',
  'voltage-mode': 'voltage-mode controller',
  'quasi-resonant': 'quasi-resonant controller',
  llc: 'resonant half-bridge controller',
  pfc: 'power factor controller',
  combo: 'power factor and main converter in one',
  switcher: 'controller with its switch inside',
  'gate-driver': 'gate driver',
  'sync-rectifier': 'synchronous rectifier controller',
  supervisor: 'supply supervisor',
  reference: 'shunt reference',
  optocoupler: 'optocoupler',
  comparator: 'comparator',
  'op-amp': 'operational amplifier',
  linear: 'linear regulator',
  'dc-dc': 'DC-DC converter',
  'x-discharge': 'X-capacitor discharger',
  timer: 'timer',
} as const;

export type ChipRole = keyof typeof CHIP_ROLES;

export interface ChipPin {
  /** Printed number of the pin. */
  readonly number: number;
  readonly name: string;
  readonly does: PinFunction;
}

/** An oscillator whose frequency follows f = factor / (R·C). */
export interface Oscillator {
  readonly factor: number;
  /** The formula in words, with the pins that R and C hang on. */
  readonly message: string;
}

/** A family of chips that share pins. Every value is remembered: check the datasheet. */
export interface ChipFamily {
  /** Name of the family, as the trade says it. */
  readonly id: string;
  readonly role: ChipRole;
  /** The part kind it is logged as. */
  readonly kind: KindName;
  /** One sentence on what it is. */
  readonly function: string;
  /** Full numbers, upper case, without package letters. */
  readonly names: readonly string[];
  /** Digits that tell the family behind any maker's letters, such as 3843. */
  readonly cores: readonly string[];
  /** What the letters behind the number usually mean. */
  readonly suffixes?: string;
  readonly packages: readonly string[];
  /** Count of legs of the usual case, missing ones counted. */
  readonly legs: number;
  /** Pins whose function is remembered; a missing number is a missing leg or one not remembered. */
  readonly pins: readonly ChipPin[];
  /** Pins in cases where they lie otherwise; none where they are not remembered. */
  readonly otherCases?: Readonly<Record<string, readonly ChipPin[]>>;
  /** Volts at which it starts and stops, and the most it may be fed with. */
  readonly supply?: { readonly start: number; readonly stop: number; readonly most?: number };
  /** Supply range in volts for chips without a start threshold. */
  readonly range?: { readonly low: number; readonly high: number };
  /** Largest duty of one output, 0 to 1. */
  readonly dutyLimit?: number;
  readonly oscillator?: Oscillator;
  /** Fixed frequency in hertz. */
  readonly frequency?: number;
  /** Volts at the feedback pin in regulation. */
  readonly feedback?: number;
  /** Volts at its reference pin. */
  readonly reference?: number;
  /** Topologies it usually serves, as the board format names them. */
  readonly topologies: readonly string[];
  /** The pin that tells most when probed, and why. */
  readonly tells?: { readonly pin: number; readonly why: string };
  /** How well it is remembered. */
  readonly memory: 'sure' | 'fair';
}

/**
 * The pins of a family in a case; those of its usual case where the case is not known. None are lent to a case of
 * another count of legs.
 */
export function pinsIn(
  { pins, otherCases, packages, legs }: Pick<ChipFamily, 'pins' | 'otherCases' | 'packages' | 'legs'>,
  case_?: string | null,
): readonly ChipPin[] {
  if (!case_ || packages.includes(case_)) return pins;
  const own = otherCases?.[case_];
  if (own) return own;
  const count = packageRule(case_)?.legs;
  return count === undefined || count === legs ? pins : [];
}
