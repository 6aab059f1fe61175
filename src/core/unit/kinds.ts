/** What a kind of unit is usually like, before anyone looked inside. Common practice, no source. */
export interface UnitKind {
  readonly label: string;
  /** Parts worth taking from a usual one, and minutes to get it open. */
  readonly usefulParts: number;
  readonly minutesToOpen: number;
  /** Where it gets its power: decides what its reservoir may hold. */
  readonly fedBy: 'mains' | 'direct';
}

/** Kinds of unit that come to the bench. */
export const UNIT_KINDS = {
  'plug-top': { label: 'plug-top adapter', usefulParts: 4, minutesToOpen: 12, fedBy: 'mains' },
  'desk-brick': { label: 'desk brick', usefulParts: 8, minutesToOpen: 14, fedBy: 'mains' },
  'usb-charger': { label: 'USB charger', usefulParts: 4, minutesToOpen: 12, fedBy: 'mains' },
  internal: { label: 'internal supply', usefulParts: 14, minutesToOpen: 8, fedBy: 'mains' },
  'open-frame': { label: 'open-frame or chassis supply', usefulParts: 12, minutesToOpen: 3, fedBy: 'mains' },
  'dc-module': { label: 'DC-DC module', usefulParts: 5, minutesToOpen: 5, fedBy: 'direct' },
  'lamp-driver': { label: 'lamp driver or ballast', usefulParts: 5, minutesToOpen: 6, fedBy: 'mains' },
  'power-controller': { label: 'mains power controller', usefulParts: 3, minutesToOpen: 6, fedBy: 'mains' },
  'battery-charger': { label: 'battery charger', usefulParts: 8, minutesToOpen: 10, fedBy: 'mains' },
  'pulse-unit': { label: 'pulse unit', usefulParts: 4, minutesToOpen: 15, fedBy: 'mains' },
  'appliance-board': { label: 'appliance control board', usefulParts: 7, minutesToOpen: 8, fedBy: 'mains' },
  other: { label: 'other', usefulParts: 5, minutesToOpen: 10, fedBy: 'mains' },
} as const satisfies Readonly<Record<string, UnitKind>>;

export type UnitKindName = keyof typeof UNIT_KINDS;
export const UNIT_KIND_NAMES = Object.keys(UNIT_KINDS) as UnitKindName[];

/** Words of a description that tell the kind, most telling first. */
const WORDS: readonly (readonly [RegExp, UnitKindName])[] = [
  [/microwave|flash|strobe|ignit|fence|laser|pulse/i, 'pulse-unit'],
  [/\busb\b|phone charger/i, 'usb-charger'],
  [/ballast|lamp|led driver|light/i, 'lamp-driver'],
  [/dimmer|motor control|phase control|controller$/i, 'power-controller'],
  [/oven|washer|fridge|dishwasher|control board|appliance/i, 'appliance-board'],
  [/dc[- ]?dc|buck|boost|car adapter/i, 'dc-module'],
  [/battery|scooter|tool charger|bike charger/i, 'battery-charger'],
  [/open[- ]frame|chassis/i, 'open-frame'],
  [/\bpc\b|atx|console|inner|internal|printer supply|tv/i, 'internal'],
  [/plug[- ]?top|wall/i, 'plug-top'],
  [/brick|notebook|laptop|desk|adapter/i, 'desk-brick'],
];

/** The kind that a description suggests, if any. */
export function kindFromDescription(description: string): UnitKindName | undefined {
  return WORDS.find(([pattern]) => pattern.test(description))?.[1];
}
