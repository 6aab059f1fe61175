import { BOUNDS } from '../bounds';
import { chipByMarking } from '../../chips';
import { findings, numberOf, shown, technologyOf, type Finding, type PartFacts, type Rule } from '../judged';

/** Volts that a fixed supply must have above the usual turn-on, and a winding above the turn-off. */
const ABOVE_ON = 1.5;
const ABOVE_OFF = 1.5;
const MAKERS = /^(?:ka|uc|mc|il|cs|xl|l|sg|tl|lm|an|up|bd|ap|az|tda|ncp|na|fan|hv|dk|ob|vi|k|gm|kia|utc|s|u)(?=\d)/u;
/** The number of a type without its maker’s letters and its case: what second sources share. */
const numberIn = (marking: string | undefined) =>
  (marking ?? '')
    .toLowerCase()
    .replace(MAKERS, '')
    .replace(/^(?<digits>\d+).*$/u, '$<digits>');

/** Second sources whose number is another. */
const SAME: readonly (readonly string[])[] = [
  ['494', '7500'],
  ['431', '1431'],
];
const sameNumber = (a: PartFacts, b: PartFacts) => {
  const [one, other] = [numberIn(a.marking), numberIn(b.marking)];
  return one !== '' && (one === other || SAME.some((group) => group.includes(one) && group.includes(other)));
};
/** UC2842 and UC3842 are one chip for two ranges of temperature. */
const gradeless = (part: PartFacts) => numberIn(part.marking).replace(/^[123](?=84[2-5]|52[3-7]|84[67])/u, '');

const isSameChip = (a: PartFacts, b: PartFacts) => {
  if (sameNumber(a, b) || (gradeless(a) !== '' && gradeless(a) === gradeless(b))) return true;
  const [one, other] = [chipByMarking(a.marking ?? ''), chipByMarking(b.marking ?? '')];
  return (
    one !== undefined &&
    one === other &&
    numberOf(a, 'vOn') === numberOf(b, 'vOn') &&
    numberOf(a, 'dutyMax') === numberOf(b, 'dutyMax')
  );
};
/** Chips with one pin plan, whose thresholds and duty differ. */
const PLANS = [/^[123]?84[2-5]/u, /^[123]?52[57]/u, /^(?:494|7500|594)/u];
const isSamePlan = (a: PartFacts, b: PartFacts) =>
  PLANS.some((plan) => plan.test(numberIn(a.marking)) && plan.test(numberIn(b.marking)));

/** Optocouplers, references, regulators, chips. */
export const SIGNALS: readonly Rule[] = [
  {
    name: 'isolation',
    kinds: ['optocoupler', 'transformer'],
    because: 'It stands between the mains and a hand.',
    judge: ({ failed, place, candidate }) => {
      const [own, old] = [numberOf(candidate, 'viso'), numberOf(failed, 'viso')];
      const say = findings('isolation');
      if (failed.ratings['isolation'] !== undefined && candidate.ratings['isolation'] !== failed.ratings['isolation'])
        return [
          say(
            'no',
            `its isolation is ${String(candidate.ratings['isolation'] ?? 'not known')}, that of the old one ${String(failed.ratings['isolation'])}`,
          ),
        ];
      if (own === undefined) return old === undefined ? [] : [say('no', 'what its isolation stands is not known')];
      const least = Math.max(place.barrier === true ? 3750 : 0, Math.min(old ?? 0, 5000));
      return own < 0.99 * least
        ? [say('no', `its isolation stands ${shown(own, 'volt')}, ${shown(least, 'volt')} is wanted`, own / least - 1)]
        : [];
    },
  },
  {
    name: 'transfer',
    kinds: ['optocoupler'],
    because: 'The gain of the loop, and the current that the controller gets, go with the transfer ratio.',
    judge: ({ failed, place, candidate }) => {
      const say = findings('transfer');
      const found: Finding[] = [];
      const [old, own] = [technologyOf(failed), technologyOf(candidate)];
      if (own !== old && own !== '' && old !== '') {
        const triacs = own.startsWith('triac') && old.startsWith('triac');
        if (!triacs) found.push(say('no', `${own} in the place of ${old}`));
        else if (/zero/u.test(own))
          found.push(
            /heater|static|on-off|relay/iu.test(`${place.duty ?? ''} ${place.load ?? ''}`)
              ? say('note', 'it fires at the zero crossing only')
              : say('no', 'it fires at the zero crossing only: there is no phase control with it'),
          );
        else found.push(say('limits', 'it fires at any moment: more interference than at the zero crossing'));
      }
      const [least, most, oldLeast, oldMost] = [
        numberOf(candidate, 'ctrMin'),
        numberOf(candidate, 'ctrMax'),
        numberOf(failed, 'ctrMin'),
        numberOf(failed, 'ctrMax'),
      ];
      if (least !== undefined && most !== undefined && oldLeast !== undefined && oldMost !== undefined) {
        const words = `transfer ${Math.round(100 * least)} to ${Math.round(100 * most)} % for ${Math.round(100 * oldLeast)} to ${Math.round(100 * oldMost)} %`;
        if (most < oldLeast || least > oldMost)
          found.push(say(most < oldLeast ? 'no' : 'limits', `${words}: the loop changes by as much`));
        else if (least < 0.75 * oldLeast || most > 1.5 * oldMost)
          found.push(say('limits', `${words}: load it in steps, and look at the rail`));
      }
      const [current, oldCurrent, drive] = [
        numberOf(candidate, 'ift'),
        numberOf(failed, 'ift'),
        place.gateDrive?.current,
      ];
      if (
        current !== undefined &&
        (drive ?? oldCurrent) !== undefined &&
        current > (drive ?? 1.05 * (oldCurrent ?? Infinity))
      )
        found.push(
          say(
            drive !== undefined || current > 2.5 * (oldCurrent ?? Infinity) ? 'no' : 'limits',
            `its LED wants ${shown(current, 'ampere')}`,
          ),
        );
      for (const key of ['vceo', 'vdrm'] as const) {
        const [stands, oldStands] = [numberOf(candidate, key), numberOf(failed, key)];
        if (stands === undefined || oldStands === undefined || stands >= oldStands * 0.99) continue;
        const put = place.stress?.['voltage'];
        found.push(
          say(
            put !== undefined && put < 0.8 * stands ? 'note' : 'no',
            `it stands ${shown(stands, 'volt')}, the old one ${shown(oldStands, 'volt')}`,
          ),
        );
      }
      return found;
    },
  },
  {
    name: 'reference',
    kinds: ['shunt-reference', 'regulator'],
    because: 'The rail is the reference times a divider.',
    judge: ({ failed, candidate }) => {
      const say = findings('reference');
      const found: Finding[] = [];
      for (const key of ['vref', 'vout'] as const) {
        const [own, old] = [numberOf(candidate, key), numberOf(failed, key)];
        if (own === undefined || old === undefined) continue;
        if (Math.sign(own) !== Math.sign(old) || Math.abs(own / old - 1) > 0.03)
          found.push(say('no', `${shown(own, 'volt')} for ${shown(old, 'volt')}: the output moves by as much`));
      }
      const [tolerance, oldTolerance] = [numberOf(candidate, 'tolerance'), numberOf(failed, 'tolerance')];
      if (tolerance !== undefined && oldTolerance !== undefined && tolerance > 1.5 * oldTolerance)
        found.push(
          say('limits', `its tolerance is ${(100 * tolerance).toFixed(1)} %: trim or measure the rail afterwards`),
        );
      return found;
    },
  },
  {
    name: 'regulator',
    kinds: ['regulator'],
    because: 'A regulator stands an input, gives a current, and gets rid of the rest as heat.',
    judge: ({ failed, place, candidate }) => {
      const say = findings('regulator');
      const found: Finding[] = [];
      const [most, put, oldMost] = [
        numberOf(candidate, 'vinMax'),
        place.stress?.['voltage'],
        numberOf(failed, 'vinMax'),
      ];
      if (most !== undefined && put !== undefined && put > most)
        found.push(say('no', `${shown(put, 'volt')} at an input that stands ${shown(most, 'volt')}`, 1 - put / most));
      else if (most !== undefined && put !== undefined && put > 0.9 * most && most < (oldMost ?? 0))
        found.push(
          say(
            'limits',
            `${shown(put, 'volt')} at an input that stands ${shown(most, 'volt')}: little room`,
            1 - put / most,
          ),
        );
      else if (most !== undefined && oldMost !== undefined && put === undefined && most < 0.95 * oldMost)
        found.push(
          say('limits', `its input stands ${shown(most, 'volt')}, that of the old one ${shown(oldMost, 'volt')}`),
        );
      const [gives, wanted, oldGives] = [
        numberOf(candidate, 'iout'),
        place.stress?.['current'],
        numberOf(failed, 'iout'),
      ];
      if (gives !== undefined && wanted !== undefined && wanted > gives)
        found.push(
          say('no', `it gives ${shown(gives, 'ampere')}, ${shown(wanted, 'ampere')} are taken`, 1 - wanted / gives),
        );
      else if (gives !== undefined && wanted !== undefined && wanted > 0.8 * gives && gives < (oldGives ?? 0) * 0.95)
        found.push(
          say(
            'limits',
            `it gives ${shown(gives, 'ampere')}, ${shown(wanted, 'ampere')} are taken: little room`,
            1 - wanted / gives,
          ),
        );
      else if (gives !== undefined && oldGives !== undefined && wanted === undefined && gives < 0.95 * oldGives)
        found.push(say('no', `it gives ${shown(gives, 'ampere')}, the old one ${shown(oldGives, 'ampere')}`));
      const [old, own] = [technologyOf(failed), technologyOf(candidate)];
      if (old !== '' && own !== '' && old !== own)
        found.push(
          say(/ldo|low.?drop/u.test(own) && old === 'linear' ? 'limits' : 'no', `${own} in the place of ${old}`),
        );
      return found;
    },
  },
  {
    name: 'controller',
    kinds: ['ic'],
    because: 'Chips of one pin plan differ in when they start, how far their duty goes, and what they stand.',
    judge: ({ failed, place, candidate }) => {
      const say = findings('controller');
      const found: Finding[] = [];
      const same = isSameChip(failed, candidate);
      if (!same && !isSamePlan(failed, candidate))
        found.push(
          say(
            'no',
            `${candidate.marking ?? 'it'} is another chip than ${failed.marking ?? 'the old one'}: its pins do other things`,
          ),
        );
      const [starts, stops, most] = [
        numberOf(candidate, 'vOn'),
        numberOf(candidate, 'vOff'),
        numberOf(candidate, 'vccMax'),
      ];
      const { vcc } = place;
      if (vcc !== undefined) {
        if (most !== undefined && vcc > most)
          found.push(say('no', `${shown(vcc, 'volt')} on a chip that stands ${shown(most, 'volt')}`));
        if (stops !== undefined && vcc < stops + ABOVE_OFF)
          found.push(
            say(
              vcc <= stops ? 'no' : 'limits',
              `its supply of ${shown(vcc, 'volt')} is at its turn-off of ${shown(stops, 'volt')}`,
              vcc / (stops + ABOVE_OFF) - 1,
            ),
          );
        if (starts !== undefined && /fixed/iu.test(place.startUp ?? '') && vcc < starts + ABOVE_ON)
          found.push(
            say(
              vcc <= starts ? 'no' : 'limits',
              `a fixed supply of ${shown(vcc, 'volt')} does not start a chip that waits for ${shown(starts, 'volt')}`,
              vcc / (starts + ABOVE_ON) - 1,
            ),
          );
      }
      const gap = (part: PartFacts) => (numberOf(part, 'vOn') ?? NaN) - (numberOf(part, 'vOff') ?? NaN);
      if (/resistor/iu.test(place.startUp ?? '') && gap(candidate) < BOUNDS.hysteresis * gap(failed))
        found.push(
          say(
            'no',
            `between turn-on and turn-off it has ${shown(gap(candidate), 'volt')}, the old one ${shown(gap(failed), 'volt')}: its store is empty before the winding takes over, and it only ticks`,
          ),
        );
      const [duty, oldDuty] = [numberOf(candidate, 'dutyMax'), numberOf(failed, 'dutyMax')];
      if (duty !== undefined && place.dutyNeeded !== undefined && duty < place.dutyNeeded)
        found.push(
          say('no', `its duty ends at ${Math.round(100 * duty)} %, ${Math.round(100 * place.dutyNeeded)} % is needed`),
        );
      else if (duty !== undefined && oldDuty !== undefined && duty > oldDuty + 0.1)
        found.push(
          say(
            /forward|push|bridge/u.test(place.topology ?? '') ? 'no' : 'limits',
            `its duty goes to ${Math.round(100 * duty)} %, that of the old one to ${Math.round(100 * oldDuty)} %${/forward|push|bridge/u.test(place.topology ?? '') ? ': the core is not reset' : ''}`,
          ),
        );
      else if (duty !== undefined && oldDuty !== undefined && duty < oldDuty - 0.1 && place.dutyNeeded === undefined)
        found.push(say('limits', `its duty ends at ${Math.round(100 * duty)} %: the lowest mains may not be enough`));
      const [reference, oldReference] = [numberOf(candidate, 'vref'), numberOf(failed, 'vref')];
      if (reference !== undefined && oldReference !== undefined && Math.abs(reference / oldReference - 1) > 0.03)
        found.push(say('no', `a reference of ${shown(reference, 'volt')} for ${shown(oldReference, 'volt')}`));
      const [current, oldCurrent] = [numberOf(candidate, 'startCurrent'), numberOf(failed, 'startCurrent')];
      if (
        current !== undefined &&
        oldCurrent !== undefined &&
        current > 1.5 * oldCurrent &&
        /resistor/iu.test(place.startUp ?? '')
      )
        found.push(say('limits', `it wants ${shown(current, 'ampere')} to start: the start-up resistor gives less`));
      return found;
    },
  },
  {
    name: 'wound',
    kinds: ['transformer', 'common-mode-choke', 'inductor', 'choke'],
    because: 'What a winding does hangs on inductance, saturation and turns together.',
    judge: ({ failed, place, candidate }) => {
      const say = findings('wound');
      const found: Finding[] = [];
      const isTransformer = failed.kind === 'transformer';
      const { near, far } = BOUNDS.inductance;
      for (const key of ['lp', 'inductance'] as const) {
        const [own, old] = [numberOf(candidate, key), numberOf(failed, key)];
        if (own === undefined || old === undefined) continue;
        const ratio = own / old;
        const words = `${shown(own, 'henry')} for ${shown(old, 'henry')}`;
        if (isTransformer) {
          if (Math.abs(ratio - 1) > near)
            found.push(
              say(Math.abs(ratio - 1) > 2.5 * near ? 'no' : 'limits', `${words}: peak current and ripple move`),
            );
        } else if (failed.kind === 'common-mode-choke') {
          if (ratio < 1 - far) found.push(say('limits', `${words}: more interference`));
        } else if (ratio < 1 - far) found.push(say('no', `${words}: more ripple, and a higher peak`));
        else if (ratio < 1 - 1.5 * near || ratio > 1 + 2 * far) found.push(say('limits', words));
      }
      const [turns, oldTurns] = [numberOf(candidate, 'turnsRatio'), numberOf(failed, 'turnsRatio')];
      if (turns !== undefined && oldTurns !== undefined && Math.abs(turns / oldTurns - 1) > 0.03)
        found.push(say('no', `turns ${turns} for ${oldTurns}: the output and the stress of the switch move`));
      const [saturates, oldSaturates, put] = [
        numberOf(candidate, 'isat'),
        numberOf(failed, 'isat'),
        place.stress?.['current'],
      ];
      if (
        saturates !== undefined &&
        ((put !== undefined && put > 0.95 * saturates) ||
          (oldSaturates !== undefined && saturates < 0.85 * oldSaturates))
      )
        found.push(say('no', `it saturates at ${shown(saturates, 'ampere')}`));
      const [carries, carried] = [numberOf(candidate, 'current'), place.stress?.['current']];
      if (carries !== undefined && carried !== undefined && carried > carries)
        found.push(
          say(
            'no',
            `it carries ${shown(carries, 'ampere')}, there are ${shown(carried, 'ampere')}`,
            1 - carried / carries,
          ),
        );
      if (isTransformer && numberOf(candidate, 'lp') === undefined)
        found.push(say('limits', 'its inductance is not known: measure it first'));
      return found;
    },
  },
];
