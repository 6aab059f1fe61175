import { practice } from '../evidence';

/** What a whole supply is like outside its circuit: how its power leaves it, how it is cooled, how it is held. */
export interface Fittings {
  readonly plug?: PlugName;
  readonly cooling?: CoolingName;
  readonly mounting?: MountingName;
  /** Ripple and noise of its output as measured, volts peak to peak. */
  readonly ripple?: number;
  /** How far its output can be trimmed up, volts; of a unit with a plate the plate says it. */
  readonly trimmedTo?: number;
  /** Protection class by IEC 61140; of a unit with a plate the plate says it. */
  readonly protection?: 'I' | 'II' | 'III';
}

/** What is true of two supplies of one lot: where they agree, and of ripple and trim the worse. */
export function commonFittings(one: Fittings, other: Fittings): Fittings {
  const { plug, cooling, mounting, protection } = one;
  return {
    ...(plug && plug === other.plug && { plug }),
    ...(cooling && cooling === other.cooling && { cooling }),
    ...(mounting && mounting === other.mounting && { mounting }),
    ...(protection && protection === other.protection && { protection }),
    ...(one.ripple !== undefined && other.ripple !== undefined && { ripple: Math.max(one.ripple, other.ripple) }),
    ...(one.trimmedTo !== undefined &&
      other.trimmedTo !== undefined && { trimmedTo: Math.min(one.trimmedTo, other.trimmedTo) }),
  };
}

interface Plug {
  readonly label: string;
  /** Amperes that it carries for good, where one is like another. */
  readonly amperes?: number;
}

/** How power leaves a supply. What USB sockets carry is from their specifications, from memory; the others are common practice. */
export const PLUGS = practice({
  'barrel-2.1': { label: 'barrel 5.5 × 2.1 mm', amperes: 5 },
  'barrel-2.5': { label: 'barrel 5.5 × 2.5 mm', amperes: 5 },
  'barrel-small': { label: 'smaller barrel', amperes: 3 },
  'usb-a': { label: 'USB-A socket', amperes: 2.4 },
  // Five amperes take a cable that is marked for them.
  'usb-c': { label: 'USB-C socket', amperes: 3 },
  'usb-micro': { label: 'micro-USB plug', amperes: 1.8 },
  'round-pins': { label: 'round, with pins', amperes: 7.5 },
  header: { label: 'pin header', amperes: 3 },
  terminals: { label: 'screw terminals', amperes: 15 },
  wires: { label: 'bare wires' },
} as const satisfies Readonly<Record<string, Plug>>);
export type PlugName = keyof typeof PLUGS;
export const PLUG_NAMES = Object.keys(PLUGS) as PlugName[];
export const plugOf = (name: PlugName): Plug => PLUGS[name];

/** How a supply gets rid of its heat, with the share of its current that it gives where that is missing. */
export const COOLINGS = practice({
  air: { label: 'free air', without: 1 },
  fan: { label: 'a fan of its own', without: 0.5 },
  face: { label: 'a metal face on a metal plate', without: 0.5 },
  stream: { label: 'a stream of air from outside', without: 0.6 },
} as const);
export type CoolingName = keyof typeof COOLINGS;
export const COOLING_NAMES = Object.keys(COOLINGS) as CoolingName[];

/** How a supply is held. */
export const MOUNTINGS = {
  stands: { label: 'stands or lies free' },
  wall: { label: 'plugs into the wall' },
  chassis: { label: 'screwed to a chassis' },
  rail: { label: 'clipped to a rail' },
  board: { label: 'soldered to a board' },
} as const;
export type MountingName = keyof typeof MOUNTINGS;
export const MOUNTING_NAMES = Object.keys(MOUNTINGS) as MountingName[];
