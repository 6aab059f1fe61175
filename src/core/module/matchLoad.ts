import { practice } from '../evidence';
import { formatQuantity } from '../quantity';
import { COOLINGS, MOUNTINGS, plugOf, type Fittings, type MountingName, type PlugName } from './fittings';

/** A whole supply with one of its outputs; volts, amperes. */
export interface Module extends Omit<Fittings, 'trimmedTo'> {
  readonly code: string;
  readonly title: string;
  /** The output, and how far it can be trimmed, or its other choices. */
  readonly volts: number;
  readonly voltsMost?: number;
  readonly current?: number;
  /** Whether it held its volts under load. */
  readonly held?: boolean;
  /** One of several voltages: it is there only when the load asks for it, or a switch is set. */
  readonly isChoice?: boolean;
  /** Pieces that are alike. */
  readonly pieces: number;
}

/** What a supply is to feed. */
export interface Load {
  readonly volts: number;
  readonly current: number;
  /** How far off the volts may be, as a share. */
  readonly within?: number;
  readonly isolated?: boolean;
  /** Ripple and noise that it bears, volts peak to peak. */
  readonly ripple?: number;
  readonly plug?: PlugName;
  readonly mounting?: MountingName;
  /** Whether no fan may be heard. */
  readonly quiet?: boolean;
}

export type ModuleVerdict = 'good' | 'limits' | 'no';
export interface ModuleCheck {
  readonly name: string;
  readonly level: ModuleVerdict;
  /** Room to what is asked, as a share. */
  readonly margin?: number;
  readonly message: string;
}
export interface ModuleMatch {
  readonly module: Module;
  readonly verdict: ModuleVerdict;
  readonly checks: readonly ModuleCheck[];
}

export const RULES = practice({
  within: 0.05,
  /** Of its current a supply is loaded with so much for good. */
  loaded: 0.8,
  /** A supply gives up to so much more than its plate says. */
  tolerance: 0.05,
});

const q = (value: number, unit: 'volt' | 'ampere') => formatQuantity(value, unit, { digits: 3 });

/** The worst of several levels. */
export const worst = (levels: readonly ModuleVerdict[]): ModuleVerdict =>
  levels.includes('no') ? 'no' : levels.includes('limits') ? 'limits' : 'good';

/** A current against what a supply gives. */
export function currentCheck(put: number, gives: number | undefined): ModuleCheck {
  if (gives === undefined)
    return {
      name: 'current',
      level: 'limits',
      message: `what current it gives is not known; ${q(put, 'ampere')} is asked`,
    };
  const margin = (RULES.loaded * gives) / put - 1;
  const words = `${q(put, 'ampere')} of ${q(gives, 'ampere')}`;
  if (put > gives) return { name: 'current', level: 'no', margin, message: `${words}: more than it gives` };
  return put > RULES.loaded * gives
    ? { name: 'current', level: 'limits', margin, message: `${words}: it runs at its limit, and warm` }
    : { name: 'current', level: 'good', margin, message: words };
}

/** What its plate says of its isolation. */
export function isolationCheck({ protection }: Pick<Module, 'protection'>): ModuleCheck {
  if (protection === 'II' || protection === 'III')
    return { name: 'isolation', level: 'good', message: `protection class ${protection}: its output floats` };
  return protection === 'I'
    ? {
        name: 'isolation',
        level: 'limits',
        message: 'earthed: its minus may be tied to earth; read ohms from minus to the earth pin while it is unplugged',
      }
    : {
        name: 'isolation',
        level: 'limits',
        message:
          'its plate does not say how it is isolated: look for the double square, or read ohms from each output pin to each mains pin while it is unplugged',
      };
}

/** Of a list of voltages, the lowest of a charging socket is there by itself; the others must be asked for. Common practice, no source. */
const UNASKED = practice(5);

/** Whether its volts are there by themselves. */
export function choiceCheck({ isChoice, volts }: Pick<Module, 'isChoice' | 'volts'>): readonly ModuleCheck[] {
  return isChoice && Math.abs(volts - UNASKED) > 0.5
    ? [
        {
          name: 'choice',
          level: 'limits',
          message: `one of several it offers: a trigger board must ask for ${q(volts, 'volt')}, or its switch be set; measure before the load is on`,
        },
      ]
    : [];
}

/** Whole supplies held against a load, the best first. */
export function matchLoad(load: Load, modules: readonly Module[]): readonly ModuleMatch[] {
  const order = { good: 0, limits: 1, no: 2 } as const;
  return modules
    .map((module): ModuleMatch => {
      const checks = checksOf(load, module);
      return { module, checks, verdict: worst(checks.map(({ level }) => level)) };
    })
    .toSorted(
      (a, b) =>
        order[a.verdict] - order[b.verdict] ||
        // The smallest that does it, so that a strong one is kept.
        (a.module.current ?? Infinity) - (b.module.current ?? Infinity) ||
        a.module.code.localeCompare(b.module.code),
    );
}

function checksOf(load: Load, module: Module): readonly ModuleCheck[] {
  const within = load.within ?? RULES.within;
  const least = load.volts * (1 - within);
  const most = load.volts * (1 + within);
  const top = module.voltsMost ?? module.volts;
  const isTrimmed = top > module.volts && module.volts <= most && top >= least;
  const reaches = (module.volts >= least && module.volts <= most) || isTrimmed;
  const words =
    module.voltsMost === undefined
      ? q(module.volts, 'volt')
      : `${q(module.volts, 'volt')} to ${q(module.voltsMost, 'volt')}`;
  return [
    reaches
      ? isTrimmed && !(module.volts >= least)
        ? {
            name: 'voltage',
            level: 'limits',
            message: `${words}: set it to ${q(load.volts, 'volt')} without load, and measure`,
          }
        : { name: 'voltage', level: 'good', message: words }
      : { name: 'voltage', level: 'no', message: `${words}, ${q(load.volts, 'volt')} is asked` },
    currentCheck(load.current, module.current),
    ...choiceCheck(module),
    ...(load.isolated ? [isolationCheck(module)] : []),
    ...fittingChecks(load, module),
    module.held === true
      ? { name: 'run', level: 'good', message: 'it held its volts under load' }
      : module.held === false
        ? { name: 'run', level: 'no', message: 'it did not hold its volts under load' }
        : { name: 'run', level: 'limits', message: 'it was never run under load here: do that first' },
  ];
}

/** Ripple, plug, cooling and mounting against a load. */
export const fittingChecks = (load: Load, module: Module): readonly ModuleCheck[] => [
  ...rippleCheck(load, module),
  ...plugCheck(load, module),
  ...coolingCheck(load, module),
  ...mountingCheck(load, module),
];

function rippleCheck(load: Load, { ripple }: Module): readonly ModuleCheck[] {
  if (load.ripple === undefined) return [];
  const asked = `${q(load.ripple, 'volt')} is asked`;
  if (ripple === undefined)
    return [{ name: 'ripple', level: 'limits', message: `its ripple was not measured here, ${asked}` }];
  const margin = load.ripple / ripple - 1;
  const measured = `${q(ripple, 'volt')} of ripple was measured`;
  return [
    ripple > load.ripple
      ? { name: 'ripple', level: 'no', margin, message: `${measured}, ${asked}` }
      : { name: 'ripple', level: 'good', margin, message: measured },
  ];
}

function plugCheck(load: Load, { plug }: Module): readonly ModuleCheck[] {
  const asked = load.plug && plugOf(load.plug).label;
  if (plug === undefined)
    return asked === undefined
      ? []
      : [{ name: 'plug', level: 'limits', message: `its plug is not written down, ${asked} is asked` }];
  const { label, amperes = Infinity } = plugOf(plug);
  if (load.current > amperes)
    return [
      {
        name: 'plug',
        level: 'limits',
        margin: amperes / load.current - 1,
        message: `${label}: it carries about ${q(amperes, 'ampere')}, ${q(load.current, 'ampere')} is asked: lead wires of their own from the board`,
      },
    ];
  return [
    asked === undefined || plug === load.plug
      ? { name: 'plug', level: 'good', message: `${label}: read its polarity before the load is on` }
      : {
          name: 'plug',
          level: 'limits',
          message: `${label}, ${asked} is asked: change the plug, and read the polarity before the load is on`,
        },
  ];
}

function coolingCheck(load: Load, { cooling, current, mounting }: Module): readonly ModuleCheck[] {
  if (cooling === undefined) return [];
  const { label, without } = COOLINGS[cooling];
  if (cooling === 'air') return [{ name: 'cooling', level: 'good', message: `cooled by ${label}` }];
  if (cooling === 'fan')
    return [
      load.quiet
        ? { name: 'cooling', level: 'limits', message: `${label}: it is heard, and without it the unit overheats` }
        : { name: 'cooling', level: 'good', message: `cooled by ${label}: leave its openings free` },
    ];
  // On the chassis that it is made for the face has its plate.
  const isThere = cooling === 'face' && load.mounting === 'chassis' && mounting === 'chassis';
  const isSpared = current !== undefined && load.current <= without * current;
  const words =
    cooling === 'face'
      ? 'its metal face goes on a metal plate, with paste'
      : 'it wants a stream of air from a fan beside it';
  return [
    isThere || isSpared
      ? { name: 'cooling', level: 'good', message: isThere ? words : `${words}; so little load does without` }
      : {
          name: 'cooling',
          level: 'limits',
          message: `${words}${current === undefined ? '' : `: without that ${q(without * current, 'ampere')} at most`}`,
        },
  ];
}

/** How it is held in its new place, and what its protection class asks for there (IEC 61140: earth the frame, or keep the insulation whole). */
function mountingCheck(load: Load, { mounting, protection }: Module): readonly ModuleCheck[] {
  if (load.mounting === undefined) return [];
  const asked = MOUNTINGS[load.mounting].label;
  const earth =
    load.mounting !== 'chassis' && load.mounting !== 'rail'
      ? ''
      : protection === 'I'
        ? '; its frame and the chassis go on protective earth by a wire and screw of their own'
        : protection === 'II'
          ? '; doubly insulated: its case stays whole, and no screw goes through it'
          : protection === 'III'
            ? ''
            : '; read its protection class first: an earthed one needs its frame on protective earth';
  if (mounting === load.mounting)
    return [
      { name: 'mounting', level: protection === 'II' || earth === '' ? 'good' : 'limits', message: `${asked}${earth}` },
    ];
  return [
    {
      name: 'mounting',
      level: 'limits',
      message: `${mounting === undefined ? 'how it is held is not written down' : `made another way (${MOUNTINGS[mounting].label})`}: ${asked} it needs a bracket or a case${earth}`,
    },
  ];
}
