import { PRACTICE } from '../../evidence';
import { readingInPlace } from '../../incircuit';
import { CAPACITANCE_UPPER, REBOUND_WAIT_SECONDS, SOLDER_LIMIT, TOUCH_LIMIT_DC } from '../../safety';
import { formatDuration, formatQuantity } from '../../quantity';
import { HEAT, LOADS } from '../limits';
import type { Draft } from '../step';
import type { PowerUpFacts, UnitStore } from '../unit';
import { atPlug, placeOfStore, readOff, running } from './parts';

const q = formatQuantity;

/** Off, lamp out of the line, on again: what stands between the lamp and full load. */
export function lampOut({ feed, unit }: PowerUpFacts): readonly Draft[] {
  if (feed !== 'mains') return [];
  return [
    {
      ...atPlug,
      group: 'lamp-out',
      id: 'lamp-out',
      title: 'Strip switch off; close the switch across the lamp',
      how: `Nothing at the board is touched: ${unit.stores.map(({ name }) => name).join(', ') || 'its stores'} may still be charged.`,
      good: 'off, the lamp bridged',
      protects: 'Your hands',
      failings: [{ level: 'stop', when: 'it cannot be done so', says: 'Without a switch across the lamp, end here.' }],
    },
  ];
}

/** The run under heat. */
export function heatSteps(facts: PowerUpFacts): readonly Draft[] {
  const { feed, names, rails, isIsolated } = facts;
  const roles = (['mainSwitch', 'outputRectifier', 'transformer', 'outputCapacitor'] as const).filter(
    (role) => feed !== 'controller' && facts.unit.partsOf(role).length > 0,
  );
  if (roles.length === 0 || !rails.some(({ amperes }) => amperes !== undefined)) return [];
  return roles.map((role) => {
    const { right, stop, name } = HEAT[role];
    const part = names(role, name);
    return {
      ...running(facts),
      group: 'heat',
      id: `heat:${role}`,
      title: `${part} after ${LOADS.minutes} min ${isIsolated ? `at ${LOADS.heat * 100} % load` : 'with its load'}`,
      how: 'From a distance, by infrared; or by a probe that was fitted while dead. Stay beside it.',
      asked: { unit: 'celsius', high: right, from: PRACTICE, point: part },
      protects: 'The room: what runs too hot fails later, alone',
      failings: [
        {
          level: 'stop',
          when: `over ${stop} °C`,
          over: stop,
          says: `Switch off: ${part} loses too much, or its heat does not get away.`,
          symptom: 'hot',
        },
        {
          level: 'look',
          when: `over ${right} °C`,
          over: right,
          says: 'Warmer than it should be: paste, screw, air, and its load.',
          symptom: 'hot',
        },
      ],
    };
  });
}

/** Seconds until a store has bled to the soldering limit through what is across it on its board. */
function bleedSeconds({ unit }: PowerUpFacts, { name, capacitance, holds }: UnitStore): number | undefined {
  const answer = readingInPlace(unit.board, { ref: name, plus: '+', minus: '-', mode: 'ohm' });
  if (answer.kind !== 'known' || !Number.isFinite(answer.expected) || capacitance <= 0 || holds === undefined)
    return undefined;
  return answer.expected * capacitance * CAPACITANCE_UPPER * Math.log(holds / SOLDER_LIMIT.volts);
}

/** Nobody waits longer than this for a bleeder: the tool is quicker. */
const LONGEST_WAIT = 1800;

/** Off, waited, and each store that may hold much measured, twice. */
export function afterSteps(facts: PowerUpFacts): readonly Draft[] {
  const { stores } = facts.unit;
  const failings: Draft['failings'] = [
    {
      level: 'look',
      when: `over ${q(TOUCH_LIMIT_DC.volts, 'volt')}`,
      over: TOUCH_LIMIT_DC.volts,
      says: 'It still kills. Its bleeder may be open: bleed it through the clips, and write that down.',
    },
    {
      level: 'look',
      when: `over ${q(SOLDER_LIMIT.volts, 'volt')}`,
      over: SOLDER_LIMIT.volts,
      says: 'Not dead yet. Wait, or bleed it, and read it again.',
    },
  ];
  const read = (store: UnitStore, again: boolean): Draft => {
    const { name } = store;
    const seconds = bleedSeconds(facts, store);
    const wait =
      seconds === undefined || seconds > LONGEST_WAIT
        ? 'No bleeder that would do it is known: bleed it through its clips with the resistor tool.'
        : `Its bleeder takes about ${formatDuration(seconds)}.`;
    return readOff(store, {
      group: again ? 'rebound' : 'after',
      id: `${again ? 'rebound' : 'after'}:${name}`,
      title: again
        ? `Read ${name} again ${placeOfStore(store)}, ${REBOUND_WAIT_SECONDS / 60} min later`
        : `Unplug, wait, read ${name} ${placeOfStore(store)}`,
      how: again ? 'Charge comes back in a can that was emptied fast.' : `Plug out, not only the switch. ${wait}`,
      asked: { high: SOLDER_LIMIT.volts, from: SOLDER_LIMIT.cite },
      failings,
      ...(again ? { notBefore: { step: `after:${name}`, seconds: REBOUND_WAIT_SECONDS } } : {}),
    });
  };
  return [...stores.map((store) => read(store, false)), ...stores.map((store) => read(store, true))];
}
