import { PRACTICE } from '../../evidence';
import { METER_LIMIT, TOUCH_LIMIT_DC } from '../../safety';
import { formatQuantity } from '../../quantity';
import { COLD } from '../limits';
import type { Draft } from '../step';
import type { PowerUpFacts } from '../unit';
import { ohmSteps } from './ohms';
import { atBoard } from './parts';

const q = formatQuantity;

/** What is looked at and measured before anything is joined to it. */
export function coldSteps(facts: PowerUpFacts): readonly Draft[] {
  return [...dead(facts), look(facts), ...ohmSteps(facts), ...barrier(facts)];
}

function look({ unit, names }: PowerUpFacts): Draft {
  const fresh = unit.replaced.length > 0 ? ` New: ${unit.replaced.join(', ')}.` : '';
  return {
    ...atBoard,
    group: 'look',
    id: 'look',
    title: 'Look it over',
    how: `Under a lamp, both sides.${fresh} Polarity of each can and diode, washers under each tab, nothing left in the case.`,
    good: 'no splash, no bridge, no bare tail',
    protects: 'What a splash of solder or a turned can does at once',
    failings: [
      {
        level: 'stop',
        when: 'something is wrong',
        says: `Put it right first. A can the wrong way round bursts; a missing washer puts the mains on the heat sink (${names('mainSwitch', 'the switch')}).`,
      },
    ],
  };
}

function dead({ unit }: PowerUpFacts): readonly Draft[] {
  return unit.stores.map(({ name, holds }) => ({
    ...atBoard,
    group: 'dead',
    showsDead: true,
    id: `dead:${name}`,
    title: `Read ${name}, unplugged`,
    how: `Direct voltage${(holds ?? Infinity) > TOUCH_LIMIT_DC.volts ? ', leads for the mains, one hand' : ''}; the meter tried on a known source before and after.`,
    asked: { unit: 'volt', high: METER_LIMIT.volts, from: 'under 1 V a meter may go on in any mode', point: name },
    store: name,
    protects: 'Your hands, and the meter in its ohm ranges',
    failings: [
      {
        level: 'look',
        when: `over ${q(METER_LIMIT.volts, 'volt')}`,
        over: METER_LIMIT.volts,
        says: 'It is not dead. Bleed it at Make safe and read it again; nothing else is touched before.',
      },
    ],
  }));
}

function barrier({ feed, isIsolated, hasEarth, rails }: PowerUpFacts): readonly Draft[] {
  if (feed !== 'mains') return [];
  const earth: Draft = {
    ...atBoard,
    group: 'barrier',
    id: 'ohms:earth',
    title: 'Ohms from the earth pin to the metal case',
    how: 'Press the lead on bare metal.',
    asked: { unit: 'ohm', high: COLD.earth, from: PRACTICE, point: 'PE CASE' },
    protects: 'You: an open earth leaves the case live when something fails',
    failings: [
      {
        level: 'stop',
        when: `over ${q(COLD.earthBad, 'ohm')}`,
        over: COLD.earthBad,
        says: 'The earth is open, or nearly so. It is not plugged in before that is mended.',
      },
    ],
  };
  const apart: Draft = {
    ...atBoard,
    group: 'barrier',
    id: 'ohms:barrier',
    title: 'Ohms from L and N together to the output',
    how: 'Both mains pins joined, the other lead on the minus of the output. It finds a short across the barrier; it does not prove the insulation.',
    asked: { unit: 'ohm', low: COLD.insulation, from: PRACTICE, point: 'LN OUT' },
    protects: 'Whoever touches the output',
    failings: [
      {
        level: 'stop',
        when: `under ${q(COLD.insulation, 'ohm')}`,
        under: COLD.insulation,
        says: 'Mains and output are joined. It is not plugged in; look for what lies across the barrier.',
      },
    ],
  };
  // An ohmmeter stays under what turns a junction on: what is joined through a bridge shows in diode mode only.
  const junctions: Draft = {
    ...atBoard,
    group: 'barrier',
    id: 'diode:barrier',
    title: 'The same in diode mode, both ways round',
    how: 'L and N joined; then red and black changed over.',
    good: 'OL both ways',
    protects: 'Whoever touches the output: it may be joined to the mains through the bridge',
    failings: [
      {
        level: 'stop',
        when: 'a drop, one way or both',
        says: 'Its output is joined to the mains side. It is not plugged in with anything on it that a hand can reach; trace its barrier.',
      },
    ],
  };
  return [...(hasEarth ? [earth] : []), ...(isIsolated && rails.length > 0 ? [apart, junctions] : [])];
}
