import { formatQuantity } from '../../quantity';
import { CREST, LOADS } from '../limits';
import { lampOhms, voltsBehindLamp } from '../lamp';
import type { Draft } from '../step';
import type { PowerUpFacts } from '../unit';
import { loadUnderLamp } from './fitted';
import { knobSteps } from './knob';
import { running } from './parts';
import { railStep, standbyStep } from './rails';

const q = formatQuantity;

/** Seconds of the first light: the bulk charges through about half of the hot lamp. */
const FLASH = { share: 0.5, times: 3, least: 1 } as const;

/** What is read while it runs behind the lamp. */
export function lampSteps(facts: PowerUpFacts): readonly Draft[] {
  if (facts.feed === 'controller') return knobSteps(facts);
  const isLive = facts.feed === 'mains';
  const { rails, standby } = facts;
  const starts: readonly Draft[] =
    standby && rails.length > 1
      ? [
          {
            ...running(facts),
            group: 'start',
            id: 'start',
            title: 'Start it with the switch on its long leads',
            how: 'Only when the standby supply is right.',
            good: 'it starts, and stays on',
            protects: 'What the standby supply feeds',
            failings: [
              {
                level: 'look',
                when: 'it tries and stops',
                says: 'It may be the lamp alone, or the load it wants on its main rail. Else a rectifier is shorted.',
                symptom: 'hiccup',
              },
              {
                level: 'stop',
                when: 'nothing happens',
                says: 'It does not start although its standby supply runs.',
                symptom: 'dead',
              },
            ],
          },
        ]
      : [];
  return [
    ...(isLive ? [flash(facts), ...bulks(facts), ...own(facts)] : [fed(facts)]),
    ...(standby ? [standbyStep(facts, standby)] : []),
    ...starts,
    ...rails.map((rail) => railStep(facts, rail)),
  ];
}

function flash(facts: PowerUpFacts): Draft {
  const { lamp, unit, names } = facts;
  const farads = unit.stores
    .filter(({ role }) => role === 'bulk')
    .reduce((sum, { capacitance }) => sum + capacitance, 0);
  const seconds = Math.max(FLASH.least, Math.ceil(FLASH.times * FLASH.share * lampOhms(lamp.lamp).hot * farads));
  const left = voltsBehindLamp(lamp.lamp, facts.idle + loadUnderLamp(facts));
  return {
    ...running({ feed: 'mains' }),
    group: 'lamp',
    id: 'lamp',
    title: `Plug in, stand back, switch on: the ${lamp.lamp.watts} W lamp`,
    how: `It passes ${q(lamp.most, 'watt')} at most${left === undefined ? '' : `, and leaves ${q(left, 'volt')} of ${q(facts.volts, 'volt')} with the load on`}.${lamp.limitsLittle ? ' The unit takes so little that even this lamp limits it hardly.' : ''}`,
    good: `one flash, then dark within ${q(seconds, 'second')}`,
    protects: 'The fuse and the new parts: a short only lights the lamp',
    failings: [
      {
        level: 'stop',
        when: 'stays bright',
        says: `Switch off: a short on the mains side. ${names('mainSwitch', 'The switch')}, ${names('bridge', 'the bridge')}, ${names('bulk', 'the bulk')}.`,
        symptom: 'trips-breaker',
      },
      {
        level: 'look',
        when: 'glows and pulses',
        says: 'Too small a lamp, or too much load. Take the load off, or a larger lamp; then it may be a shorted output.',
        symptom: 'hiccup',
      },
      {
        level: 'look',
        when: 'no flash at all',
        says: `Nothing reaches the bulk: ${names('fuse', 'fuse')}, ${names('ntc', 'NTC')}, cable.`,
        symptom: 'dead',
      },
      {
        level: 'stop',
        when: 'smell, smoke, a bang',
        says: 'Switch off at the strip and stay away until it has cooled.',
        symptom: 'smell',
      },
    ],
  };
}

function fed({ volts, full }: PowerUpFacts): Draft {
  const limit = Math.max(0.05, (LOADS.least * full) / volts) * 2;
  return {
    ...running({ feed: 'direct' }),
    group: 'fed',
    id: 'fed',
    title: `Feed it with ${q(volts, 'volt')} from the bench supply`,
    how: `Limited to ${q(limit, 'ampere')} at first, turned up from nothing.`,
    asked: { unit: 'ampere', high: limit * 0.8, from: 'a tenth of its full load', point: 'IN' },
    protects: 'The switch and the supply: a short only meets the limit',
    failings: [
      {
        level: 'stop',
        when: 'at the limit',
        over: limit * 0.98,
        says: 'Its switch, its input can or what follows is shorted.',
        symptom: 'fuse-blown',
      },
    ],
  };
}

function bulks({ unit, volts, corrects, names }: PowerUpFacts): readonly Draft[] {
  const crest = volts * Math.SQRT2;
  return unit.stores
    .filter(({ role }) => role === 'bulk')
    .map(({ name, rated, isHalf }): Draft => {
      const share = isHalf ? 0.5 : 1;
      const low = CREST.low * crest * share;
      const high = corrects ? CREST.correctedHigh : CREST.high * crest * share;
      const over = rated === undefined ? high * 1.1 : Math.max(high, rated);
      return {
        ...running({ feed: 'mains' }),
        group: 'bulk',
        id: `bulk:${name}`,
        title: `Read ${name} through its clips`,
        how: `Direct voltage, behind the lamp.${corrects ? ` At the crest of the mains until its corrector runs, then ${CREST.correctedLow} to ${CREST.correctedHigh} V.` : ''}`,
        asked: {
          unit: 'volt',
          low,
          high,
          from: `the crest of ${q(volts, 'volt')}${isHalf ? ', shared by two in a row' : ''}${corrects ? ', or the corrected rail' : ''}`,
          point: name,
        },
        store: name,
        protects: `${name}: over its rating it bursts`,
        failings: [
          {
            level: 'stop',
            when: `over ${q(over, 'volt')}`,
            over,
            says: corrects
              ? 'Its corrector does not hold: look at its divider. Switch off.'
              : 'More than the mains can bring: a selector in the wrong place, or a doubler. Switch off.',
            symptom: 'rail-high',
          },
          {
            level: 'look',
            when: `under ${q(low, 'volt')}`,
            under: low,
            says: `Little reaches it, or it is dry: ${names('ntc', 'NTC')}, ${names('bridge', 'bridge')}, ${name}. The lamp takes its part too: look whether it glows.`,
            symptom: 'rail-low',
          },
        ],
      };
    });
}

function own({ controller, names, feed }: PowerUpFacts): readonly Draft[] {
  const supply = controller?.family.supply;
  if (!controller || !supply || feed !== 'mains') return [];
  return [
    {
      ...running({ feed: 'mains' }),
      group: 'own',
      id: `own:${controller.ref}`,
      title: `Read ${controller.ref}’s own supply through its clips`,
      how: 'Its minus is on the mains side: only the clips, and nothing earthed on it.',
      asked: {
        unit: 'volt',
        low: supply.stop,
        high: supply.most ?? supply.start * 1.5,
        from: `stops at ${q(supply.stop, 'volt')}${supply.most === undefined ? '' : `, stands ${q(supply.most, 'volt')}`}: ${controller.family.id}, from memory`,
        point: `${controller.ref} VCC`,
      },
      protects: `${controller.ref}`,
      failings: [
        {
          level: 'stop',
          when: `over ${q(supply.most ?? supply.start * 1.5, 'volt')}`,
          over: supply.most ?? supply.start * 1.5,
          says: 'Its winding gives too much, or the output runs high.',
          symptom: 'rail-high',
        },
        {
          level: 'look',
          when: `climbs and falls, under ${q(supply.stop, 'volt')}`,
          under: supply.stop,
          says: `It starts and is not fed on: ${names('vccCapacitor', 'its can')}, the winding’s diode, or a shorted output. Behind a lamp it may be the lamp alone.`,
          symptom: 'hiccup',
        },
      ],
    },
  ];
}
