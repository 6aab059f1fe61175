import { takesHoles, pitchOf } from '../packages';
import { shareUsed, VOLTS } from '../../derating';
import { findings, numberOf, shown, technologyOf, wordOf, type PartFacts, type Rule } from '../judged';

/** Kinds of one function whose letters alone differ. */
const SAME_KIND: readonly (readonly string[])[] = [['inductor', 'choke']];

const isZener = (part: PartFacts) => technologyOf(part) === 'zener' || technologyOf(part) === 'tvs';
const isClassed = (part: PartFacts) =>
  wordOf(part, 'safetyClass') !== undefined || ['x', 'y'].includes(technologyOf(part));

export const COMMON: readonly Rule[] = [
  {
    name: 'kind',
    because: 'A part of another kind does another thing on the same pins.',
    judge: ({ failed, candidate }) => {
      const say = findings('kind');
      const isSame =
        failed.kind === candidate.kind ||
        SAME_KIND.some((group) => group.includes(failed.kind) && group.includes(candidate.kind));
      return isSame ? [] : [say('no', `a ${candidate.kind} does not take the place of a ${failed.kind}`)];
    },
  },
  {
    name: 'stock',
    because: 'What was found at its test goes with a part.',
    judge: ({ candidate: { grade, limits } }) => {
      const say = findings('stock');
      if (/^(?:d|e|x|reject|scrap)$/iu.test(grade ?? '')) return [say('no', `its grade is ${grade}`)];
      return [
        ...(/^c$/iu.test(grade ?? '') ? [say('limits', 'its grade is C: for tests and light duty only')] : []),
        ...(limits ? [say('limits', `the stock list says: ${limits}`)] : []),
      ];
    },
  },
  {
    name: 'voltage',
    because: 'Beyond its voltage a part fails at once; with too much on-resistance it only gets warm.',
    judge: ({ failed, place, candidate }) => {
      const say = findings('voltage');
      const key = VOLTS[candidate.kind];
      if (key === undefined || isZener(candidate) || isClassed(failed)) return [];
      const [own, old, put] = [numberOf(candidate, key), numberOf(failed, key), place.stress?.['voltage']];
      if (own === undefined) return [say('limits', 'what voltage it stands is not known: look it up first')];
      const margin = put === undefined ? undefined : 1 - put / own;
      const words =
        put === undefined ? shown(own, 'volt') : `${shown(own, 'volt')} against ${shown(put, 'volt')} there`;
      if (put !== undefined && put >= own) return [say('no', `${words}: it breaks down`, margin)];
      const isTight = put !== undefined && put > shareUsed(candidate) * own;
      if (old !== undefined && own < old * 0.995) {
        if (put === undefined || isTight || put > 0.85 * shareUsed(candidate) * own)
          return [say('no', `${words}, less than the ${shown(old, 'volt')} of the old one and without room`, margin)];
        return [
          say(
            'limits',
            `${words}: less than the ${shown(old, 'volt')} of the old one, with room for the place`,
            margin,
          ),
        ];
      }
      if (put !== undefined && put > 0.97 * own) return [say('limits', `${words}: no room for a spike`, margin)];
      return [say(isTight ? 'note' : 'ok', isTight ? `${words}: as tight as the old one` : words, margin)];
    },
  },
  {
    name: 'package',
    because:
      'Legs in other holes end in wires on the primary side, and a case that is too big in a lid that does not close.',
    judge: ({ failed, candidate }) => {
      const say = findings('package');
      if (failed.kind === 'capacitor' || failed.kind === 'resistor') {
        const [old, own] = [pitchOf(failed.package), pitchOf(candidate.package)];
        if (old === undefined || own === undefined || Math.abs(old - own) < 1e-4) return [];
        return [
          say(
            'limits',
            `its legs are ${shown(own, 'metre')} apart, the holes ${shown(old, 'metre')}: form them without strain`,
          ),
        ];
      }
      const fits = takesHoles(failed.package, candidate.package);
      return fits === false ? [say('no', `${candidate.package} does not go where ${failed.package} was`)] : [];
    },
  },
  {
    name: 'pinout',
    because: 'The same legs in another order put the supply on the control pin.',
    judge: ({ failed, candidate }) => {
      const say = findings('pinout');
      const order = (part: PartFacts) =>
        wordOf(part, 'pinout')
          ?.toLowerCase()
          .replaceAll(/[\s,]+/gu, ' ');
      const [old, own] = [order(failed), order(candidate)];
      if (old === undefined || own === undefined || old === own) return [];
      return /sot|so-|sop|dpak|dip|smd/iu.test(candidate.package ?? '')
        ? [say('no', `its legs are ${own}, the board wants ${old}, and in this case they cannot be crossed`)]
        : [say('limits', `its legs are ${own}, the board wants ${old}: cross them, with sleeves`)];
    },
  },
  {
    name: 'polarity',
    because: 'The common leg of a pair decides which way round both halves point.',
    judge: ({ failed, candidate }) => {
      const [old, own] = [wordOf(failed, 'polarity'), wordOf(candidate, 'polarity')];
      return old !== undefined && own !== undefined && old !== own
        ? [findings('polarity')('no', `${own} in the place of ${old}: it would short the winding`)]
        : [];
    },
  },
  {
    name: 'size',
    because: 'A can that touches a lid or a heat sink is punctured or cooked.',
    judge: ({ place: { room }, candidate }) => {
      const say = findings('size');
      return (['height', 'diameter'] as const).flatMap((side) => {
        const [own, most] = [numberOf(candidate, side), room?.[side]];
        return own !== undefined && most !== undefined && own > most * 1.005
          ? [
              say(
                'no',
                `its ${side} is ${shown(own, 'metre')}, there is room for ${shown(most, 'metre')}`,
                1 - own / most,
              ),
            ]
          : [];
      });
    },
  },
];
