import { practice } from '../evidence';
import { packageRule, type KindName } from '../part';

/** How a part is fixed besides its solder, with the minutes that adds. */
export const MOUNTINGS = practice({
  screwed: {
    label: 'screwed to a heat sink',
    minutes: 0.6,
    tip: 'Screw first, solder after: it must not hang on its legs.',
  },
  clipped: {
    label: 'clipped to a heat sink',
    minutes: 0.3,
    tip: 'Press the clip off with a screwdriver turned flat; keep your eyes behind glass.',
  },
  compound: {
    label: 'thermal compound',
    minutes: 0.4,
    tip: 'Twist, do not pull: the compound holds like suction. Wipe it off before it goes into a bag.',
  },
  glued: {
    label: 'glued down',
    minutes: 1.5,
    tip: 'Warm the glue to 80 °C and cut it; isopropanol creeps under silicone.',
  },
  potted: {
    label: 'potted in',
    minutes: 6,
    tip: 'Soft potting picks away with wood, hard potting breaks parts. No flame near it.',
  },
  bent: {
    label: 'legs bent over',
    minutes: 0.5,
    tip: 'Suck the solder off, lift the legs with a knife tip, then heat again.',
  },
  plane: {
    label: 'on a ground plane',
    minutes: 0.8,
    tip: 'Preheat the board or add fresh solder: the plane drinks the heat.',
  },
  shield: { label: 'under a shield', minutes: 1.5, tip: 'Lift the shield at one corner first, along with its joints.' },
} as const);
export type MountingName = keyof typeof MOUNTINGS;
export const MOUNTING_NAMES = Object.keys(MOUNTINGS) as MountingName[];

/** Ways of getting a part off, with what has to be set up once and the minutes that takes. */
export const TOOLS = practice({
  iron: { label: 'the iron', setup: 0 },
  'hot-air': { label: 'hot air', setup: 3 },
  hands: { label: 'hands and screwdriver', setup: 0 },
} as const);
export type ToolName = keyof typeof TOOLS;

interface Effort {
  readonly class: EffortClass;
  readonly tool: ToolName;
  /** Minutes for one piece, its own joints only. */
  readonly minutes: number;
  readonly tip: string;
}

/** Kinds of desoldering that are learnt apart. */
export const EFFORT_CLASSES = {
  two: 'two legs',
  tab: 'a power case',
  dip: 'a chip in two rows',
  surface: 'surface mount',
  wound: 'a wound part',
  many: 'many joints',
  mechanical: 'screws and plugs',
} as const;
export type EffortClass = keyof typeof EFFORT_CLASSES;

const TWO: Effort = {
  class: 'two',
  tool: 'iron',
  minutes: 0.7,
  tip: 'Heat one leg, tilt, heat the other; do not pull on a cold joint.',
};
const TAB: Effort = {
  class: 'tab',
  tool: 'iron',
  minutes: 1.2,
  tip: 'Flood all legs with fresh solder and lift them together.',
};
const SMALL: Effort = {
  class: 'two',
  tool: 'iron',
  minutes: 0.6,
  tip: 'All three legs at once with a blob of solder; note which way round it sat.',
};
const SO: Effort = {
  class: 'surface',
  tool: 'hot-air',
  minutes: 1.2,
  tip: 'Flux, hot air from above, lift with tweezers when the solder shines. Plastic parts nearby want a foil.',
};
const CHIP: Effort = {
  class: 'surface',
  tool: 'hot-air',
  minutes: 0.3,
  tip: 'Sweep with hot air and brush into a tray.',
};
const MANY: Effort = {
  class: 'many',
  tool: 'iron',
  minutes: 3,
  tip: 'Wick each pin clean, rock the part gently; pads tear when it is forced.',
};

/** Effort by kind where the kind decides, else by the group of the case. */
const BY_KIND: Partial<Record<KindName, Effort>> = practice({
  transformer: {
    class: 'wound',
    tool: 'iron',
    minutes: 4.5,
    tip: 'Wick every pin, and free the core: ferrite cracks when it is pried at.',
  },
  'common-mode-choke': { class: 'wound', tool: 'iron', minutes: 2, tip: 'Four legs: suck them clean, rock it out.' },
  inductor: {
    class: 'wound',
    tool: 'iron',
    minutes: 1.6,
    tip: 'Thick legs: fresh solder, a wide tip, patience. Do not pry at the ferrite.',
  },
  connector: MANY,
  relay: MANY,
  fan: { class: 'mechanical', tool: 'hands', minutes: 1.5, tip: 'Keep its plug and its guard.' },
  'heat-sink': {
    class: 'mechanical',
    tool: 'hands',
    minutes: 2,
    tip: 'Keep the screws, clips and insulators with it.',
  },
  assembly: { class: 'mechanical', tool: 'hands', minutes: 4, tip: 'Note which wire went where before you cut one.' },
  wire: { class: 'mechanical', tool: 'hands', minutes: 0.5, tip: 'Cut at the board, not at the plug.' },
});
const BY_GROUP: Readonly<Record<string, Effort>> = {
  tab: TAB,
  'power-chip': { ...TAB, class: 'many', minutes: 2 },
  small: SMALL,
  so: SO,
  chip: CHIP,
  'dip-4': { ...MANY, class: 'dip', minutes: 1, tip: 'Two legs a side: heat one side, lift a little, heat the other.' },
  dip: {
    ...MANY,
    class: 'dip',
    minutes: 2.2,
    tip: 'Suck pin by pin, break the last film with a pick; or hot air from below.',
  },
  bridge: { ...TAB, minutes: 1.4 },
};

/** How one part comes off: the tool, the minutes for one piece and a tip; a large can or a surface-mounted one its own way. */
export function effortOf(of: {
  kind: KindName;
  package?: string | null | undefined;
  mountings: readonly MountingName[];
}): Effort {
  const group = of.package ? packageRule(of.package)?.group : undefined;
  const base = BY_KIND[of.kind] ?? (group ? BY_GROUP[group] : undefined) ?? (of.kind === 'ic' ? SO : TWO);
  const added = of.mountings.reduce((sum, name) => sum + MOUNTINGS[name].minutes, 0);
  const surface = of.package === 'SMD can' || /^(?:DPAK|D2PAK|SM[ABC]|SOD|SOT|MELF)/.test(of.package ?? '');
  const lifted = surface ? { ...base, class: 'surface' as const, tool: 'hot-air' as const, tip: SO.tip } : base;
  const tips = [...of.mountings.map((name) => MOUNTINGS[name].tip), lifted.tip];
  return { ...lifted, minutes: lifted.minutes + added, tip: tips.join(' ') };
}

/** What can go wrong or hurt while a part comes off. Common practice, no source. */
export function hazardsOf(of: {
  kind: KindName;
  tool: ToolName;
  mountings: readonly MountingName[];
  live: boolean;
}): readonly string[] {
  return [
    ...(of.live ? ['The board is not measured dead: read every store first.'] : []),
    ...(of.tool === 'hot-air' ? ['Hot air: 350 °C at the nozzle, fumes; cover cans and plastic with foil.'] : []),
    ...(of.kind === 'transformer' || of.kind === 'inductor' ? ['Ferrite is brittle: no levering at the core.'] : []),
    ...(of.kind === 'capacitor' ? ['Measure it dead once more before your fingers bridge its legs.'] : []),
    ...(of.mountings.includes('compound')
      ? ['Old white compound and grey pads: do not sand or cut what may hold beryllia.']
      : []),
    ...(of.mountings.includes('potted') ? ['Potting fumes when it is heated: cut it cold.'] : []),
  ];
}
