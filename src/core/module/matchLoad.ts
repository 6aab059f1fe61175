import { practice } from '../evidence';
import { formatQuantity } from '../quantity';

/** A whole supply with one of its outputs; volts, amperes. */
export interface Module {
  readonly code: string;
  readonly title: string;
  /** The output, and how far it can be trimmed, or its other choices. */
  readonly volts: number;
  readonly voltsMost?: number;
  readonly current?: number;
  /** Protection class by IEC 61140, where its plate says it; an earthed one may have its minus on earth. */
  readonly protection?: 'I' | 'II' | 'III';
  /** How it did under load: whether it held, and its ripple, volts peak to peak. */
  readonly held?: boolean;
  readonly ripple?: number;
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
  readonly ripple?: number;
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
    ...(load.ripple !== undefined && module.ripple !== undefined
      ? [
          module.ripple > load.ripple
            ? ({
                name: 'ripple',
                level: 'no',
                message: `${q(module.ripple, 'volt')} of ripple was measured, ${q(load.ripple, 'volt')} is asked`,
              } as const)
            : ({
                name: 'ripple',
                level: 'good',
                message: `${q(module.ripple, 'volt')} of ripple was measured`,
              } as const),
        ]
      : []),
    module.held === true
      ? { name: 'run', level: 'good', message: 'it held its volts under load' }
      : module.held === false
        ? { name: 'run', level: 'no', message: 'it did not hold its volts under load' }
        : { name: 'run', level: 'limits', message: 'it was never run under load here: do that first' },
  ];
}
