import { USED_VOLTS } from '../derating';
import { formatQuantity } from '../quantity';
import { TOUCH_LIMIT_DC } from '../safety';
import { RULES } from './rules';
import type { Design } from './search';
import { snubberOf } from './snubber';
import { copperResistance, wireArea } from '../magnetics';
import { isPaired, type DesignRole } from './spec';
import type { Coil } from './winding';

const q = (value: number, unit: Parameters<typeof formatQuantity>[1]) => formatQuantity(value, unit, { digits: 3 });

/** What stands beside the capacitor of a snubber, with how its values are found. */
export function besideSnubber({ demand }: Pick<Design, 'demand'>): string {
  const { way, ohms, watts } = snubberOf(demand);
  // A resistor at half of its watts lasts.
  const resistor = `${q(ohms, 'ohm')}, ${q(2 * watts, 'watt')} or more`;
  return way === 'clamp'
    ? `clamp: ${resistor} beside it, both behind a fast diode from the switch`
    : `${resistor} in series, across the switch; to start from, until the ring is seen`;
}

/** A specification to buy a missing part by. */
export function toBuyFor({ demand }: Design, role: DesignRole): string {
  const { point, peak, switchVolts, switchRms, rectifierVolts, rectifierMean, outputRms, inputRms } = demand;
  switch (role) {
    case 'choke':
      if (point.topology === 'flyback')
        return `transformer of ${q(point.inductance, 'henry')} that stands ${q(peak / RULES.saturation, 'ampere')}`;
      return `${isPaired(point.topology) ? 'two chokes' : 'choke'} of ${q(point.inductance, 'henry')} that ${isPaired(point.topology) ? 'stand' : 'stands'} ${q(peak / RULES.saturation, 'ampere')} before it saturates`;
    case 'switch':
      return `N-FET of at least ${q(switchVolts / USED_VOLTS.mosfet, 'volt')} and ${q(switchRms / RULES.fetRms, 'ampere')}`;
    case 'rectifier':
      return `Schottky of at least ${q(rectifierVolts / USED_VOLTS.schottky, 'volt')} and ${q(rectifierMean / RULES.rectifierMean, 'ampere')}`;
    case 'output':
      return `can of at least ${q(point.output / USED_VOLTS.can, 'volt')} for ${q(outputRms, 'ampere')} of ripple current, low ESR`;
    case 'link':
      return `film or ceramic capacitor of at least ${q(demand.linkVolts / USED_VOLTS.film, 'volt')} for ${q(demand.linkRms, 'ampere')} of ripple current`;
    case 'snubber': {
      const { farads, volts } = snubberOf(demand);
      return `film or ceramic capacitor of ${q(farads, 'farad')} and at least ${q(volts / USED_VOLTS.film, 'volt')}`;
    }
    case 'input':
      return `can of at least ${q(point.inputHigh / USED_VOLTS.can, 'volt')} for ${q(inputRms, 'ampere')} of ripple current`;
  }
}

/** Why a design stands where it does, and what limits it: the part nearest its rating, the one that loses most, what is unknown. */
export function whyOf(design: Design): { readonly why: string; readonly limit: string } {
  const parts = Object.entries(design.parts) as [DesignRole, NonNullable<Design['parts'][DesignRole]>][];
  const [most] = parts.toSorted((a, b) => b[1].watts - a[1].watts);
  const [nearest] = parts
    .flatMap(([role, { stresses }]) =>
      stresses.map((stress) => ({ role, ...stress, over: stress.share / stress.usual })),
    )
    .toSorted((a, b) => b.over - a.over);
  const bought = design.missing.map((role) => toBuyFor(design, role));
  return {
    why: [
      `${Math.round(1000 * design.efficiency) / 10} % at full load${design.missing.length > 0 ? `, without what is lost in the ${design.missing.join(' and ')}` : ''}`,
      most ? `most is lost in the ${most[0]}, ${q(most[1].watts, 'watt')}` : '',
      bought.length > 0 ? `to buy: ${bought.join('; ')}` : 'all its power parts are in the drawers',
    ]
      .filter((word) => word !== '')
      .join('; '),
    limit: nearest
      ? `${nearest.name} of the ${nearest.role}: ${q(nearest.value, nearest.unit)} of ${q(nearest.rating, nearest.unit)}`
      : 'nothing is known to limit it',
  };
}

const typed = (value: number, unit: Parameters<typeof formatQuantity>[1]) =>
  q(value, unit)
    .replace(/[\s\u00a0]/gu, '')
    .replace('µ', 'u')
    .replace('Ω', '');

/** What within a design stands over the limit of touch though its ends do not; nothing where nothing does. */
export function hazardOf({ demand: { switchVolts, linkVolts }, topology }: Design): string | undefined {
  const most = Math.max(switchVolts, linkVolts);
  if (most <= TOUCH_LIMIT_DC.volts) return undefined;
  const held = linkVolts > TOUCH_LIMIT_DC.volts ? ', and its coupling capacitor holds them when it is off' : '';
  const where = topology === 'flyback' ? 'its switch and its clamp swing' : 'its switch swings';
  return `Inside, ${where} to ${q(most, 'volt')}${held}: over the ${TOUCH_LIMIT_DC.volts} V that may be touched. No hand comes near while it runs; read it low before one does.`;
}

/** What a role asks of a lot, as the drawers are asked: `nmos >=60.7V id>=3.3`. */
export function needFor({ demand, parts }: Design, role: DesignRole): string {
  const { lot } = parts.choke ?? {};
  const { point, peak, switchVolts, switchRms, rectifierVolts, rectifierMean } = demand;
  switch (role) {
    case 'choke':
      if (lot?.winding) return `${lot.kind} ${lot.package ?? lot.marking ?? ''}`;
      if (point.topology === 'flyback') return `transformer inductance~${typed(point.inductance, 'henry')}`;
      return `choke ${typed(point.inductance, 'henry')} current>=${typed(peak, 'ampere')}`;
    case 'switch':
      return `nmos vds>=${typed(switchVolts / USED_VOLTS.mosfet, 'volt')} id>=${typed(switchRms / RULES.fetRms, 'ampere')}`;
    case 'rectifier':
      return `schottky vrrm>=${typed(rectifierVolts / USED_VOLTS.schottky, 'volt')} ifav>=${typed(rectifierMean / RULES.rectifierMean, 'ampere')}`;
    case 'link':
      return `film voltage>=${typed(demand.linkVolts / USED_VOLTS.film, 'volt')}`;
    case 'output':
      return `electrolytic voltage>=${typed(point.output / USED_VOLTS.can, 'volt')}`;
    case 'snubber': {
      const { farads, volts } = snubberOf(demand);
      return `${parts.snubber?.lot.technology ?? 'ceramic'} voltage>=${typed(volts, 'volt')} capacitance>=${typed(farads / 2, 'farad')}`;
    }
    case 'input':
      return `electrolytic voltage>=${typed(point.inputHigh / USED_VOLTS.can, 'volt')}`;
  }
}

/** A line of a winding sheet. */
export interface WindingLine {
  readonly name: string;
  readonly value: string;
}

/** Turns that are wound for a trial, to see whether a core has been ground already. */
const TRIAL_TURNS = 10;

const metres = (value: number) => formatQuantity(value, 'metre', { digits: 2 });

const coilText = ({ turns, wire, strands, length }: Coil): string =>
  `${turns} turns of ${strands === 1 ? 'one wire' : `${strands} wires together`}, ${metres(wire)} bare, ${metres(length)} each and its ends`;

const coldOhms = ({ length, wire, strands }: Coil): string =>
  q(copperResistance({ length, area: strands * wireArea(wire) }), 'ohm');

/** How the choke or the transformer of a design is wound and checked; nothing where it is taken as it is. */
export function windingSheet({ parts: { choke }, inductance }: Design): readonly WindingLine[] {
  const winding = choke?.lot.winding;
  if (!choke || !winding) return [];
  const { core, primary, secondary, gap, factor, flux, fill } = winding;
  const trial = TRIAL_TURNS ** 2 * core.inductanceFactor;
  return [
    { name: 'core', value: `${core.name}, both halves${choke.count > 1 ? `; ${choke.count} alike` : ''}` },
    {
      name: 'apart',
      value:
        'where it is still glued: ten minutes in boiling water, then pull it straight; ferrite breaks when it is levered',
    },
    {
      name: 'before',
      value: `${TRIAL_TURNS} turns with its halves pressed together read near ${q(trial, 'henry')}; far less, and it is ground already or another ferrite`,
    },
    {
      name: secondary ? 'primary' : 'winding',
      value: `${coilText(primary)}${secondary ? '; its start goes to the input, its end to the switch' : ''}`,
    },
    ...(secondary
      ? [
          {
            name: 'secondary',
            value: `${coilText(secondary)}, over three layers of tape, wound the same way; its start goes to the return of the output, its end to the rectifier`,
          },
        ]
      : []),
    {
      name: 'gap',
      value: `${metres(gap)} in all: a spacer of ${metres(gap / 2)} between the halves, under every leg`,
    },
    {
      name: 'together',
      value: `reads ${q(inductance, 'henry')} (${(factor * 1e9).toPrecision(3)} nH per turn squared), often a tenth more: change the spacer until it does`,
    },
    {
      name: 'cold ohms',
      value: secondary ? `primary ${coldOhms(primary)}, secondary ${coldOhms(secondary)}` : coldOhms(primary),
    },
    {
      name: 'filled',
      value: `${Math.round(100 * fill)} % of its window; ${flux.toFixed(2)} T at the peak, and full at ${q(choke.lot.ratings['saturation'] ?? 0, 'ampere')} when hot`,
    },
  ];
}
