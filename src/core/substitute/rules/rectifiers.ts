import { USED_VOLTS } from '../../derating';
import { BOUNDS } from '../bounds';
import { findings, numberOf, shown, technologyOf, type Finding, type PartFacts, type Rule } from '../judged';

const DIODES = ['diode', 'dual-diode'];
/** Recovery classes, the slowest first. */
const CLASSES = ['rectifier', 'fast', 'ultrafast', 'schottky'];
const LINE = 1000;

function classOf(part: PartFacts): number {
  const technology = technologyOf(part);
  if (technology.includes('schottky')) return 3;
  const at = CLASSES.indexOf(technology === 'standard' ? 'rectifier' : technology);
  if (at >= 0) return at;
  const recovery = numberOf(part, 'trr');
  if (recovery === undefined) return -1;
  return recovery <= 100e-9 ? 2 : recovery <= 600e-9 ? 1 : 0;
}

const isZener = (part: PartFacts) => technologyOf(part) === 'zener';
const isSuppressor = (part: PartFacts) => technologyOf(part) === 'tvs';
const rectifies = (part: PartFacts) => !isZener(part) && !isSuppressor(part);

/** Rectifiers, bridges, Zener diodes and suppressors. */
export const RECTIFIERS: readonly Rule[] = [
  {
    name: 'mean-current',
    kinds: [...DIODES, 'bridge'],
    because: 'A rectifier is used up to about seven tenths of its mean current.',
    judge: ({ failed, place, candidate }) => {
      if (!rectifies(candidate)) return [];
      const say = findings('mean-current');
      const [own, old, put] = [numberOf(candidate, 'ifav'), numberOf(failed, 'ifav'), place.stress?.['current']];
      if (own === undefined) return [say('limits', 'what current it stands is not known: look it up first')];
      const words = `${shown(own, 'ampere')}${put === undefined ? '' : ` against ${shown(put, 'ampere')} there`}`;
      const margin = put === undefined ? undefined : 1 - put / own;
      if (put !== undefined && put > own) return [say('no', words, margin)];
      if (old === undefined || own >= 0.95 * old) return [say('ok', words, margin)];
      if (put !== undefined && put <= 0.5 * own) return [say('ok', `${words}, with room`, margin)];
      if (put !== undefined && put <= BOUNDS.mean * own)
        return [say('limits', `${words}: less than the ${shown(old, 'ampere')} of the old one`, margin)];
      return [say('no', `${words}, where the old one had ${shown(old, 'ampere')}`, margin)];
    },
  },
  {
    name: 'recovery-class',
    kinds: DIODES,
    because: 'A slow diode conducts backwards at each turn: behind a switch it burns, and takes the switch with it.',
    judge: ({ failed, place, candidate }) => {
      if (!rectifies(candidate) || !rectifies(failed)) return [];
      const say = findings('recovery-class');
      const [own, old] = [classOf(candidate), classOf(failed)];
      const frequency = place.stress?.['frequency'] ?? 100e3;
      if (frequency < LINE || own < 0 || old < 0)
        return own < 0 && frequency >= LINE ? [say('limits', 'how fast it recovers is not known')] : [];
      const found: Finding[] = [];
      const word = (part: PartFacts) => technologyOf(part) || CLASSES[classOf(part)] || 'unknown';
      if (own < old)
        return [say('no', `${word(candidate)} in the place of ${word(failed)} at ${shown(frequency, 'hertz')}`)];
      const [ownTime, oldTime] = [numberOf(candidate, 'trr'), numberOf(failed, 'trr')];
      const { good, most } = BOUNDS.recovery;
      if (own === old && ownTime !== undefined && oldTime !== undefined && ownTime > good * oldTime)
        found.push(
          say(
            ownTime > most * oldTime ? 'no' : 'limits',
            `it recovers in ${shown(ownTime, 'second')}, the old one in ${shown(oldTime, 'second')}`,
          ),
        );
      const [put, volts] = [place.stress?.['voltage'], numberOf(candidate, 'vrrm')];
      if (
        technologyOf(candidate) === 'schottky' &&
        put !== undefined &&
        volts !== undefined &&
        put > USED_VOLTS.schottky * volts
      )
        found.push(
          technologyOf(failed) === 'schottky' && volts >= (numberOf(failed, 'vrrm') ?? Infinity)
            ? say('note', 'a Schottky at more than three quarters of its voltage, as the old one was')
            : say(
                'no',
                `a Schottky at ${Math.round((100 * put) / volts)} % of its voltage: its leakage runs away when hot`,
              ),
        );
      if (
        technologyOf(candidate).startsWith('sic') &&
        !technologyOf(failed).startsWith('sic') &&
        place.duty === 'pfc-diode' &&
        place.bypassDiode !== true
      )
        found.push(
          say(
            'limits',
            'silicon carbide stands little surge: only with a diode from the bridge to the bulk that takes the inrush',
          ),
        );
      return found;
    },
  },
  {
    name: 'drop',
    kinds: DIODES,
    because: 'What a rectifier loses goes with its drop.',
    judge: ({ failed, place, candidate }) => {
      const say = findings('drop');
      const [own, old, put] = [numberOf(candidate, 'vf'), numberOf(failed, 'vf'), place.stress?.['current']];
      if (own === undefined || old === undefined || own <= BOUNDS.drop * old || !rectifies(candidate)) return [];
      const words = `it drops ${shown(own, 'volt')} for ${shown(old, 'volt')}`;
      if (put === undefined) return [say('limits', `${words}: more heat`)];
      const more = (own - old) * put;
      return [
        more > BOUNDS.moreHeat
          ? say('limits', `${words}: ${shown(more, 'watt')} more, only if its sink takes them`)
          : say('note', `${words}: ${shown(more, 'watt')} more`),
      ];
    },
  },
  {
    name: 'bridge-voltage',
    kinds: ['bridge'],
    because: 'On 230 V mains a bridge of 600 V is the least; surges pass what the peak says.',
    judge: ({ place, candidate }) => {
      const own = numberOf(candidate, 'vrrm');
      if (own === undefined || place.mains === undefined || (place.stress?.['voltage'] ?? 999) < 0.5 * place.mains)
        return [];
      const least = place.mains > 150 ? 600 : 400;
      return own < least * 0.99
        ? [
            findings('bridge-voltage')(
              'no',
              `${shown(own, 'volt')} on ${shown(place.mains, 'volt')} mains, where ${least} V is the least`,
              own / least - 1,
            ),
          ]
        : [];
    },
  },
  {
    name: 'zener',
    kinds: ['diode'],
    because: 'A Zener diode is a voltage, and a power.',
    judge: ({ failed, place, candidate }) => {
      if (!isZener(failed) && !isSuppressor(failed))
        return isZener(candidate) ? [findings('zener')('no', 'a Zener diode conducts where a rectifier blocks')] : [];
      const say = findings('zener');
      if (!isZener(candidate) && !isSuppressor(candidate)) return [say('no', 'it does not hold a voltage')];
      const found: Finding[] = [];
      const key = isZener(failed) ? 'vz' : 'standOff';
      const [own, old] = [numberOf(candidate, key), numberOf(failed, key)];
      if (own === undefined) found.push(say('limits', 'its voltage is not known'));
      else if (old !== undefined) {
        const apart = Math.abs(own / old - 1);
        const { near, far } = BOUNDS.zener;
        const words = `${shown(own, 'volt')} for ${shown(old, 'volt')}`;
        if (isSuppressor(failed) ? own < 0.97 * old || own > 1.3 * old : apart > far) found.push(say('no', words));
        else if (apart > near) found.push(say('limits', `${words}: the rail moves by as much`));
      }
      const [power, oldPower, put] = [numberOf(candidate, 'power'), numberOf(failed, 'power'), place.stress?.['power']];
      if (power !== undefined && put !== undefined && power < put)
        found.push(
          say('no', `${shown(power, 'watt')} where ${shown(put, 'watt')} are turned into heat`, 1 - put / power),
        );
      else if (power !== undefined && put !== undefined && put > 0.7 * power)
        found.push(
          say(
            'limits',
            `${shown(power, 'watt')} where ${shown(put, 'watt')} are turned into heat: little room`,
            1 - put / power,
          ),
        );
      else if (power !== undefined && oldPower !== undefined && put === undefined && power < 0.95 * oldPower)
        found.push(say('no', `${shown(power, 'watt')} where the old one had ${shown(oldPower, 'watt')}`));
      const [tolerance, oldTolerance] = [numberOf(candidate, 'tolerance'), numberOf(failed, 'tolerance')];
      if (tolerance !== undefined && oldTolerance !== undefined && tolerance > 1.5 * oldTolerance)
        found.push(say('note', 'its tolerance is wider: measure the rail afterwards'));
      return found;
    },
  },
];
