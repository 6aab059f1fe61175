import { BOUNDS } from '../bounds';
import { findings, numberOf, shown, technologyOf, wordOf, type Finding, type Rule } from '../judged';

const speedOf = (word: string | undefined) =>
  (word ?? '')
    .trim()
    .toUpperCase()
    .replace(/^SLOW.*|^TIME.*|^TT$/u, 'T')
    .replace(/^FAST.*|^FF$|^Q.*/u, 'F')
    .slice(0, 1);
/** Ohms that a resistor of a place may be off by, where it sets a figure. */
const SETS_A_FIGURE = /sense|shunt|divider|timing|current/u;
const MUST_OPEN = /fusible|inlet|fuse/u;
/** Watts of a fusible resistor may grow by this factor and it still opens. */
const OPENS = 2.2;

/** Fuses, resistors, varistors, thermistors, relays, connectors. */
export const PROTECTION: readonly Rule[] = [
  {
    name: 'fuse',
    kinds: ['fuse'],
    because:
      'A fuse is chosen for the wire and the fire behind it: current, speed, voltage and breaking capacity stay what they were.',
    judge: ({ failed, place, candidate }) => {
      const say = findings('fuse');
      const found: Finding[] = [];
      const [own, old] = [numberOf(candidate, 'current'), numberOf(failed, 'current')];
      if (own === undefined) found.push(say('no', 'its current is not known'));
      else if (old !== undefined && own > 1.03 * old)
        found.push(say('no', `${shown(own, 'ampere')} for ${shown(old, 'ampere')}: never a larger one`, 1 - own / old));
      else if (old !== undefined && own < 0.9 * old) {
        const put = place.stress?.['current'];
        found.push(
          say(
            put !== undefined && put > 0.75 * own ? 'no' : 'limits',
            `${shown(own, 'ampere')} for ${shown(old, 'ampere')}: it may blow without a fault`,
            1 - own / old,
          ),
        );
      }
      const [speed, oldSpeed] = [speedOf(wordOf(candidate, 'speed')), speedOf(wordOf(failed, 'speed'))];
      if (oldSpeed !== '' && speed === '') found.push(say('limits', 'its speed is not known'));
      else if (oldSpeed !== '' && speed !== oldSpeed)
        found.push(
          oldSpeed === 'F' || speed === 'T'
            ? say('no', 'slow in the place of fast: what it protects dies first')
            : say('limits', 'fast in the place of slow: it may blow when switched on'),
        );
      const [volts, oldVolts] = [numberOf(candidate, 'voltage'), numberOf(failed, 'voltage')];
      const least = place.mains ?? oldVolts;
      if (volts !== undefined && least !== undefined && volts < least)
        found.push(
          say('no', `${shown(volts, 'volt')}: an arc stays in it at ${shown(least, 'volt')}`, volts / least - 1),
        );
      const [breaking, oldBreaking] = [numberOf(candidate, 'breaking'), numberOf(failed, 'breaking')];
      if (breaking !== undefined && oldBreaking !== undefined && breaking < 0.95 * oldBreaking)
        found.push(
          say(
            'no',
            `it breaks ${shown(breaking, 'ampere')}, the old one ${shown(oldBreaking, 'ampere')}: it bursts in a short`,
            breaking / oldBreaking - 1,
          ),
        );
      if (
        /ceramic/u.test(technologyOf(failed)) &&
        /glass/u.test(technologyOf(candidate)) &&
        (breaking ?? 0) < (oldBreaking ?? 1500)
      )
        found.push(say('no', 'glass in the place of ceramic'));
      return found;
    },
  },
  {
    name: 'resistance',
    kinds: ['resistor'],
    because: 'A resistor is a value, a power, and sometimes a fuse.',
    judge: ({ failed, place, candidate }) => {
      const say = findings('resistance');
      const duty = place.duty ?? '';
      const found: Finding[] = [];
      const [own, old] = [numberOf(candidate, 'resistance'), numberOf(failed, 'resistance')];
      if (own === undefined) found.push(say('limits', 'its resistance is not known: measure it'));
      else if (old !== undefined) {
        const apart = Math.abs(own / old - 1);
        const { near, far } = BOUNDS.resistance;
        const sets = SETS_A_FIGURE.test(duty);
        const words = `${shown(own, 'ohm')} for ${shown(old, 'ohm')}`;
        if (apart > (sets ? far : 2 * far))
          found.push(say('no', sets && own < old ? `${words}: the limit comes too late` : words, far - apart));
        else if (apart > (sets ? near : far)) found.push(say('limits', words, far - apart));
      }
      const [power, oldPower, put] = [numberOf(candidate, 'power'), numberOf(failed, 'power'), place.stress?.['power']];
      const isFusible = (technology: string) => technology.includes('fusible');
      if (power !== undefined && put !== undefined && put > 0.75 * power)
        found.push(
          say(
            put > power ? 'no' : 'limits',
            `${shown(power, 'watt')} where ${shown(put, 'watt')} are turned into heat`,
            1 - put / power,
          ),
        );
      else if (
        power !== undefined &&
        oldPower !== undefined &&
        power < 0.9 * oldPower &&
        (put === undefined || put > 0.5 * power)
      )
        found.push(say('no', `${shown(power, 'watt')} where the old one had ${shown(oldPower, 'watt')}`));
      if (isFusible(technologyOf(failed)) || MUST_OPEN.test(duty)) {
        if (!isFusible(technologyOf(candidate)))
          found.push(say('no', 'it does not open like the fusible one: it burns instead'));
        else if (power !== undefined && oldPower !== undefined && power > OPENS * oldPower)
          found.push(say('limits', 'it opens later than the old one'));
      }
      if (
        failed.ratings['flameproof'] === true &&
        candidate.ratings['flameproof'] !== true &&
        !isFusible(technologyOf(candidate))
      )
        found.push(say('no', 'the old one was flameproof'));
      const isWound = /wire/u.test(technologyOf(candidate)) || (numberOf(candidate, 'inductance') ?? 0) > 20e-9;
      if (/sense|shunt|ballast|snubber/u.test(duty) && isWound && !/wire/u.test(technologyOf(failed)))
        found.push(say('no', 'it is wound: its inductance gives spikes where a current is sensed'));
      const [volts, stands] = [place.stress?.['voltage'], numberOf(candidate, 'voltage')];
      if (volts !== undefined && stands !== undefined && volts > stands)
        found.push(say('no', `it stands ${shown(stands, 'volt')}, there are ${shown(volts, 'volt')}`));
      const [tolerance, oldTolerance] = [numberOf(candidate, 'tolerance'), numberOf(failed, 'tolerance')];
      if (
        tolerance !== undefined &&
        oldTolerance !== undefined &&
        tolerance > 2.5 * oldTolerance &&
        SETS_A_FIGURE.test(duty)
      )
        found.push(say('limits', 'its tolerance is wider: select one by measuring'));
      return found;
    },
  },
  {
    name: 'varistor',
    kinds: ['varistor'],
    because: 'A varistor below the mains conducts for ever and burns; one far above it protects nothing.',
    judge: ({ failed, place, candidate }) => {
      const say = findings('varistor');
      const found: Finding[] = [];
      const [own, old] = [numberOf(candidate, 'vac'), numberOf(failed, 'vac')];
      const least = place.mains === undefined ? old : place.mains * BOUNDS.mainsHigh;
      if (own === undefined) found.push(say('limits', 'its voltage is not known'));
      else {
        if (least !== undefined && own < 0.985 * least)
          found.push(
            say('no', `${shown(own, 'volt')}: it conducts at ${shown(least, 'volt')} and burns`, own / least - 1),
          );
        else if (old !== undefined && own > BOUNDS.varistor * old)
          found.push(
            say(
              'limits',
              `${shown(own, 'volt')} for ${shown(old, 'volt')}: it clamps higher than the bridge and the switch stand`,
              1 - own / old,
            ),
          );
        else if (old !== undefined && own < 0.9 * old)
          found.push(say('limits', `${shown(own, 'volt')} for ${shown(old, 'volt')}: less room to high mains`));
      }
      const [size, oldSize] = [numberOf(candidate, 'diameter'), numberOf(failed, 'diameter')];
      if (size !== undefined && oldSize !== undefined && size < 0.9 * oldSize)
        found.push(
          say(
            size < 0.75 * oldSize ? 'no' : 'limits',
            'its disc is smaller: it takes less of a surge',
            size / oldSize - 1,
          ),
        );
      return found;
    },
  },
  {
    name: 'thermistor',
    kinds: ['thermistor'],
    because: 'An NTC is a cold resistance for the inrush, and a disc for the current that runs.',
    judge: ({ failed, place, candidate }) => {
      const say = findings('thermistor');
      const found: Finding[] = [];
      if (technologyOf(failed) !== technologyOf(candidate) && technologyOf(candidate) !== '')
        found.push(say('no', `${technologyOf(candidate)} in the place of ${technologyOf(failed)}`));
      const [own, old] = [numberOf(candidate, 'r25'), numberOf(failed, 'r25')];
      if (own !== undefined && old !== undefined) {
        const words = `${shown(own, 'ohm')} cold for ${shown(old, 'ohm')}`;
        if (own < 0.45 * old) found.push(say('no', `${words}: the bridge takes the inrush`));
        else if (own < 0.8 * old) found.push(say('limits', `${words}: more inrush for bridge and fuse`));
        else if (own > 2.2 * old)
          found.push(say('limits', `${words}: it stays hotter, and the lowest mains may not start it`));
      }
      const [amperes, put, oldAmperes] = [
        numberOf(candidate, 'current'),
        place.stress?.['current'],
        numberOf(failed, 'current'),
      ];
      if (amperes !== undefined && put !== undefined && put > amperes)
        found.push(say('no', `${shown(amperes, 'ampere')} against ${shown(put, 'ampere')} there`, 1 - put / amperes));
      else if (amperes !== undefined && put !== undefined && put > 0.85 * amperes && amperes < (oldAmperes ?? 0) * 0.95)
        found.push(
          say(
            'limits',
            `${shown(amperes, 'ampere')} against ${shown(put, 'ampere')} there: little room`,
            1 - put / amperes,
          ),
        );
      const [size, oldSize] = [numberOf(candidate, 'diameter'), numberOf(failed, 'diameter')];
      if (size !== undefined && oldSize !== undefined && size < 0.75 * oldSize)
        found.push(say('no', 'its disc is much smaller: the surge of the bulk cracks it'));
      else if (size !== undefined && oldSize !== undefined && size < 0.95 * oldSize)
        found.push(say('limits', 'its disc is smaller'));
      return found;
    },
  },
  {
    name: 'relay',
    kinds: ['relay'],
    because: 'A coil is driven with what the board has; contacts must break what they carry.',
    judge: ({ failed, place, candidate }) => {
      const say = findings('relay');
      const found: Finding[] = [];
      const [coil, oldCoil] = [numberOf(candidate, 'coil'), numberOf(failed, 'coil')];
      if (coil !== undefined && oldCoil !== undefined && Math.abs(coil / oldCoil - 1) > 0.1)
        found.push(
          say(
            'no',
            `a coil for ${shown(coil, 'volt')} on ${shown(oldCoil, 'volt')}: ${coil > oldCoil ? 'it does not pull in' : 'it burns'}`,
          ),
        );
      const [ohms, oldOhms] = [numberOf(candidate, 'coilResistance'), numberOf(failed, 'coilResistance')];
      if (ohms !== undefined && oldOhms !== undefined && ohms < 0.75 * oldOhms)
        found.push(
          say(
            ohms < 0.45 * oldOhms ? 'no' : 'limits',
            `its coil takes ${(oldOhms / ohms).toFixed(1)} times the current: hold that against its driver`,
          ),
        );
      const [amperes, put, oldAmperes] = [
        numberOf(candidate, 'current'),
        place.stress?.['current'],
        numberOf(failed, 'current'),
      ];
      if (
        amperes !== undefined &&
        ((put !== undefined && put > amperes) ||
          (put === undefined && oldAmperes !== undefined && amperes < 0.95 * oldAmperes))
      )
        found.push(say('no', `its contacts carry ${shown(amperes, 'ampere')}`));
      const [poles, oldPoles] = [numberOf(candidate, 'poles'), numberOf(failed, 'poles')];
      if (poles !== undefined && oldPoles !== undefined && poles !== oldPoles)
        found.push(say('no', `${poles} poles for ${oldPoles}`));
      return found;
    },
  },
  {
    name: 'connector',
    kinds: ['connector', 'switch'],
    because: 'A plug that nearly fits burns, or does not go in.',
    judge: ({ failed, place, candidate }) => {
      const say = findings('connector');
      const found: Finding[] = [];
      const [pin, oldPin] = [numberOf(candidate, 'pin'), numberOf(failed, 'pin')];
      if (pin !== undefined && oldPin !== undefined && Math.abs(pin - oldPin) > 1e-4)
        found.push(say('no', `a pin of ${shown(pin, 'metre')} for ${shown(oldPin, 'metre')}`));
      const [amperes, put] = [numberOf(candidate, 'current'), place.stress?.['current']];
      if (amperes !== undefined && put !== undefined && put > amperes)
        found.push(say('no', `${shown(amperes, 'ampere')} against ${shown(put, 'ampere')} there`));
      return found;
    },
  },
];
