import { practice } from '../evidence';
import { formatQuantity } from '../quantity';
import {
  choiceCheck,
  currentCheck,
  fittingChecks,
  RULES,
  worst,
  type Load,
  type Module,
  type ModuleCheck,
  type ModuleVerdict,
} from './matchLoad';

/** Supplies in series for volts, or side by side for current. */
export interface Stack {
  readonly way: 'series' | 'parallel';
  readonly of: readonly { readonly module: Module; readonly count: number }[];
  readonly volts: number;
  /** The most it may come to. */
  readonly voltsMost: number;
  readonly verdict: ModuleVerdict;
  readonly checks: readonly ModuleCheck[];
  /** What is added to it, and what speaks against it. */
  readonly wants: readonly string[];
}

/** Limits of touch: ES1 and ES2 of IEC 62368-1 for DC, from memory. */
const TOUCH = { free: 60, enclosed: 120 } as const;
const STACKED = practice({
  /** Units in one stack, units of different kinds tried, and stacks told. */
  most: 4,
  tried: 24,
  told: 4,
  /** Milliamperes of the lamp that shows which unit failed, and its volts. */
  lamp: { amperes: 2e-3, volts: 2 },
  /** Two units of the same plate differ by so much; side by side one is loaded to so much at most. */
  spread: 0.01,
  shared: 0.9,
});

const q = (value: number, unit: 'volt' | 'ampere' | 'ohm' | 'watt') => formatQuantity(value, unit, { digits: 3 });

/** Stacks of supplies that come to a load, the fewest units and the best standing first. */
export function stacksFor(load: Load, modules: readonly Module[]): readonly Stack[] {
  const of = modules.filter(({ held }) => held !== false).slice(0, STACKED.tried);
  const found: Stack[] = [];
  const within = load.within ?? RULES.within;
  const near = (volts: number) => Math.abs(volts / load.volts - 1) <= within;
  for (const members of gathered(of, STACKED.most)) {
    const volts = members.reduce((sum, { module, count }) => sum + count * module.volts, 0);
    if (near(volts)) found.push(inSeries(load, members, volts));
  }
  for (const one of of)
    if (near(one.volts))
      // Where one gives it alone, a second stands by, and a third is of no use.
      for (let count = 2; count <= (gives(load, one) ? 2 : Math.min(STACKED.most, one.pieces)); count += 1)
        if (count <= one.pieces) found.push(besideEach(load, one, count));
  const order = { good: 0, limits: 1, no: 2 } as const;
  const unproven = ({ of: members }: Stack) => members.filter(({ module: { held } }) => !held).length;
  const units = ({ of: members }: Stack) => members.reduce((sum, { count }) => sum + count, 0);
  // What is no good is told only where there is nothing better.
  const useful = found.filter(({ verdict }) => verdict !== 'no');
  return (useful.length > 0 ? useful : found)
    .toSorted((a, b) => order[a.verdict] - order[b.verdict] || units(a) - units(b) || unproven(a) - unproven(b))
    .slice(0, STACKED.told);
}

/** Whether a unit gives the current with room. */
const gives = ({ current }: Load, module: Module): boolean =>
  module.current !== undefined && current <= STACKED.shared * module.current;

/** Two to so many units out of those there are, each kind as often as it has pieces. */
function* gathered(modules: readonly Module[], most: number): Iterable<Stack['of']> {
  const walk = function* (from: number, left: number, so: Stack['of']): Iterable<Stack['of']> {
    const units = so.reduce((sum, { count }) => sum + count, 0);
    if (units >= 2) yield so;
    for (let place = from; place < modules.length; place += 1) {
      const one = modules[place];
      // Outputs of one unit share their return: they are never in series.
      if (!one || so.some(({ module: { code } }) => code === one.code)) continue;
      for (let count = 1; count <= Math.min(left, one.pieces); count += 1)
        yield* walk(place + 1, left - count, [...so, { module: one, count }]);
    }
  };
  yield* walk(0, most, []);
}

const UNPROVEN: ModuleCheck = {
  name: 'run',
  level: 'limits',
  message: 'not all of them were run under load here: each alone first',
};

/** Each word once. */
const distinct = (checks: readonly ModuleCheck[]): readonly ModuleCheck[] =>
  checks.filter(({ message }, place) => checks.findIndex((one) => one.message === message) === place);

function inSeries(load: Load, of: Stack['of'], volts: number): Stack {
  const units = of.flatMap(({ module, count }) => Array.from({ length: count }, () => module));
  const voltsMost = units.reduce(
    (sum, module) => sum + Math.max(module.volts, module.voltsMost ?? 0) * (1 + RULES.tolerance),
    0,
  );
  const currents = units.map(({ current }) => current);
  const weakest = currents.some((one) => one === undefined) ? undefined : Math.min(...(currents as number[]));
  const earthed = units.filter(({ protection }) => protection === 'I').length;
  const unknown = units.filter(({ protection }) => protection === undefined).length;
  const { lamp } = STACKED;
  const checks: ModuleCheck[] = [
    {
      name: 'voltage',
      level: 'good',
      message: `${units.map((one) => q(one.volts, 'volt')).join(' + ')} = ${q(volts, 'volt')}`,
    },
    { ...currentCheck(load.current, weakest), name: 'current of the weakest' },
    touchCheck(voltsMost),
    ...of.flatMap(({ module }) => choiceCheck(module)),
    ...of.flatMap(({ module }) => fittingChecks(shareOf(load, units.length), module)),
    ...(units.some(({ held }) => !held) ? [UNPROVEN] : []),
    earthed > 1
      ? {
          name: 'isolation',
          level: 'no',
          message: `${earthed} of them are earthed: two minus poles on one earth short a unit`,
        }
      : unknown > 0 || earthed === 1
        ? {
            name: 'isolation',
            level: 'limits',
            message: `read ohms from each minus to each earth pin while all is unplugged: only floating outputs go in series, and the insulation of each must stand ${q(voltsMost, 'volt')}`,
          }
        : { name: 'isolation', level: 'good', message: 'all of them float' },
  ];
  return {
    way: 'series',
    of,
    volts,
    voltsMost,
    verdict: worst(checks.map(({ level }) => level)),
    checks: distinct(checks),
    wants: [
      `A diode across each output, cathode to plus, for ${q(load.current, 'ampere')} or more and ${q(Math.ceil(voltsMost), 'volt')} or more: a unit that starts late is else driven backwards.`,
      `A lamp with its resistor across each output shows which one failed: ${units
        .filter((one, place) => units.findIndex(({ volts: own }) => own === one.volts) === place)
        .map((one) => `${q((one.volts - lamp.volts) / lamp.amperes, 'ohm')} at ${q(one.volts, 'volt')}`)
        .join(', ')}.`,
      'They are switched on and off together, by one switch.',
    ],
  };
}

/** Ripples add in a series stack: of what the load bears each unit has its share. */
const shareOf = (load: Load, units: number): Load =>
  load.ripple === undefined ? load : { ...load, ripple: load.ripple / units };

function touchCheck(voltsMost: number): ModuleCheck {
  const words = `up to ${q(voltsMost, 'volt')} with all at their highest`;
  if (voltsMost <= TOUCH.free)
    return {
      name: 'touch',
      level: 'good',
      margin: TOUCH.free / voltsMost - 1,
      message: `${words}, under ${TOUCH.free} V`,
    };
  return voltsMost <= TOUCH.enclosed
    ? {
        name: 'touch',
        level: 'limits',
        message: `${words}, over the ${TOUCH.free} V that may be touched: enclosed, with covered terminals and a bleed`,
      }
    : { name: 'touch', level: 'no', message: `${words}, over ${TOUCH.enclosed} V: not built here` };
}

/** Side by side without sharing the one with the most volts carries all; a resistor in each way lets them share. */
function besideEach(load: Load, module: Module, count: number): Stack {
  const each = module.current;
  const spread = STACKED.spread * module.volts;
  const room = each === undefined ? undefined : STACKED.shared * each - load.current / count;
  const isOne = gives(load, module);
  const ohms = room !== undefined && room > 0 ? spread / (2 * room) : undefined;
  const lost = ohms === undefined ? 0 : (load.current / count) ** 2 * ohms;
  const checks: ModuleCheck[] = [
    { name: 'voltage', level: 'good', message: `${count} × ${q(module.volts, 'volt')} side by side` },
    each === undefined
      ? { name: 'current', level: 'limits', message: 'what current it gives is not known' }
      : load.current > STACKED.shared * count * each
        ? {
            name: 'current',
            level: 'no',
            message: `${q(load.current, 'ampere')} of ${q(STACKED.shared * count * each, 'ampere')}, nine tenths of their sum`,
          }
        : isOne
          ? {
              name: 'current',
              level: 'good',
              message: `each alone gives the ${q(load.current, 'ampere')}: the other stands by`,
            }
          : {
              name: 'current',
              level: 'limits',
              message: `without sharing one of them carries all: ${q(ohms ?? 0, 'ohm')} in each way, ${q(lost, 'watt')} in each, keeps each under ${q(STACKED.shared * each, 'ampere')} where they differ by ${q(spread, 'volt')}`,
            },
    // Without a resistor in its way one of them carries all.
    ...fittingChecks(isOne ? load : { ...load, current: load.current / count }, module),
    ...(module.held ? [] : [UNPROVEN]),
  ];
  return {
    way: 'parallel',
    of: [{ module, count }],
    volts: module.volts,
    voltsMost: module.volts * (1 + RULES.tolerance),
    verdict: worst(checks.map(({ level }) => level)),
    checks: distinct(checks),
    wants: [
      `A diode in each plus, for ${q(load.current, 'ampere')} or more: 0.5 V and ${q(0.5 * load.current, 'watt')} are lost in the one that carries; a FET as a diode loses a tenth of it.`,
      'Set both to the same volts without load, as near as they go.',
      'Never where one folds its current back when it is overloaded: it drops out, and the other after it.',
    ],
  };
}
