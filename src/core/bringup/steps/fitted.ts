import { PRACTICE } from '../../evidence';
import { METER_CEILING, METER_LIMIT, METER_RATING_FROM } from '../../safety';
import { formatQuantity } from '../../quantity';
import { BENCH, CONTROLLER_LAMP, FUSES, LOADS, POWER_FACTOR, TRANSFORMERS } from '../limits';
import type { Asked, Draft } from '../step';
import type { PowerUpFacts } from '../unit';
import { atBoard, atPlug, orStop, placeOfStore, readOff } from './parts';

const q = formatQuantity;

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
  const { lamp, feed, full, volts } = facts;
  if (feed === 'controller')
    return [
      {
        ...atPlug,
        group: 'ahead',
        id: 'ahead',
        title: 'Build the line: strip switch, fuse, socket',
        how: `A fuse of 1 A at most. Its load, a filament lamp of ${CONTROLLER_LAMP} W, limits what a short can do. A person beside you.`,
        good: 'all unplugged',
        protects: 'You and the board',
        failings: orStop('Without a fuse it is not switched on.'),
      },
    ];
  const transformer = transformerFor(facts);
  const across = `Lamp of ${lamp.lamp.watts} W with a switch across it, open.`;
  return [
    {
      ...atPlug,
      group: 'ahead',
      id: 'ahead',
      title: `Build the line: strip switch, ${transformer ? 'transformer, fuse, ' : 'fuse, '}lamp, socket`,
      how: transformer
        ? `Isolation transformer of ${transformer.va} VA at least; T ${q(transformer.fuse, 'ampere')} behind it, smaller than the transformer’s own. ${across}`
        : `No usual isolation transformer carries ${q(full, 'watt')}: no scope on the mains side, and a person beside you. A fuse for ${q(full / volts, 'ampere')}, no larger than its own. ${across}`,
      good: 'all unplugged, the switch across the lamp open',
      protects: `You and the board: the lamp lets ${q(lamp.short, 'ampere')} into a short, no more`,
      failings: orStop('Without a lamp and a fuse it is not switched on.'),
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
      ? ` A filament lamp of ${CONTROLLER_LAMP} W as its load.`
      : main && watts > 0
        ? ` Load on ${main.name}: ${q(main.volts ** 2 / watts, 'ohm')} for ${q(2 * watts, 'watt')}, which gets hot.`
        : '';
  const bench = feed === 'direct' ? ' The bench supply at its input, off.' : '';
  const starts = rails.length > 1 && standby ? ' A switch on long leads to start it, open.' : '';
  const highest = Math.max(0, ...unit.stores.map(({ holds }) => holds ?? METER_CEILING.volts));
  return {
    ...atBoard,
    group: 'fit',
    id: 'fit',
    title: 'Fit clips and load, cover on',
    how: `${points.length > 0 ? `Clips on ${[...new Set(points)].join(', ')}. ` : ''}Insulated, held so that none can slip.${highest > METER_RATING_FROM ? ' Leads and meter for the mains.' : ''}${bench}${load}${starts}${isIsolated ? '' : ' Its outputs count as live: nothing hangs on them that anyone may touch.'}`,
    good: 'fitted, pulled at, cover or a box over it',
    protects: 'Your hands: from here on all is read from a distance',
    failings: orStop('What cannot be clipped is not read. Never hold a lead to a live board.'),
  };
}

/** Circuits whose bulk may be fed at a low voltage without harm. */
const TAKES_LOW = /flyback|forward|half-bridge|full-bridge|push-pull/u;

/** Reduced voltage from a bench supply, where the circuit allows it: first the controller alone, then the bulk. */
export function benchSteps(facts: PowerUpFacts): readonly Draft[] {
  const { unit, feed, controller, corrects, isIsolated, names } = facts;
  const allows =
    feed === 'mains' &&
    isIsolated &&
    !corrects &&
    unit.topologies.length > 0 &&
    unit.topologies.every((name) => TAKES_LOW.test(name));
  if (!allows) return [];
  const [bulk] = unit.stores.filter(({ role, isHalf }) => role === 'bulk' && !isHalf);
  const supply = controller?.family.supply;
  const runs: Draft[] = [];
  if (controller && supply) {
    const least = supply.start + BENCH.overStart;
    const most =
      supply.most === undefined ? least : Math.max(least, Math.min(supply.most - BENCH.underMost, least + BENCH.span));
    runs.push(
      ...benchRun(facts, {
        id: 'supply',
        at: `${controller.ref}’s supply`,
        title: `Feed ${controller.ref} alone, ${q(least, 'volt')}${most > least ? ` to ${q(most, 'volt')}` : ''}`,
        how: `Limited to ${q(BENCH.supplyLimit, 'ampere')}; it starts at ${q(supply.start, 'volt')}. No mains. A scope, if there is one, shows its gate drive.`,
        right: BENCH.supplyRight,
        limit: BENCH.supplyLimit,
        from: `a controller without a bulk voltage; ${PRACTICE}`,
        point: `${controller.ref} VCC`,
        protects: 'A new switch: its drive is known before it has volts',
        says: `${[controller.ref, names('vccCapacitor', 'its can')].join(', ')} or the gate is shorted.`,
        symptom: 'dead',
      }),
    );
  }
  if (bulk)
    runs.push(
      ...benchRun(facts, {
        id: 'bulk',
        at: bulk.name,
        title: `Feed ${bulk.name} with ${BENCH.bulkLow} to ${q(BENCH.bulkHigh, 'volt')} from the bench`,
        how: `Limited to ${q(BENCH.bulkLimit, 'ampere')}; hands off, as with the mains. One that watches its input stays off: no fault.`,
        right: BENCH.bulkRight,
        limit: BENCH.bulkLimit,
        from: PRACTICE,
        point: bulk.name,
        protects: 'All of the primary: a short shows without a bang',
        says: `A short is left behind ${bulk.name}: ${names('mainSwitch', 'the switch')}, or its output.`,
        symptom: 'fuse-blown',
      }),
    );
  return runs;
}

/** Clips on while dead, fed from a distance, every store read low again, clips off: nothing stays joined that the mains would meet. */
function benchRun(
  { unit }: PowerUpFacts,
  of: Pick<Draft, 'id' | 'title' | 'how' | 'protects'> &
    Pick<Asked, 'from' | 'point'> & {
      readonly at: string;
      readonly right: number;
      readonly limit: number;
      readonly says: string;
      readonly symptom: 'dead' | 'fuse-blown';
    },
): readonly Draft[] {
  const id = `bench:${of.id}`;
  return [
    {
      ...atBoard,
      group: `${id}:clip`,
      id: `${id}:clip`,
      title: `Bench supply, off, onto ${of.at}`,
      how: 'Plus on plus; its clips beside those of the meter. The mains plug lies on the bench.',
      good: 'clipped, the supply off',
      protects: 'Your hands: it is switched on from a distance',
      failings: orStop('What cannot be clipped is not fed.'),
    },
    {
      power: 'bench',
      hands: 'away',
      group: id,
      id,
      title: of.title,
      how: of.how,
      asked: { unit: 'ampere', high: of.right, from: of.from, point: of.point },
      protects: of.protects,
      failings: [
        {
          level: 'stop',
          when: `at the limit of ${q(of.limit, 'ampere')}`,
          over: of.limit * AT_LIMIT,
          says: of.says,
          symptom: of.symptom,
        },
      ],
    },
    ...unit.stores.map((store) =>
      readOff(store, {
        group: `${id}:off`,
        id: `${id}:off:${store.name}`,
        title: `Bench supply off; read ${store.name} ${placeOfStore(store)}`,
        how: 'Wait until it is low. The supply’s clips come off only when every store is.',
        asked: { high: METER_LIMIT.volts, from: `under ${q(METER_LIMIT.volts, 'volt')} it counts as dead` },
        failings: [
          {
            level: 'look',
            when: `over ${q(METER_LIMIT.volts, 'volt')}`,
            over: METER_LIMIT.volts,
            says: 'Wait, or bleed it through the clips with the resistor tool; read it again.',
          },
        ],
      }),
    ),
    {
      ...atBoard,
      group: `${id}:unclip`,
      id: `${id}:unclip`,
      title: 'Take the bench supply’s clips off',
      how: 'The meter’s clips stay. Nothing else is joined to it when the mains comes.',
      good: 'off, only the meter is left',
      protects: 'The bench supply: the mains would come out of it',
      failings: orStop('It is not plugged in with a bench supply on it.'),
    },
  ];
}

/** An ammeter that stands at the limit shows a little less. */
const AT_LIMIT = 0.98;
