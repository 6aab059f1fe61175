import 'server-only';
import {
  circuitOf,
  controlOf,
  drawnDesign,
  hazardOf,
  loopOf,
  mostOf,
  recordOf,
  refsOf,
  besideSnubber,
  rolesOf,
  runDesign,
  toBuyFor,
  windingSheet,
  type Control,
  type Design,
  type DesignLot,
  type DesignRole,
  type DesignRun,
  type DesignSpec,
  type DrawnDesign,
  type WindingLine,
} from '../../core/design';
import { formatQuantity, type Unit } from '../../core/quantity';
import { recentOf } from '../../core/recent';
import { drawSchematic, type Schematic } from '../../core/schematic';
import { analyse } from '../../core/topology';
import type { Answer } from '../../core/whatif';
import { routes } from '../../routes';

export const TOPOLOGY_NAMES: Readonly<Record<string, string>> = {
  buck: 'Buck',
  boost: 'Boost',
  inverting: 'Inverting',
  sepic: 'SEPIC',
  cuk: 'Ćuk',
  flyback: 'Flyback',
};

/** Milliseconds that a design may be run before the page goes on without the rest. */
const BUDGET = 2000;

/** What a lot is called and where it lies. */
export interface LotPlace {
  readonly title: string;
  readonly bin: string;
}

/** A line of the list of parts: where it lies, what it goes in as, how near it comes to what it stands. */
export interface DesignRow {
  readonly role: DesignRole;
  readonly refs: readonly string[];
  readonly count: number;
  /** Missing where it must be bought. */
  readonly lot?: string;
  readonly bin: string;
  readonly title: string;
  readonly must: string;
  readonly stands: string;
  /** How many times over it stands what it must. */
  readonly margin?: number;
  readonly isTight: boolean;
  readonly notes: readonly string[];
}

export interface DesignView {
  readonly headline: string;
  readonly asked: string;
  readonly frequency: string;
  readonly rows: readonly DesignRow[];
  /** What is lost where, watts, the most first. */
  readonly losses: readonly { readonly refs: string; readonly watts: number; readonly text: string }[];
  readonly lost: string;
  readonly schematic: Schematic;
  /** Values beside the parts of the drawing, by reference. */
  readonly figures: DrawnDesign['figures'];
  /** As it runs with its own parts; nothing where it does not settle. */
  readonly answer: Answer | undefined;
  /** What within it may not be touched, though its ends may. */
  readonly hazard: string | undefined;
  /** What its run shows, a sentence each. */
  readonly shows: readonly string[];
  readonly control:
    | {
        readonly title: string;
        readonly lot: string | undefined;
        readonly outer: readonly OuterView[];
        readonly notes: readonly string[];
      }
    | undefined;
  readonly loop: string | undefined;
  /** How its choke or transformer is wound, where a core of the drawers is. */
  readonly winding: readonly WindingLine[];
  /** Sums that go further, with the values of this design. */
  readonly further: readonly { readonly label: string; readonly href: string }[];
}
interface OuterView {
  readonly name: string;
  readonly value: string;
  readonly why: string;
}

const volts = (value: number) => formatQuantity(value, 'volt', { digits: 3 });
const amperes = (value: number) => formatQuantity(value, 'ampere', { digits: 3 });

/** `24 V to 48 V at 1 A`. */
export const specText = ({ inputLow, inputHigh, output, current }: DesignSpec): string =>
  `${volts(inputLow)}${inputHigh > inputLow ? ` to ${volts(inputHigh)}` : ''} in, ${volts(output)} at ${amperes(current)} out`;

/** Designs whose run and drawing are remembered: a page is read again after every step. */
const REMEMBERED = 24;
const remembered = recentOf<{
  readonly run: DesignRun | undefined;
  readonly schematic: Schematic;
  readonly figures: DrawnDesign['figures'];
}>(REMEMBERED);

/** The run of a design within its time; it is a run that a page goes on without, so a rest of it may be missing. */
export function runWithin(design: Design, spec: DesignSpec): DesignRun | undefined {
  const end = Date.now() + BUDGET;
  return runDesign(design, spec, () => Date.now() > end);
}

function workedOut(design: Design, spec: DesignSpec, control: Control | undefined) {
  return remembered(JSON.stringify([recordOf(design, spec, control?.lot), control?.outer]), () => {
    const { board, figures } = drawnDesign(circuitOf(design, spec), control);
    return { run: runWithin(design, spec), schematic: drawSchematic(analyse(board)).schematic, figures };
  });
}

/** A design with its run, as a page and a sheet show it. @param of.lots titles and bins by code; `of.stock` lots a controller may come from */
export function designView(
  design: Design,
  spec: DesignSpec,
  of: { readonly lots: ReadonlyMap<string, LotPlace>; readonly stock: readonly DesignLot[] },
): DesignView {
  const control = controlOf(design, spec, of.stock);
  const loop = control && loopOf(design, spec, control);
  const rows = rolesOf(design.topology).map((role) => rowOf(design, role, of.lots));
  const losses = (Object.entries(design.parts) as [DesignRole, { readonly watts: number }][])
    .map(([role, { watts }]) => ({
      refs: refsOf(design, role).join(' '),
      watts,
      text: formatQuantity(watts, 'watt', { digits: 2 }),
    }))
    .toSorted((a, b) => b.watts - a.watts);
  const { run, schematic, figures } = workedOut(design, spec, control);
  return {
    headline: headline(design, spec),
    asked: specText(spec),
    frequency: `${formatQuantity(design.frequency, 'hertz')}, on ${Math.round(100 * Math.max(...design.demand.point.at.map(({ duty }) => duty)))} % of the time at most`,
    rows,
    losses,
    lost: formatQuantity(design.watts, 'watt', { digits: 2 }),
    hazard: hazardOf(design),
    schematic,
    figures,
    answer: run?.answer,
    shows: run
      ? showsOf(run, design, spec)
      : [
          design.missing.length > 0
            ? `Not run yet: ${design.missing.flatMap((role) => refsOf(design, role)).join(' and ')} must be found first.`
            : 'It does not settle in the simulator: do not build it as it stands.',
        ],
    control: control && {
      title: control.lot ? (of.lots.get(control.lot.code)?.title ?? control.family.id) : `${control.family.id}, to buy`,
      lot: control.lot?.code,
      outer: [...control.outer, ...(loop?.outer ?? [])].map(({ name, value, unit, why }) => ({
        name,
        value: formatQuantity(value, unit),
        why,
      })),
      notes: control.notes,
    },
    further: furtherOf(design),
    winding: windingSheet(design),
    loop:
      loop &&
      `Crosses at ${formatQuantity(loop.crossover, 'hertz', { digits: 2 })} with ${Math.round(loop.margin)}° in hand, by an averaged model: a start, to be proven by a load that comes and goes.`,
  };
}

/** Sums on what is left open here: the winding of a choke, its wire, a snubber, a heat sink. */
function furtherOf({ demand, frequency, inductance, parts }: Design): DesignView['further'] {
  const typed = (value: number, unit: Unit) => formatQuantity(value, unit, { digits: 3 }).replaceAll(/\s/gu, '');
  const hot =
    parts.switch?.sink !== undefined ? parts.switch : parts.rectifier?.sink !== undefined ? parts.rectifier : undefined;
  return [
    ...(parts.choke?.lot.winding
      ? []
      : [
          {
            label: 'wind the choke on a core with a gap',
            href: routes.sum('gap', { l: typed(inductance, 'henry'), i: typed(demand.peak, 'ampere') }),
          },
          {
            label: 'its wire',
            href: routes.sum('wire', { i: typed(demand.chokeRms, 'ampere'), f: typed(frequency, 'hertz') }),
          },
        ]),
    {
      label: 'a snubber, from the ring that is seen',
      href: routes.sum('snubber', { f: typed(frequency, 'hertz'), swing: typed(demand.switchVolts, 'volt') }),
    },
    ...(hot ? [{ label: 'the heat sink', href: routes.sum('sink', { p: typed(hot.watts, 'watt') }) }] : []),
  ];
}

function headline(design: Design, spec: DesignSpec): string {
  const name = TOPOLOGY_NAMES[design.topology] ?? design.topology;
  const hottest = (
    Object.entries(design.parts) as [DesignRole, { readonly celsius?: number; readonly sink?: number }][]
  )
    .flatMap(([role, { celsius, sink }]) => (celsius === undefined ? [] : [{ role, celsius, sink }]))
    .toSorted((a, b) => b.celsius - a.celsius || (b.sink ? 1 : 0) - (a.sink ? 1 : 0))[0];
  const most = mostOf(design, spec);
  return [
    `${name}, ${(100 * design.efficiency).toFixed(1)} % efficient.`,
    hottest
      ? `Hottest part ${refsOf(design, hottest.role)[0] ?? ''} at ${Math.round(hottest.celsius)} °C${hottest.sink === undefined ? '' : ' on its heat sink'}.`
      : '',
    most
      ? `The ${most.role === 'output' || most.role === 'input' ? `${most.role} capacitor` : most.role === 'link' ? 'coupling capacitor' : most.role} limits it to ${formatQuantity(most.current, 'ampere', { digits: 2 })}.`
      : '',
  ]
    .filter((word) => word !== '')
    .join(' ');
}

function rowOf(design: Design, role: DesignRole, lots: ReadonlyMap<string, LotPlace>): DesignRow {
  const refs = refsOf(design, role);
  const fit = design.parts[role];
  if (!fit)
    return {
      role,
      refs,
      count: refs.length,
      bin: '',
      title: toBuyFor(design, role),
      must: '',
      stands: '',
      isTight: false,
      notes: role === 'snubber' ? [besideSnubber(design)] : [],
    };
  const [tightest] = fit.stresses.toSorted((a, b) => b.share / b.usual - a.share / a.usual);
  const place = lots.get(fit.lot.code);
  return {
    role,
    refs,
    count: fit.count,
    lot: fit.lot.code,
    bin: place?.bin ?? '',
    title: place?.title ?? fit.lot.marking ?? fit.lot.code,
    must: tightest
      ? `${formatQuantity(tightest.value, tightest.unit, { digits: 3 })}${/ripple|peak/u.test(tightest.name) ? ` ${tightest.name.split(' ')[0] ?? ''}` : ''}`
      : '',
    stands: tightest ? formatQuantity(tightest.rating, tightest.unit, { digits: 3 }) : '',
    ...(tightest ? { margin: 1 / tightest.share } : {}),
    isTight: fit.stresses.some(({ share, usual }) => share > usual),
    notes: [
      ...(fit.lot.winding ? [`wound anew on ${fit.lot.winding.core.name}`] : []),
      ...(role === 'snubber' ? [besideSnubber(design)] : []),
      ...fit.notes,
      ...(fit.sink === undefined ? [] : [`on a heat sink of ${formatQuantity(fit.sink, 'kelvinPerWatt')} or better`]),
    ],
  };
}

function showsOf(
  { volts: out, ripple, peak, start, step }: DesignRun,
  design: Design,
  spec: DesignSpec,
): readonly string[] {
  const stands = design.parts.choke?.lot.ratings['saturation'];
  const store = design.topology === 'flyback' ? 'transformer' : 'choke';
  return [
    `Simulated with these parts: ${volts(out)} with ${volts(ripple)} of ripple; the ${store} peaks at ${amperes(peak)}.`,
    ...(start
      ? [
          stands !== undefined && start.choke > stands
            ? `Switched on at full duty the ${store} would peak at ${amperes(start.choke)} and saturate at ${amperes(stands)}, the output reach ${volts(start.volts)}: it wants a soft start.`
            : `Switched on at full duty the ${store} peaks at ${amperes(start.choke)}, the output at ${volts(start.volts)}.`,
        ]
      : []),
    ...(step
      ? [
          `From ${amperes(step.from)} to ${amperes(step.to)} the output dips by ${volts(step.dip)} before its loop answers.`,
        ]
      : []),
    ...(Math.abs(out / Math.abs(spec.output) - 1) > 0.03
      ? ['It does not reach its output: look at what limits it.']
      : []),
  ];
}
