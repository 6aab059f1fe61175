import { formatQuantity } from '../../quantity';
import { LOADS, railLimits, RAILS_LOADED, rippleLimit } from '../limits';
import type { Draft, Failing } from '../step';
import type { PowerUpFacts, Rail } from '../unit';
import { loadUnderLamp } from './fitted';
import { running } from './parts';

const q = formatQuantity;

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
function railWindow({ output, volts }: Rail) {
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

/** The standby rail, before anything hangs on it. */
export function standbyStep(facts: PowerUpFacts, rail: Rail): Draft {
  return readRail(facts, rail, {
    id: `standby:${rail.name}`,
    title: `Read the ${rail.name} alone`,
    how: 'Before anything hangs on it, through its clips.',
    group: 'standby',
    protects: 'All that the standby supply feeds',
  });
}

/** A rail behind the lamp. */
export function railStep(facts: PowerUpFacts, rail: Rail): Draft {
  const place = rail.at === 'its output' ? '' : ` at ${rail.at}`;
  const isBattery = facts.unit.kind === 'battery-charger';
  const isMain = rail.watts !== undefined && facts.rails.every(({ watts = 0 }) => watts <= (rail.watts ?? 0));
  const drawn =
    facts.feed === 'mains' && isMain ? `, ${q(loadUnderLamp(facts) / Math.abs(rail.volts), 'ampere')} drawn` : '';
  return readRail(facts, rail, {
    id: `rail:${rail.name}`,
    title: `Read the ${rail.name} rail${place}`,
    how: `${rail.output.ac ? 'Alternating volts, through' : 'Through'} the clips${facts.feed === 'mains' ? ', lamp in the line' : ''}${drawn}.${isBattery ? ' Without its battery a charger may give nothing: no fault.' : ''}`,
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
    ...running(facts),
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
        ...running(facts),
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
        ...running(facts),
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
