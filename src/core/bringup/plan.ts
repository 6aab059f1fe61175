import { METER_CEILING } from '../safety';
import { rangeWords, type Draft, type Step } from './step';
import { afterSteps, heatSteps, lampOut } from './steps/after';
import { coldSteps } from './steps/cold';
import { benchSteps, fittedSteps } from './steps/fitted';
import { lampSteps } from './steps/behindLamp';
import { atPlug } from './steps/parts';
import { loadSteps } from './steps/rails';
import { mainsMismatch, powerUpFacts, type PowerUpFacts, type PowerUpUnit } from './unit';

/** The steps of a first power-up; or why there is none. */
export type PowerUpPlan =
  | { readonly kind: 'steps'; readonly steps: readonly Step[]; readonly facts: PowerUpFacts }
  | { readonly kind: 'none'; readonly why: string; readonly then: string };

/**
 * The first power-up of a unit, in order, with its own numbers. None is made for a unit that stays shut, whose feed is not
 * known, that runs on three phases, or that holds more than a meter stands.
 */
export function planPowerUp(unit: PowerUpUnit): PowerUpPlan {
  const none = (why: string, then: string) => ({ kind: 'none', why, then }) as const;
  if (unit.leaveShut !== undefined) return none(unit.leaveShut, 'It is not powered up here.');
  if (unit.plate.inputs.some(({ phases }) => phases === 3))
    return none('It runs on three phases.', 'That is work for licensed people with the means for it.');
  const over = unit.stores.find(({ holds }) => holds !== undefined && holds > METER_CEILING.volts);
  if (over)
    return none(
      `${over.name} may hold more than ${METER_CEILING.volts} V.`,
      'No hand meter can show it dead afterwards: it is not powered up here.',
    );
  const mismatch = mainsMismatch(unit);
  if (mismatch !== undefined)
    return none(
      mismatch,
      'It is not plugged in here: it wants a transformer of the right voltage. If the mains here is another, say so in Settings.',
    );
  const battery = unit.stores.find(({ role }) => role === 'battery');
  if (battery)
    return none(
      `${battery.name} is a battery: it never reads dead.`,
      'Part it at its connector, delete it from the stores at Make safe, and power the unit up without it.',
    );
  const facts = powerUpFacts(unit);
  if (!facts)
    return none('What feeds it is not known.', 'Read its label at Intake first, or write down what it was fed with.');
  if (facts.feed !== 'direct' && unit.stores.length === 0 && facts.feed !== 'controller')
    return none('No store of charge is listed.', 'List its capacitors at Make safe: they are read before and after.');
  return { kind: 'steps', facts, steps: numbered(draftsOf(facts)) };
}

/** Every power-up ends with the plug out. */
const END: Draft = {
  ...atPlug,
  group: 'end',
  id: 'end',
  title: 'Strip switch off, plug out',
  how: 'Not only the switch.',
  good: 'unplugged',
  protects: 'The next hand at it',
  failings: [],
};

function draftsOf(facts: PowerUpFacts): readonly Draft[] {
  const drafts = stepsFor(facts);
  return drafts.at(-1)?.power === 'off' ? drafts : [...drafts, END];
}

const stepsFor = (facts: PowerUpFacts): readonly Draft[] => [
  ...coldSteps(facts),
  ...fittedSteps(facts),
  ...benchSteps(facts),
  ...lampSteps(facts),
  ...lampOut(facts),
  ...loadSteps(facts),
  ...heatSteps(facts),
  ...afterSteps(facts),
];

function numbered(drafts: readonly Draft[]): readonly Step[] {
  const groups = [...new Set(drafts.map(({ group }) => group))];
  return drafts.map(({ group, good, ...draft }) => ({
    ...draft,
    number: groups.indexOf(group) + 1,
    good: good ?? (draft.asked ? rangeWords(draft.asked) : ''),
  }));
}
