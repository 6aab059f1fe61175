import { BOUNDS } from '../bounds';
import { safetyClassOf } from '../../part';
import {
  findings,
  numberOf,
  shown,
  technologyOf,
  wordOf,
  type Finding,
  type PartFacts,
  type PlaceFacts,
  type Rule,
} from '../judged';

const CANS = ['electrolytic', 'polymer', 'tantalum'];
const isCan = (part: PartFacts) => CANS.includes(technologyOf(part));
const classOf = (part: PartFacts) =>
  safetyClassOf(
    (wordOf(part, 'safetyClass') ?? (['x', 'y'].includes(technologyOf(part)) ? technologyOf(part) : '')).toLowerCase(),
  );

/** Dielectrics, the best first; what stands lower does not take the place of what stands higher. */
const DIELECTRICS = ['pp', 'c0g', 'pps', 'pet', 'x7r', 'x5r', 'y5v', 'z5u'];
const PULSED = /resonan|snubber|clamp|tank|pulse|series/u;
const isPulsed = ({ duty = '', snubber }: PlaceFacts) => PULSED.test(duty) || snubber === true;
const isDropper = ({ duty = '', topology = '' }: PlaceFacts) =>
  /dropper/u.test(`${duty} ${topology}`) && !/output|filter|reservoir|bulk/u.test(duty);
const dielectricOf = (part: PartFacts) => {
  const own = (wordOf(part, 'dielectric') ?? '').toLowerCase().replaceAll('np0', 'c0g');
  return DIELECTRICS.findIndex((one) => own.includes(one));
};

export const CAPACITORS: readonly Rule[] = [
  {
    name: 'capacitance',
    kinds: ['capacitor'],
    because: 'Less cannot carry the load from crest to crest; much more loads the rectifier or the switch at start.',
    judge: ({ failed, place, candidate }) => {
      const say = findings('capacitance');
      const [own, old] = [numberOf(candidate, 'capacitance'), numberOf(failed, 'capacitance')];
      if (own === undefined) return [say('limits', 'its capacitance is not known: measure it')];
      if (old === undefined) return [];
      const ratio = own / old;
      const words = `${shown(own, 'farad')} for ${shown(old, 'farad')}`;
      const margin = Math.min(ratio - 1, 1 - ratio);
      if (isDropper(place)) {
        if (ratio > 1.12) return [say('no', `${words}: it passes ${ratio.toFixed(1)} times the current`, margin)];
        return ratio < 0.75
          ? [say('no', `${words}: it gives too little current`, margin)]
          : ratio < 0.9
            ? [say('limits', `${words}: less current`, margin)]
            : [say('ok', words, margin)];
      }
      if (classOf(failed)?.y !== undefined || place.barrier === true) {
        if (ratio > 1.05) return [say('no', `${words}: the touch current grows with it`, margin)];
        return ratio < 0.4 ? [say('limits', `${words}: more interference`, margin)] : [say('ok', words, margin)];
      }
      if (classOf(failed)?.x !== undefined) {
        if (ratio > 1.6) return [say('no', `${words}: what discharges it is too large for it`, margin)];
        if (ratio > 1.15)
          return [say('limits', `${words}: check that the bleed resistor still empties it in time`, margin)];
        return ratio < 0.78 ? [say('limits', `${words}: more interference`, margin)] : [say('ok', words, margin)];
      }
      if (isCan(failed)) {
        const { least, worst, good, bulk, most } = BOUNDS.capacitance;
        if (ratio < worst) return [say('no', words, margin)];
        if (ratio < least) return [say('limits', `${words}: more ripple`, margin)];
        if (ratio > most) return [say('no', `${words}: the start loads it for too long`, margin)];
        const easy = place.duty === 'bulk' ? bulk : good;
        return ratio > easy * 1.02
          ? [say('limits', `${words}: more current at switch-on, and a slower loop`, margin)]
          : [say('ok', words, margin)];
      }
      if (/resonan|tank/u.test(place.duty ?? '')) {
        const { near, far } = BOUNDS.resonant;
        const apart = Math.abs(ratio - 1);
        return apart <= near
          ? [say('ok', words, margin)]
          : [say(apart <= far ? 'limits' : 'no', `${words}: the resonance moves`, margin)];
      }
      const { near, far } = BOUNDS.film;
      if (isPulsed(place)) {
        if (ratio < 0.5) return [say('no', `${words}: it hardly damps, and the spike is back`, margin)];
        if (ratio > 2.1) return [say('no', `${words}: ${ratio.toFixed(1)} times the heat in its resistor`, margin)];
        return ratio > 1.5 || ratio < 0.67
          ? [say('limits', `${words}: look at the ringing and at the heat of its resistor`, margin)]
          : [say('ok', words, margin)];
      }
      const apart = Math.abs(ratio - 1);
      if (apart <= near) return [say('ok', words, margin)];
      return ratio > 1 && /decoupl|filter|bypass/u.test(place.duty ?? '') && ratio < 5
        ? [say('ok', words, margin)]
        : [say(apart <= far ? 'limits' : 'no', words, margin)];
    },
  },
  {
    name: 'safety-class',
    kinds: ['capacitor'],
    because: 'Across the line and the barrier only what is made to fail without fire, and without a shock.',
    judge: ({ failed, place, candidate }) => {
      const say = findings('safety-class');
      const old = classOf(failed);
      if (!old && place.barrier !== true) return [];
      const own = classOf(candidate);
      if (!own) return [say('no', 'no X or Y class is printed on it')];
      const needsY = old?.y ?? (place.barrier === true ? 1 : undefined);
      if (needsY !== undefined) {
        if (own.y === undefined) return [say('no', 'an X capacitor does not stand between mains and what is touched')];
        return own.y > needsY ? [say('no', `Y${own.y} in the place of Y${needsY}`)] : [];
      }
      if (old?.x !== undefined && own.x !== undefined && own.x > old.x)
        return [say('no', `X${own.x} in the place of X${old.x}`)];
      return [];
    },
  },
  {
    name: 'class-voltage',
    kinds: ['capacitor'],
    because: 'A class holds for the voltage that is printed with it.',
    judge: ({ failed, place, candidate }) => {
      if (!classOf(failed)) return [];
      const say = findings('class-voltage');
      const [own, old] = [numberOf(candidate, 'voltage'), numberOf(failed, 'voltage')];
      const least = place.mains === undefined ? old : Math.min(old ?? Infinity, place.mains * BOUNDS.mainsHigh * 0.98);
      return own !== undefined && least !== undefined && own < least
        ? [say('no', `it is made for ${shown(own, 'volt')}, ${shown(least, 'volt')} is wanted`, own / least - 1)]
        : [];
    },
  },
  {
    name: 'dielectric',
    kinds: ['capacitor'],
    because:
      'Polypropylene carries the pulses of a tank or a snubber without heat; polyester and class 2 ceramic cook.',
    judge: ({ failed, place, candidate }) => {
      const say = findings('dielectric');
      if (isCan(failed) || isCan(candidate)) {
        const [old, own] = [technologyOf(failed), technologyOf(candidate)];
        if (isCan(failed) !== isCan(candidate))
          return [say(isCan(candidate) ? 'no' : 'limits', `${own} in the place of ${old}`)];
        if (own === 'tantalum' && old !== 'tantalum')
          return [say('limits', 'a tantalum burns when it fails: at half its voltage, and never at the input')];
        if (own === 'polymer' && old === 'electrolytic')
          return [
            say(
              'limits',
              'polymer for a wet can: hardly any ESR, so the loop may ring and the start draws more; load it in steps and look',
            ),
          ];
        return [];
      }
      const [old, own] = [dielectricOf(failed), dielectricOf(candidate)];
      const [oldTechnology, ownTechnology] = [technologyOf(failed), technologyOf(candidate)];
      const isClassTwo = own >= DIELECTRICS.indexOf('x7r');
      if (oldTechnology === 'film' && ownTechnology === 'ceramic' && own !== DIELECTRICS.indexOf('c0g'))
        return [
          say(
            isPulsed(place) ? 'no' : 'limits',
            'ceramic of class 2 in the place of film: it loses half its value under voltage',
          ),
        ];
      if (own < 0 || old < 0)
        return own < 0 && old >= 0 && isPulsed(place) ? [say('limits', 'its dielectric is not known')] : [];
      if (own <= old) return [];
      const names = `${(DIELECTRICS[own] ?? '').toUpperCase()} in the place of ${(DIELECTRICS[old] ?? '').toUpperCase()}`;
      return [
        say(
          isPulsed(place) || isClassTwo ? 'no' : 'limits',
          isPulsed(place) ? `${names}: it gets hot with pulses` : names,
        ),
      ];
    },
  },
  {
    name: 'temperature',
    kinds: ['capacitor'],
    because: 'Ten degrees are half the life of a can.',
    judge: ({ failed, place, candidate }) => {
      const say = findings('temperature');
      const [own, old] = [numberOf(candidate, 'temperature'), numberOf(failed, 'temperature')];
      if (own === undefined || old === undefined || !isCan(failed)) return [];
      const air = place.stress?.['temperature'];
      if (own >= old - 0.5) return [];
      const words = `made for ${own} °C, the old one for ${old} °C`;
      return [say(air !== undefined && air <= own - 35 ? 'limits' : 'no', words, (own - old) / old)];
    },
  },
  {
    name: 'esr',
    kinds: ['capacitor'],
    because: 'The ripple of a switched rail is the ripple current times the ESR, and so is the heat in the can.',
    judge: ({ failed, candidate }) => {
      if (!isCan(failed)) return [];
      const say = findings('esr');
      const [own, old] = [numberOf(candidate, 'esr'), numberOf(failed, 'esr')];
      if (old === undefined) return [];
      if (own === undefined) return [say('limits', 'its ESR is not known: measure it before it goes in')];
      const { good, most, least } = BOUNDS.esr;
      const words = `ESR ${shown(own, 'ohm')} for ${shown(old, 'ohm')}`;
      if (own > most * old) return [say('no', `${words}: as much more ripple and heat`, most - own / old)];
      if (own > good * old) return [say('limits', `${words}: more ripple and heat`, most - own / old)];
      return own < least * old
        ? [say('limits', `${words}: a loop that leans on the old ESR may ring`, own / old - least)]
        : [say('ok', words, good - own / old)];
    },
  },
  {
    name: 'ripple',
    kinds: ['capacitor'],
    because: 'Beyond its rated ripple a can cooks itself.',
    judge: ({ failed, place, candidate }) => {
      const say = findings('ripple');
      const [own, old, put] = [numberOf(candidate, 'ripple'), numberOf(failed, 'ripple'), place.stress?.['ripple']];
      if (own === undefined)
        return old !== undefined && put !== undefined ? [say('limits', 'its ripple rating is not known')] : [];
      if (put !== undefined && put > own * 1.02)
        return [say('no', `${shown(own, 'ampere')} against ${shown(put, 'ampere')} there`, 1 - put / own)];
      if (put !== undefined)
        return [say('ok', `${shown(own, 'ampere')} against ${shown(put, 'ampere')} there`, 1 - put / own)];
      return old !== undefined && own < 0.8 * old
        ? [say('limits', `${shown(own, 'ampere')} where the old one had ${shown(old, 'ampere')}`)]
        : [];
    },
  },
  {
    name: 'current-of-film',
    kinds: ['capacitor'],
    because: 'A class capacitor drops the mains in a dropper only if it is made for it.',
    judge: ({ place, candidate, failed }): readonly Finding[] =>
      isDropper(place) && classOf(candidate) === undefined && classOf(failed) === undefined
        ? [findings('current-of-film')('no', 'in a dropper only an X capacitor stands the mains')]
        : [],
  },
];
