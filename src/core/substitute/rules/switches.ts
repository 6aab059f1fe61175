import { BOUNDS } from '../bounds';
import { hasPlasticBack } from '../packages';
import { findings, numberOf, shown, technologyOf, wordOf, type Finding, type PartFacts, type Rule } from '../judged';

const FETS = ['nmos', 'pmos'];
const HOT = ['nmos', 'pmos', 'igbt', 'npn', 'pnp', 'diode', 'dual-diode', 'triac', 'thyristor', 'regulator'];
const VOLTS_FOR_RDS = 10;
/** Watts that a small part without a sink gets rid of. */
const COOL = 0.35;
/** A driver that gives so much turns any gate. */
const STRONG_DRIVE = 1;

/** How the back of a part is joined: to a leg, or not at all. */
function backOf(part: PartFacts): 'isolated' | 'live' | undefined {
  const tab = wordOf(part, 'tab')?.toLowerCase();
  if (tab !== undefined) return /isol|insul|none|plastic/u.test(tab) ? 'isolated' : 'live';
  const plastic = hasPlasticBack(part.package);
  return plastic === true ? 'isolated' : undefined;
}

/** Current ratings by kind, with how much of one a place may ask for. */
const AMPERES: Readonly<Record<string, { readonly key: string; readonly share: number }>> = {
  nmos: { key: 'id', share: 0.5 },
  pmos: { key: 'id', share: 0.5 },
  igbt: { key: 'ic', share: 0.7 },
  npn: { key: 'ic', share: 0.7 },
  pnp: { key: 'ic', share: 0.7 },
  triac: { key: 'itRms', share: 0.5 },
  thyristor: { key: 'itRms', share: 0.5 },
};

/** Switches: MOSFETs, IGBTs, transistors, triacs. */
export const SWITCHES: readonly Rule[] = [
  {
    name: 'current',
    kinds: Object.keys(AMPERES),
    because: 'A printed current holds with a cold case only; half of it is what a sink of this trade lets through.',
    judge: ({ failed, place, candidate }) => {
      const say = findings('current');
      const { key, share } = AMPERES[candidate.kind] ?? { key: 'id', share: 0.5 };
      const [own, old, put] = [numberOf(candidate, key), numberOf(failed, key), place.stress?.['current']];
      if (own === undefined) return [say('limits', 'what current it stands is not known: look it up first')];
      const words = `${shown(own, 'ampere')}${put === undefined ? '' : ` against ${shown(put, 'ampere')} there`}`;
      const margin = put === undefined ? undefined : 1 - put / own;
      if (put !== undefined && put > own) return [say('no', words, margin)];
      if (old === undefined || own >= 0.8 * old) return [say('ok', words, margin)];
      if (put === undefined) return [say('no', `${words}, where the old one had ${shown(old, 'ampere')}`)];
      return put <= share * own
        ? [say('ok', `${words}, with room`, margin)]
        : [say('no', `${words}, where the old one had ${shown(old, 'ampere')}`, margin)];
    },
  },
  {
    name: 'on-resistance',
    kinds: FETS,
    because: 'What is lost while a switch is on goes with its on-resistance, and that grows with heat.',
    judge: ({ failed, place, candidate }) => {
      const say = findings('on-resistance');
      const [own, old] = [numberOf(candidate, 'rdsOn'), numberOf(failed, 'rdsOn')];
      if (own === undefined && old !== undefined) return [say('limits', 'its on-resistance is not known: look it up')];
      if (own === undefined || old === undefined) return [];
      const ratio = own / old;
      const { good, most } = BOUNDS.onResistance;
      const put = place.stress?.['current'];
      const heat = put === undefined ? undefined : put ** 2 * own * 1.7;
      const words = `${shown(own, 'ohm')} for ${shown(old, 'ohm')}`;
      if (ratio <= good) return [say('ok', words, good - ratio)];
      if (heat !== undefined && heat < COOL)
        return [say('note', `${words}: it stays cool at that current`, most - ratio)];
      return ratio <= most
        ? [say('limits', `${words}: it gets hotter, feel the sink after half an hour`, most - ratio)]
        : [say('no', `${words}: ${ratio.toFixed(1)} times the heat`, most - ratio)];
    },
  },
  {
    name: 'gate-charge',
    kinds: FETS,
    because:
      'A driver charges a gate with what current it has: a larger one passes slowly through where it is half open, and its supply starves.',
    judge: ({ failed, place, candidate }) => {
      const say = findings('gate-charge');
      const [own, old] = [numberOf(candidate, 'qg'), numberOf(failed, 'qg')];
      if (own === undefined && old !== undefined) return [say('limits', 'its gate charge is not known: look it up')];
      if (own === undefined || old === undefined) return [];
      const ratio = own / old;
      const { good, most, least } = BOUNDS.gateCharge;
      const words = `${ratio.toFixed(1)} times the gate charge`;
      const isSlow = (place.stress?.['frequency'] ?? 100e3) < 1000;
      const isStrong = (place.gateDrive?.current ?? 0) >= STRONG_DRIVE && (place.gateDrive?.resistance ?? 0) <= 22;
      if (ratio > most && !isSlow)
        return [
          isStrong && ratio <= 2 * most
            ? say(
                'limits',
                `${words}: this driver can do it, but it switches slower and its supply gives more`,
                most - ratio,
              )
            : say('no', `${words}: it crawls through its linear range`, most - ratio),
        ];
      if (ratio > good && !isSlow)
        return [say('limits', `${words}: slower edges and a warmer driver, measure both`, most - ratio)];
      if (ratio < least && !isSlow)
        return [say('note', `${words}: faster edges ring more; keep the gate resistor, or raise it`, ratio - least)];
      return [say('ok', words, most - ratio)];
    },
  },
  {
    name: 'gate-voltage',
    kinds: FETS,
    because: 'A gate must be driven well beyond its threshold, and never near what breaks it.',
    judge: ({ failed, place, candidate }) => {
      const say = findings('gate-voltage');
      const drive = place.gateDrive?.voltage;
      const [most, threshold, at] = [
        numberOf(candidate, 'vgsMax'),
        numberOf(candidate, 'vgsTh'),
        numberOf(candidate, 'rdsOnAtVgs'),
      ];
      const old = numberOf(failed, 'vgsTh');
      const found: Finding[] = [];
      if (threshold !== undefined && old !== undefined && threshold < 0 !== old < 0)
        found.push(
          say(
            'no',
            threshold < 0 ? 'it conducts without a gate voltage' : 'it does not conduct without a gate voltage',
          ),
        );
      if (drive !== undefined) {
        if (most !== undefined && drive > most)
          found.push(
            say('no', `${shown(drive, 'volt')} on a gate that stands ${shown(most, 'volt')}`, 1 - drive / most),
          );
        else if (most !== undefined && drive > 0.85 * most)
          found.push(
            say(
              'limits',
              `${shown(drive, 'volt')} on a gate that stands ${shown(most, 'volt')}: clamp it`,
              1 - drive / most,
            ),
          );
        const needed =
          at ??
          Math.max(
            threshold === undefined ? 0 : 2 * threshold,
            threshold !== undefined && threshold > 2.5 ? VOLTS_FOR_RDS * 0.8 : 0,
          );
        if (needed > 0 && drive < 0.9 * needed)
          found.push(
            say(
              'no',
              `${shown(drive, 'volt')} does not open it: it needs about ${shown(needed, 'volt')}`,
              drive / needed - 1,
            ),
          );
      } else {
        const oldMost = numberOf(failed, 'vgsMax');
        if (most !== undefined && oldMost !== undefined && most < 0.7 * oldMost)
          found.push(
            say(
              'limits',
              `its gate stands ${shown(most, 'volt')}, that of the old one ${shown(oldMost, 'volt')}: measure the drive first`,
            ),
          );
        if (threshold !== undefined && old !== undefined && threshold > old + 1.5)
          found.push(
            say(
              'limits',
              `it opens at ${shown(threshold, 'volt')}, the old one at ${shown(old, 'volt')}: measure the drive first`,
            ),
          );
      }
      return found;
    },
  },
  {
    name: 'technology',
    kinds: FETS,
    because: 'A superjunction part switches much faster than a planar one; board and filter were made for the slower.',
    judge: ({ failed, place, candidate }) => {
      const say = findings('technology');
      const [old, own] = [technologyOf(failed), technologyOf(candidate)];
      const frequency = place.stress?.['frequency'] ?? 100e3;
      if (old === 'planar' && own === 'superjunction' && frequency >= 1000)
        return [
          say(
            'limits',
            'superjunction for planar: faster edges, more interference; check the snubber and the gate resistor',
          ),
        ];
      if (place.topology?.includes('linear') === true && own !== 'planar')
        return [say('no', 'only planar parts stand being half open')];
      return [];
    },
  },
  {
    name: 'tab',
    kinds: HOT,
    because: 'A bare back carries the voltage of its middle leg to whatever it is screwed to.',
    judge: ({ failed, place, candidate }) => {
      const say = findings('tab');
      const [old, own] = [backOf(failed), backOf(candidate)];
      if (own === 'isolated' && old !== 'isolated') {
        const [through, before, watts] = [
          numberOf(candidate, 'rthJc'),
          numberOf(failed, 'rthJc'),
          place.stress?.['power'],
        ];
        const more =
          (through !== undefined && before !== undefined ? through - before : BOUNDS.plasticBack) * (watts ?? 0);
        if (watts === undefined || more <= BOUNDS.warmer.good)
          return [say('note', 'its plastic back is a little worse a way for the heat')];
        const words = `its plastic back makes its junction ${more.toFixed(0)} K warmer`;
        return [
          more > BOUNDS.warmer.most
            ? say('no', words)
            : say('limits', `${words}: no pad, compound, and a generous sink`),
        ];
      }
      if (own === 'isolated' || (own === undefined && old !== 'isolated')) return [];
      if (old !== 'isolated') return [];
      const sink = place.heatsink ?? '';
      if (/none|without a sink|free air|no sink/iu.test(sink))
        return [say('note', 'its back is live: nothing may touch it')];
      if (/pad|mica|insulat/iu.test(sink) && !/without/iu.test(sink))
        return [say('ok', 'its back is live, and a pad lies under it: with an insulated screw')];
      if (/earth|chassis|case|shared|screwed/iu.test(sink))
        return [say('no', 'its back is live, and the sink is earthed or shared without a pad')];
      return [say('limits', 'its back is live: only with a pad and a bush, measured open against the sink')];
    },
  },
  {
    name: 'speed',
    kinds: ['igbt'],
    because: 'The tail current of an IGBT is lost at each turn-off: a slow class is for low frequencies.',
    judge: ({ failed, place, candidate }) => {
      const say = findings('speed');
      const hertz = (part: PartFacts) => {
        const found = /(?<digits>[\d.]+)\s*(?<kilo>k?)hz/iu.exec(wordOf(part, 'speedClass') ?? '')?.groups;
        return found ? Number(found['digits']) * (found['kilo'] ? 1e3 : 1) : undefined;
      };
      const [own, old, put] = [hertz(candidate), hertz(failed), place.stress?.['frequency']];
      const found: Finding[] = [];
      if (own !== undefined && put !== undefined && put > 1.2 * own)
        found.push(say('no', `a part for ${shown(own, 'hertz')} at ${shown(put, 'hertz')}`));
      else if (own !== undefined && old !== undefined && own < 0.8 * old)
        found.push(say('limits', `made for ${shown(own, 'hertz')}, the old one for ${shown(old, 'hertz')}`));
      const [oldDiode, diode] = [wordOf(failed, 'diode'), wordOf(candidate, 'diode')];
      if (/co-?pack|yes|inside/iu.test(oldDiode ?? '') && !/co-?pack|yes|inside/iu.test(diode ?? ''))
        found.push(say('no', 'it has no diode inside, and the bridge needs one'));
      return found;
    },
  },
  {
    name: 'gain',
    kinds: ['npn', 'pnp'],
    because: 'A base resistor was chosen for a gain.',
    judge: ({ failed, candidate }) => {
      const [own, old] = [numberOf(candidate, 'hfe'), numberOf(failed, 'hfe')];
      if (own === undefined || old === undefined) return [];
      const ratio = own / old;
      const { least, most } = BOUNDS.gain;
      return ratio < least || ratio > most
        ? [
            findings('gain')(
              'limits',
              `its gain is ${ratio.toFixed(1)} times that of the old one: check that it saturates, and does not ring`,
            ),
          ]
        : [];
    },
  },
  {
    name: 'trigger',
    kinds: ['triac', 'thyristor'],
    because: 'A triac fires only in the quadrants it is made for, and with the current it asks for.',
    judge: ({ failed, place, candidate }) => {
      const say = findings('trigger');
      const found: Finding[] = [];
      const [own, old] = [numberOf(candidate, 'igt'), numberOf(failed, 'igt')];
      const gate = place.gateDrive?.current;
      if (own !== undefined && gate !== undefined && own > gate)
        found.push(say('no', `it wants ${shown(own, 'ampere')} into its gate, there is ${shown(gate, 'ampere')}`));
      else if (own !== undefined && old !== undefined && gate === undefined && own > 1.5 * old)
        found.push(
          say(
            own > 3 * old ? 'no' : 'limits',
            `it wants ${shown(own, 'ampere')} into its gate, the old one ${shown(old, 'ampere')}`,
          ),
        );
      const quadrants = (part: PartFacts) =>
        numberOf(part, 'quadrants') ??
        (/snubberless|three|3q/u.test(technologyOf(part)) || part.ratings['snubberless'] === true ? 3 : undefined);
      const [ownQ, oldQ] = [quadrants(candidate), quadrants(failed)];
      if (ownQ !== undefined && ownQ < (oldQ ?? 4)) {
        // Driven with one sign in both half waves it is asked for the fourth quadrant.
        if (/positive/iu.test(place.gatePolarity ?? ''))
          found.push(say('no', 'it does not fire in the half wave where gate and main terminal differ in sign'));
        else if (
          place.gatePolarity === undefined &&
          !/diac|opto|bidirectional/iu.test(`${place.note ?? ''} ${place.gatePolarity ?? ''}`)
        )
          found.push(say('note', 'it fires in three quadrants: right behind a trigger diode or an opto-triac'));
      }
      return found;
    },
  },
];
