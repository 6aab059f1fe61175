import { formatQuantity } from '../../quantity';
import { CREST, LOADS, railLimits, RAILS_LOADED, rippleLimit } from '../limits';
import { lampOhms, voltsBehindLamp } from '../lamp';
import type { Draft, Failing } from '../step';
import type { PowerUpFacts, Rail } from '../unit';
import { loadUnderLamp } from './fitted';

const q = formatQuantity;
const on = { power: 'mains', hands: 'away' } as const;

/** Seconds of the first light: the bulk charges through about half of the hot lamp. */
const FLASH = { share: 0.5, times: 3, least: 1 } as const;
/** Volts on a store from which hands and meters come to harm. */
const OVER_RATING = 1;

/** What is read while it runs behind the lamp. */
export function lampSteps(facts: PowerUpFacts): readonly Draft[] {
  if (facts.feed === 'controller') return controllerSteps(facts);
  const isLive = facts.feed === 'mains';
  const { rails, standby } = facts;
  const starts: readonly Draft[] =
    standby && rails.length > 1
      ? [
          {
            ...power(facts),
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

const power = ({ feed }: PowerUpFacts) => (feed === 'direct' ? ({ power: 'bench', hands: 'away' } as const) : on);

function flash(facts: PowerUpFacts): Draft {
  const { lamp, unit, names } = facts;
  const farads = unit.stores
    .filter(({ role }) => role === 'bulk')
    .reduce((sum, { capacitance }) => sum + capacitance, 0);
  const seconds = Math.max(FLASH.least, Math.ceil(FLASH.times * FLASH.share * lampOhms(lamp.lamp).hot * farads));
  const left = voltsBehindLamp(lamp.lamp, facts.idle + loadUnderLamp(facts));
  return {
    ...on,
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
    power: 'bench',
    hands: 'away',
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
      const over = rated === undefined ? high * 1.1 : Math.max(high, rated * OVER_RATING);
      return {
        ...on,
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
      ...on,
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

function railFailings(
  { names }: PowerUpFacts,
  rail: Rail,
  limits: { low: number; high: number; over: number; under: number },
): readonly Failing[] {
  const isStandby = rail.output.standby === true;
  return [
    {
      level: 'stop',
      when: `over ${q(limits.over, 'volt')}`,
      over: limits.over,
      says: isStandby
        ? `Switch off, join nothing to it: ${names('standbyCapacitor', 'a dried can of the standby supply')} lets it rise, and what it fed may be dead.`
        : `Switch off. Nothing holds it: ${names('optocoupler', 'optocoupler')}, ${names('reference', 'reference')}, ${names('feedback', 'its divider')}.`,
      symptom: isStandby ? 'standby-high' : 'rail-high',
    },
    {
      level: 'look',
      when: `over ${q(limits.high, 'volt')}`,
      over: limits.high,
      says: 'A little high: its load may be too small, or its sense wire open. No load that matters before that is known.',
      symptom: isStandby ? 'standby-high' : 'rail-high',
    },
    {
      level: 'stop',
      when: `under ${q(limits.under, 'volt')}`,
      under: limits.under,
      says: `${names('outputCapacitor', 'Its cans')} dry, or ${names('outputRectifier', 'its rectifier')} open; or it ticks.`,
      symptom: isStandby ? 'standby-dead' : 'rail-low',
    },
    {
      level: 'look',
      when: `under ${q(limits.low, 'volt')}`,
      under: limits.low,
      says: `A little low: sense wire, minimum load, ESR of ${names('outputCapacitor', 'its cans')}.`,
      symptom: isStandby ? 'standby-dead' : 'rail-low',
    },
  ];
}

/** What a rail should read, with how far it may be off before it ends the power-up. Magnitudes, volts. */
export function railWindow({ output, volts }: Rail) {
  const { tolerance, stop, from } = railLimits(output);
  const size = Math.abs(volts);
  const top = Math.abs(output.vMax ?? volts);
  return {
    low: size * (1 - tolerance),
    high: top * (1 + tolerance),
    over: top * (1 + stop),
    under: size * (1 - stop),
    from: `${output.vMax === undefined ? '' : 'the printed range, '}${from}`,
  };
}

function standbyStep(facts: PowerUpFacts, rail: Rail): Draft {
  return readRail(facts, rail, {
    id: `standby:${rail.name}`,
    title: `Read the ${rail.name} alone`,
    how: 'Before anything hangs on it, through its clips.',
    group: 'standby',
    protects: 'All that the standby supply feeds',
  });
}

function railStep(facts: PowerUpFacts, rail: Rail): Draft {
  const place = rail.at === 'its output' ? '' : ` at ${rail.at}`;
  const isBattery = facts.unit.kind === 'battery-charger';
  const isMain = rail.watts !== undefined && facts.rails.every(({ watts = 0 }) => watts <= (rail.watts ?? 0));
  const drawn =
    facts.feed === 'mains' && isMain ? `, ${q(loadUnderLamp(facts) / Math.abs(rail.volts), 'ampere')} drawn` : '';
  return readRail(facts, rail, {
    id: `rail:${rail.name}`,
    title: `Read the ${rail.name} rail${place}`,
    how: `Through the clips${facts.feed === 'mains' ? ', lamp in the line' : ''}${drawn}.${isBattery ? ' Without its battery a charger may give nothing: no fault.' : ''}`,
    group: 'rails',
    protects: 'What you join to it next',
  });
}

function readRail(
  facts: PowerUpFacts,
  rail: Rail,
  of: { id: string; title: string; how: string; group: string; protects: string },
): Draft {
  const window = railWindow(rail);
  return {
    ...power(facts),
    ...of,
    asked: { unit: 'volt', low: window.low, high: window.high, from: window.from, point: rail.name },
    rail: rail.name,
    failings: [
      ...railFailings(facts, rail, window),
      ...(facts.feed === 'mains'
        ? [
            {
              level: 'note' as const,
              when: 'ticking',
              says: `It may be the lamp alone: ${facts.lamp.lamp.watts} W passes up to ${q(facts.lamp.most, 'watt')}. No fault yet.`,
            },
          ]
        : []),
    ],
  };
}

/** A dimmer or speed controller is looked at by its load alone; its knob is turned only while it is unplugged. */
function controllerSteps({ lamp, names }: PowerUpFacts): readonly Draft[] {
  const turn = (id: string, end: string): Draft => ({
    power: 'off',
    hands: 'plug',
    group: id,
    id,
    title: `Plug out; knob to its ${end} end`,
    how: 'Only the insulated knob is touched.',
    good: 'set, the plug out',
    protects: 'Your hand: the body of a pot is on the mains',
    failings: [
      { level: 'stop', when: 'it cannot be turned so', says: 'A bare shaft is never turned by hand: fit a knob.' },
    ],
  });
  const look = (id: string, of: Pick<Draft, 'good' | 'failings'>): Draft => ({
    ...on,
    ...of,
    group: id,
    id,
    title: 'Plug in, stand back, switch on',
    how: `The ${lamp.lamp.watts} W lamp as its load.`,
    protects: 'Its triac, and you',
  });
  return [
    turn('knob:set-low', 'low'),
    look('knob:low', {
      good: 'dark, or a faint even glow',
      failings: [
        { level: 'stop', when: 'full bright', says: `${names('triac', 'The triac')} is shorted.`, symptom: 'snap-on' },
        {
          level: 'look',
          when: 'flickers',
          says: `${names('trigger', 'Its trigger diode')} or its capacitor.`,
          symptom: 'flicker',
        },
      ],
    }),
    turn('knob:set-high', 'high'),
    look('knob:high', {
      good: 'full bright, even',
      failings: [
        {
          level: 'stop',
          when: 'stays dark',
          says: `${names('trigger', 'Its trigger diode')}, its timing parts, or ${names('triac', 'the triac')} open.`,
          symptom: 'dead',
        },
        {
          level: 'look',
          when: 'half bright',
          says: 'It fires on one half wave only: no load with iron in it.',
          symptom: 'flicker',
        },
      ],
    }),
  ];
}

/** Loads, ripple: what is read with the lamp out of the line. */
export function loadSteps(facts: PowerUpFacts): readonly Draft[] {
  const { rails, isIsolated, feed } = facts;
  const loaded = rails
    .filter(({ amperes }) => amperes !== undefined)
    .toSorted((a, b) => (b.watts ?? 0) - (a.watts ?? 0));
  // A live output is loaded once, while it is dead: nobody changes its load with power on.
  if (loaded.length === 0 || feed === 'controller' || !isIsolated) return [];
  const few = loaded.slice(0, RAILS_LOADED);
  const steps = LOADS.steps.flatMap((share) =>
    few.map((rail): Draft => {
      const window = railWindow(rail);
      const amperes = (rail.amperes ?? 0) * share;
      return {
        ...power(facts),
        group: 'loads',
        id: `load:${share * 100}:${rail.name}`,
        title: `${rail.name} at ${q(amperes, 'ampere')}, ${share * 100} % of its rating`,
        how: `Load of ${q(Math.abs(rail.volts) / amperes, 'ohm')} for ${q(2 * Math.abs(rail.volts) * amperes, 'watt')}, switched at the far end of its leads.`,
        asked: { unit: 'volt', low: window.low, high: window.high, from: window.from, point: rail.name },
        rail: rail.name,
        protects: 'What it will feed',
        failings: railFailings(facts, rail, window),
      };
    }),
  );
  const ripple = few.flatMap((rail): readonly Draft[] => {
    if (rail.output.ac) return [];
    const limit = rippleLimit(rail.volts);
    return [
      {
        ...power(facts),
        group: 'ripple',
        id: `ripple:${rail.name}`,
        title: `Ripple of ${rail.name}, peak to peak`,
        how: 'Scope with a short earth, 20 MHz; its clip on the output’s minus only, never on the mains side, fitted while dead. Without a scope, pass it and say so.',
        asked: { unit: 'volt', high: limit.volts, from: limit.from, point: `${rail.name} ripple` },
        protects: 'What it will feed',
        failings: [
          {
            level: 'look',
            when: `over ${q(limit.volts, 'volt')}`,
            over: limit.volts,
            says: `${facts.names('outputCapacitor', 'Its cans')} are drying: measure their ESR.`,
            symptom: 'ripple',
          },
        ],
      },
    ];
  });
  return [...steps, ...ripple];
}
