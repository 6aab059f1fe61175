import { METER_CEILING, METER_LIMIT, METER_RATING_FROM } from '../../safety';
import { formatQuantity } from '../../quantity';
import { BENCH, FUSES, LOADS, POWER_FACTOR, TRANSFORMERS } from '../limits';
import type { Draft } from '../step';
import type { PowerUpFacts } from '../unit';

const q = formatQuantity;
const off = { power: 'off', hands: 'board' } as const;
const seen = (says: string) => [{ level: 'stop' as const, when: 'it cannot be done so', says }];

/** Share of what passes the lamp that is loaded. */
const UNDER_LAMP = 0.6;

/** Watts drawn while the lamp is in the line: a tenth of full load, or what the lamp passes. */
export const loadUnderLamp = ({ full, idle, lamp }: PowerUpFacts): number =>
  Math.max(0, Math.min(LOADS.least * full, UNDER_LAMP * (lamp.most - idle)));

/** The isolation transformer a unit needs, and the fuse ahead of it; nothing where none is large enough. */
export function transformerFor({
  full,
  volts,
  corrects,
}: Pick<PowerUpFacts, 'full' | 'volts' | 'corrects'>): { readonly va: number; readonly fuse: number } | undefined {
  const needed = full / POWER_FACTOR[corrects ? 'corrected' : 'plain'];
  for (const va of TRANSFORMERS) {
    if (va < needed) continue;
    // Under the transformer's own, and not under what the unit takes.
    const fuse = FUSES.findLast((amperes) => amperes < va / volts);
    if (fuse !== undefined && fuse >= needed / volts) return { va, fuse };
  }
  return undefined;
}

/** What is fitted while it is off and dead, so that no hand comes near it afterwards. */
export function fittedSteps(facts: PowerUpFacts): readonly Draft[] {
  return [...(facts.feed === 'direct' ? [] : ahead(facts)), clips(facts)];
}

function ahead(facts: PowerUpFacts): readonly Draft[] {
  const { lamp, feed } = facts;
  const transformer = feed === 'mains' ? transformerFor(facts) : undefined;
  return [
    {
      power: 'off',
      hands: 'plug',
      group: 'ahead',
      id: 'ahead',
      title: `Build the line: strip switch, ${transformer ? 'transformer, fuse, ' : 'fuse, '}lamp, socket`,
      how: transformer
        ? `Isolation transformer of ${transformer.va} VA at least; T ${q(transformer.fuse, 'ampere')} behind it, smaller than the transformer’s own. Lamp of ${lamp.lamp.watts} W with a switch across it, open.`
        : `${feed === 'mains' ? 'No usual isolation transformer fits' : 'Without an isolation transformer'}: no scope on the mains side, and a person beside you. Lamp of ${lamp.lamp.watts} W with a switch across it, open.`,
      good: 'all unplugged, the switch across the lamp open',
      protects: `You and the board: the lamp lets ${q(lamp.short, 'ampere')} into a short, no more`,
      failings: seen('Without a lamp and a fuse it is not switched on.'),
    },
  ];
}

function clips(facts: PowerUpFacts): Draft {
  const { unit, feed, rails, standby, controller, isIsolated } = facts;
  const points = [
    ...unit.stores.filter(({ role }) => role !== 'filter').map(({ name }) => name),
    ...(feed === 'mains' && controller ? [`${controller.ref}'s supply`] : []),
    ...[...(standby ? [standby] : []), ...rails].map(({ name, at }) =>
      at === 'its output' ? `the ${name} output` : at,
    ),
  ];
  const watts = feed === 'mains' ? loadUnderLamp(facts) : LOADS.least * facts.full;
  const [main] = rails.toSorted((a, b) => (b.watts ?? 0) - (a.watts ?? 0));
  const load =
    feed === 'controller'
      ? ` A filament lamp of ${facts.lamp.lamp.watts} W as its load.`
      : main && watts > 0
        ? ` Load on ${main.name}: ${q(main.volts ** 2 / watts, 'ohm')} for ${q(2 * watts, 'watt')}, which gets hot.`
        : '';
  const starts = rails.length > 1 && standby ? ' A switch on long leads to start it, open.' : '';
  const highest = Math.max(0, ...unit.stores.map(({ holds }) => holds ?? METER_CEILING.volts));
  return {
    ...off,
    group: 'fit',
    id: 'fit',
    title: 'Fit clips and load, cover on',
    how: `${points.length > 0 ? `Clips on ${[...new Set(points)].join(', ')}. ` : ''}Insulated, held so that none can slip.${highest > METER_RATING_FROM ? ' Leads and meter for the mains.' : ''}${load}${starts}${isIsolated ? '' : ' Its outputs count as live: nothing hangs on them that anyone may touch.'}`,
    good: 'fitted, pulled at, cover or a box over it',
    protects: 'Your hands: from here on all is read from a distance',
    failings: seen('What cannot be clipped is not read. Never hold a lead to a live board.'),
  };
}

/** Circuits whose bulk may be fed at a low voltage without harm. */
const TAKES_LOW = /flyback|forward|half-bridge|full-bridge|push-pull/u;

/** Reduced voltage from a bench supply, where the circuit allows it. */
export function benchSteps(facts: PowerUpFacts): readonly Draft[] {
  const { unit, feed, controller, corrects, isIsolated } = facts;
  const [bulk] = unit.stores.filter(({ role, isHalf }) => role === 'bulk' && !isHalf);
  const allows =
    feed === 'mains' &&
    isIsolated &&
    !corrects &&
    unit.topologies.length > 0 &&
    unit.topologies.every((name) => TAKES_LOW.test(name));
  const supply = controller?.family.supply;
  const drafts: Draft[] = [];
  if (allows && controller && supply) {
    const least = supply.start + BENCH.overStart;
    const most =
      supply.most === undefined ? least : Math.max(least, Math.min(supply.most - BENCH.underMost, least + 2.5));
    drafts.push({
      power: 'bench',
      hands: 'away',
      group: 'bench-supply',
      id: 'bench:supply',
      title: `Feed ${controller.ref} alone, ${q(least, 'volt')}${most > least ? ` to ${q(most, 'volt')}` : ''}`,
      how: `Bench supply to its clips, limited to ${q(BENCH.supplyLimit, 'ampere')}; it starts at ${q(supply.start, 'volt')}. No mains. A scope, if there is one, shows its gate drive.`,
      asked: {
        unit: 'ampere',
        high: BENCH.supplyRight,
        from: 'a controller without a bulk voltage; common practice, no source',
        point: `${controller.ref} VCC`,
      },
      protects: 'A new switch: its drive is known before it has volts',
      failings: [
        {
          level: 'stop',
          when: `at the limit of ${q(BENCH.supplyLimit, 'ampere')}`,
          over: BENCH.supplyLimit * 0.98,
          says: `${controller.ref}, its can ${facts.names('vccCapacitor', '')} or the gate is shorted.`.replace(
            / {2,}/gu,
            ' ',
          ),
          symptom: 'dead',
        },
      ],
    });
  }
  if (allows && bulk) {
    drafts.push(
      {
        power: 'bench',
        hands: 'away',
        group: 'bench-bulk',
        id: 'bench:bulk',
        title: `Feed ${bulk.name} with ${BENCH.bulkLow} to ${q(BENCH.bulkHigh, 'volt')} from the bench`,
        how: `Direct voltage to its clips, limited to ${q(BENCH.bulkLimit, 'ampere')}; hands off, as with the mains. One that watches its input stays off: no fault.`,
        asked: { unit: 'ampere', high: BENCH.bulkRight, from: 'common practice, no source', point: bulk.name },
        protects: 'All of the primary: a short shows without a bang',
        failings: [
          {
            level: 'stop',
            when: `at the limit of ${q(BENCH.bulkLimit, 'ampere')}`,
            over: BENCH.bulkLimit * 0.98,
            says: `A short is left behind ${bulk.name}: ${facts.names('mainSwitch', 'the switch')}, or its output.`,
            symptom: 'fuse-blown',
          },
        ],
      },
      ...unit.stores.map(({ name, role }): Draft => ({
        power: 'off',
        hands: role === 'filter' ? 'plug' : 'away',
        group: 'bench-off',
        id: `bench:off:${name}`,
        title: `Bench supply off; read ${name} ${role === 'filter' ? 'at the pins of the plug' : 'through its clips'}`,
        how: 'Wait until it is low. The supply’s clips come off only when every store is.',
        asked: {
          unit: 'volt',
          high: METER_LIMIT.volts,
          from: `under ${q(METER_LIMIT.volts, 'volt')} it counts as dead`,
          point: name,
        },
        store: name,
        protects: 'The hand that takes the clips off',
        failings: [
          {
            level: 'look',
            when: `over ${q(METER_LIMIT.volts, 'volt')}`,
            over: METER_LIMIT.volts,
            says: 'Wait, or bleed it through the clips with the resistor tool; read it again.',
          },
        ],
      })),
      {
        ...off,
        group: 'bench-clips',
        id: 'bench:clips',
        title: 'Take the bench supply’s clips off',
        how: `The meter’s clips stay. Nothing else is joined to ${bulk.name} when the mains comes.`,
        good: 'off, only the meter is left',
        protects: 'The bench supply: the mains would come out of it',
        failings: seen('It is not plugged in with a bench supply on it.'),
      },
    );
  }
  return drafts;
}
