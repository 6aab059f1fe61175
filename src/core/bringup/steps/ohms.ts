import { formatQuantity } from '../../quantity';
import { readingInPlace } from '../../incircuit';
import { PRACTICE } from '../../evidence';
import { COLD } from '../limits';
import type { Asked, Draft, Failing } from '../step';
import type { PowerUpFacts, Rail } from '../unit';
import { atBoard } from './parts';

const q = formatQuantity;
const common = { ...atBoard, group: 'ohms' } as const;

/** Ohms at named points, before anything is joined: a short is found while it is cold. */
export function ohmSteps(facts: PowerUpFacts): readonly Draft[] {
  const { feed, rails, standby, unit } = facts;
  const bulks = unit.stores.filter(({ role }) => role === 'bulk').map(({ name }) => bulkOhms(facts, name));
  return [
    ...(feed === 'mains'
      ? [plugOhms(facts), ...bulks]
      : [feed === 'controller' ? throughOhms(facts) : inputOhms(facts)]),
    ...[...(standby ? [standby] : []), ...rails].map((rail) => outputOhms(facts, rail)),
  ];
}

/** What a part of a traced board reads between two of its pins: ohms, or the copper of a transformer. */
function known(facts: PowerUpFacts, ref: string, pins: readonly [string, string]): number | 'copper' | undefined {
  const { board } = facts.unit;
  const answer = readingInPlace(board, { ref, plus: pins[0], minus: pins[1], mode: 'ohm' });
  if (answer.kind !== 'known' || !answer.closed || answer.unknown.length > 0 || !Number.isFinite(answer.expected))
    return undefined;
  const isTransformer = (one: string) => board.parts.some(({ ref: at, kind }) => at === one && kind === 'transformer');
  return answer.through.some(isTransformer) ? 'copper' : answer.expected;
}

interface Sought {
  readonly asked: Asked;
  /** Under so many ohms it is a short. */
  readonly short: number;
}

/** What is sought: by the traced board where it tells, else what such places have at least. */
function sought(
  ohms: number | 'copper' | undefined,
  { least, short, point }: { readonly least: number; readonly short: number; readonly point: string },
): Sought {
  if (ohms === undefined) return { asked: { unit: 'ohm', low: least, from: PRACTICE, point }, short };
  if (ohms === 'copper') {
    const { low, high, short: copper } = COLD.primary;
    return {
      asked: { unit: 'ohm', low, high, from: `copper of an iron transformer; ${PRACTICE}`, point },
      short: copper,
    };
  }
  return {
    asked: {
      unit: 'ohm',
      low: ohms * (1 - COLD.spread),
      high: ohms * (1 + COLD.spread),
      from: `${q(ohms, 'ohm')} by the traced board`,
      point,
    },
    short: Math.min(short, ohms / 2),
  };
}

const shorted = (short: number, says: string, symptom: Failing['symptom'] = 'fuse-blown'): Failing => ({
  level: 'stop',
  when: `under ${q(short, 'ohm')}`,
  under: short,
  says,
  symptom,
});

/** What the two pins of its input read, where the board is traced. */
function acrossInput(facts: PowerUpFacts): number | 'copper' | undefined {
  const inlet = facts.unit.board.parts.find(({ role }) => role === 'mains-inlet' || role === 'dc-input');
  const [plus, minus, ...more] = Object.keys(inlet?.pins ?? {}).filter((pin) => !/^(?:PE|E|EARTH|G)$/iu.test(pin));
  if (!inlet || plus === undefined || minus === undefined || more.length > 0) return undefined;
  return known(facts, inlet.ref, [plus, minus]);
}

function plugOhms(facts: PowerUpFacts): Draft {
  const { unit, names } = facts;
  const across = acrossInput(facts) ?? (unit.topologies.includes('line-transformer') ? 'copper' : undefined);
  // Where nobody knows the circuit, an iron transformer may be behind the plug: its copper is no short.
  const isOpen = across === undefined && unit.topologies.length === 0;
  const { asked, short } = sought(across, { least: COLD.inlet, short: COLD.inletShort, point: 'L N' });
  const suspects = `${names('bridge', 'bridge')}, varistor, X capacitor`;
  return {
    ...common,
    id: 'ohms:inlet',
    title: 'Ohms from L to N, at the plug',
    how: `${names('fuse', 'Fuse')} fitted, nothing else joined; both ways round.`,
    asked,
    protects: 'The fuse, and what a short takes with it',
    failings: [
      shorted(
        isOpen ? COLD.primary.short : short,
        `Do not plug it in: a short is left ahead of the bulk (${suspects}).`,
      ),
      ...(isOpen
        ? [
            {
              ...shorted(short, `A short (${suspects}), or the copper of an iron transformer. Find out which first.`),
              level: 'look' as const,
            },
          ]
        : []),
    ],
  };
}

function bulkOhms(facts: PowerUpFacts, name: string): Draft {
  const { asked, short } = sought(known(facts, name, ['+', '-']), {
    least: COLD.bulk,
    short: COLD.bulkShort,
    point: name,
  });
  return {
    ...common,
    id: `ohms:${name}`,
    title: `Ohms across ${name}, plus to minus`,
    how: 'Red on plus. It begins low and climbs while the meter charges it; wait for it to settle.',
    asked,
    protects: 'The switch and the rectifiers behind it',
    failings: [shorted(short, `Do not plug it in: ${facts.names('mainSwitch', 'the switch')} or ${name} is shorted.`)],
  };
}

function throughOhms({ names }: PowerUpFacts): Draft {
  return {
    ...common,
    id: 'ohms:through',
    title: 'Ohms from the line terminal to the load terminal',
    how: 'Its switch on, knob in the middle.',
    asked: { unit: 'ohm', low: COLD.inlet, from: PRACTICE, point: 'L LOAD' },
    protects: 'The load: a shorted triac is full on at any knob',
    failings: [shorted(COLD.bulkShort, `${names('triac', 'The triac')} is shorted.`, 'snap-on')],
  };
}

function inputOhms(facts: PowerUpFacts): Draft {
  const { asked, short } = sought(acrossInput(facts), {
    least: COLD.outputUnknown,
    short: COLD.outputUnknownShort,
    point: 'IN',
  });
  return {
    ...common,
    id: 'ohms:inlet',
    title: 'Ohms across its input',
    how: 'Red on plus; it climbs while its can charges.',
    asked,
    protects: 'The bench supply, and what a short takes with it',
    failings: [
      shorted(short, `Do not feed it: ${facts.names('mainSwitch', 'the switch')} or its input can is shorted.`),
    ],
  };
}

function outputOhms(facts: PowerUpFacts, { name, volts, amperes, at }: Rail): Draft {
  const load = amperes === undefined ? undefined : Math.abs(volts) / amperes;
  const { asked, short } = sought(known(facts, at, ['+', '-']), {
    least: load === undefined ? COLD.outputUnknown : COLD.outputTimes * load,
    short: load === undefined ? COLD.outputUnknownShort : COLD.outputShortTimes * load,
    point: name,
  });
  return {
    ...common,
    id: `ohms:${name}`,
    title: `Ohms across the ${name} output${at === 'its output' ? '' : `, at ${at}`}`,
    how: 'Plus to minus, nothing joined to it. A built-in load resistor reads lower, and is no fault.',
    asked,
    protects: 'The rectifiers, and a start against a short',
    failings: [
      shorted(
        short,
        `Its output is shorted: ${facts.names('outputRectifier', 'rectifier')}, its can, or what protects it.`,
        'hiccup',
      ),
    ],
  };
}
