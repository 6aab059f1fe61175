import { practice } from '../evidence';
import {
  boundaryCorrector,
  convert,
  lastingCorrector,
  lineRipple,
  peakGain,
  resonantCurrents,
  shareForGain,
  standing,
  tankGain,
  tankOf,
  TOPOLOGIES,
  type Conversion,
  type Topology,
} from '../converter';
import { JUNCTION_GOOD, JUNCTION_MOST, onGrowth, switchLosses } from '../thermal';
import { DRIVE_FIELDS, drivenBy } from './drive';
import { drawn, figure, plain, q, type Field, type Figure, type Mark, type Sum } from './sum';

/** Names of topologies as they are chosen. */
export const TOPOLOGY_WORDS: Readonly<Record<Topology, string>> = {
  buck: 'step-down (buck)',
  boost: 'step-up (boost)',
  inverting: 'inverting',
  sepic: 'SEPIC',
  cuk: 'Ćuk',
  flyback: 'flyback',
  forward: 'forward',
  'two-switch-forward': 'two-switch forward',
  'push-pull': 'push-pull',
  'half-bridge': 'half bridge',
  'full-bridge': 'full bridge',
};
const kindField = (usual: Topology): Field => ({
  id: 'kind',
  label: 'converter',
  choices: TOPOLOGIES.map((one) => TOPOLOGY_WORDS[one]),
  usual: TOPOLOGY_WORDS[usual],
});
const TURNS_FIELD: Field = { id: 'n', label: 'primary turns for one secondary', unit: 'count', usual: '1' };
const chokeField = (usual: string): Field => ({
  id: 'l',
  label: 'choke, or primary of a flyback',
  unit: 'henry',
  usual,
  from: 'inductance',
});
const topologyOf = (word: string): Topology => TOPOLOGIES.find((one) => TOPOLOGY_WORDS[one] === word) ?? 'buck';
/** Switches of each converter. */
const SWITCHES: Readonly<Record<Topology, number>> = {
  buck: 1,
  boost: 1,
  inverting: 1,
  sepic: 1,
  cuk: 1,
  flyback: 1,
  forward: 1,
  'two-switch-forward': 2,
  'push-pull': 2,
  'half-bridge': 2,
  'full-bridge': 4,
};
/** A junction that gets so hot in the sum does not come to rest. */
const RUNAWAY = 400;
/** How much of their rating parts are used to; common practice, no source. */
const DERATED = practice({ switch: 0.8, rectifier: 0.75 } as const);

export const CONVERTERS: readonly Sum[] = [
  {
    id: 'converter',
    question: 'make',
    title: 'Currents and voltages of a converter',
    words: 'buck boost flyback forward push-pull bridge SEPIC duty ripple design',
    fields: [
      kindField('buck'),
      { id: 'vin', label: 'input', unit: 'volt', usual: '12V' },
      { id: 'vout', label: 'output', unit: 'volt', usual: '5V', plate: 'volts' },
      { id: 'iout', label: 'output current', unit: 'ampere', usual: '3A', plate: 'amperes' },
      { id: 'f', label: 'frequency', unit: 'hertz', usual: '100k' },
      chokeField('33u'),
      TURNS_FIELD,
      { id: 'vf', label: 'drop of the rectifier', unit: 'volt', usual: '0.45V', mayBeZero: true, from: 'vf' },
      { id: 'c', label: 'output capacitor', unit: 'farad', usual: '220u', from: 'capacitance' },
      { id: 'esr', label: 'its ESR', unit: 'ohm', usual: '50m', mayBeZero: true, from: 'esr' },
    ],
    work: ({ n, t }) => {
      const topology = topologyOf(t('kind'));
      const task = {
        topology,
        input: n('vin'),
        output: n('vout'),
        current: n('iout'),
        frequency: n('f'),
        inductance: n('l'),
        turns: n('n'),
        rectifierDrop: n('vf'),
        outputCapacitance: n('c'),
        outputEsr: n('esr'),
        ...(topology === 'flyback' ? { efficiency: 0.85 } : {}),
      };
      const came = convert(task);
      if ('wrong' in came) return { ...came, field: 'vin' };
      const isLasting = came.mode === 'continuous';
      const ripple = (came.chargeRipple ?? 0) + (came.esrRipple ?? 0);
      const rise = came.ripple / Math.max(came.mean, 1e-12);
      const figures: Figure[] = [
        figure('duty', 'duty', came.duty, 'ratio'),
        figure('ripple', 'ripple of the choke', came.ripple, 'ampere'),
        figure('peak', 'peak', came.peak, 'ampere'),
        figure('switchRms', 'switch, rms', came.switchRms, 'ampere'),
        figure('switchVolts', 'switch stands, without spikes', came.switchVolts, 'volt'),
        figure('rectifierMean', 'rectifier, mean', came.rectifierMean, 'ampere'),
        figure('rectifierVolts', 'rectifier stands', came.rectifierVolts, 'volt'),
        figure('inputRms', 'input capacitor, rms', came.inputCapacitorRms, 'ampere'),
        figure('outputRms', 'output capacitor, rms', came.outputCapacitorRms, 'ampere'),
        figure('chargeRipple', 'output ripple by capacitance', came.chargeRipple ?? 0, 'volt'),
        figure('esrRipple', 'by ESR', came.esrRipple ?? 0, 'volt'),
        figure('boundary', 'runs empty below', came.boundary, 'ampere'),
        ...(came.linkVolts === undefined
          ? []
          : [
              figure('linkVolts', 'capacitor between', came.linkVolts, 'volt'),
              figure('linkRms', 'its current, rms', came.linkRms ?? 0, 'ampere'),
            ]),
        ...(came.rightZero === undefined
          ? []
          : [figure('rightZero', 'zero in the right half plane', came.rightZero, 'hertz')]),
      ];
      const at = (current: number) => {
        const one = convert({ ...task, current });
        return 'wrong' in one ? NaN : one.switchPeak;
      };
      return {
        answer: `Duty ${q(came.duty, 'ratio')}, peak ${q(came.switchPeak, 'ampere')}, ${q(ripple, 'volt', 2)} of ripple`,
        more: isLasting
          ? 'The choke never runs empty.'
          : `The choke runs empty: that is so below ${q(came.boundary, 'ampere')}.`,
        mark: rise > 0.6 && isLasting ? 'note' : 'ok',
        figures,
        curve: {
          caption: 'peak in the switch over output current',
          x: { label: 'output current', unit: 'ampere' },
          y: { label: 'peak', unit: 'ampere' },
          lines: [{ label: 'peak in the switch', points: drawn([task.current * 0.02, task.current * 1.6], at) }],
          here: [task.current, came.switchPeak],
        },
        why: [
          `Take a switch for ${q(came.switchVolts / DERATED.switch, 'volt')} and more, a rectifier for ${q(came.rectifierVolts / DERATED.rectifier, 'volt')} and more: parts are used to 80 and 75 %.`,
          (came.esrRipple ?? 0) > (came.chargeRipple ?? 0)
            ? 'The ESR makes most of the ripple.'
            : 'The capacitance makes most of the ripple.',
          ...(came.rightZero === undefined ? [] : ['The loop must cross at a fifth of that zero, or lower.']),
        ],
        cautions:
          topology === 'flyback'
            ? ['The leakage adds its spike to the switch: see the clamp. 85 % efficiency is assumed.']
            : [],
        next: 'Hold each figure against the parts at hand; the what-if of this circuit shows its waves and what fails first.',
      };
    },
    formula: [
      'buck D = Vo/Vi',
      'boost D = 1 − Vi/Vo',
      'inverting, SEPIC, Ćuk D = Vo/(Vi+Vo)',
      'flyback D = VOR/(VOR+Vi)',
      'forward D = n Vo/Vi',
    ],
    source: 'Erickson & Maksimovic, chapters 2, 5 and 6, from memory',
  },
  {
    id: 'budget',
    question: 'make',
    title: 'Where a converter loses its power',
    words: 'losses efficiency by part temperature heat budget converter',
    fields: [
      kindField('buck'),
      { id: 'vin', label: 'input', unit: 'volt', usual: '24V' },
      { id: 'vout', label: 'output', unit: 'volt', usual: '12V' },
      { id: 'iout', label: 'output current', unit: 'ampere', usual: '5A' },
      { id: 'f', label: 'frequency', unit: 'hertz', usual: '100k' },
      chokeField('33u'),
      TURNS_FIELD,
      { id: 'ron', label: 'on-resistance of a switch at 25 °C', unit: 'ohm', usual: '25m', from: 'rdsOn' },
      { id: 'rated', label: 'its rated voltage', unit: 'volt', usual: '60V', from: 'vds' },
      { id: 'time', label: 'time to turn on and off', unit: 'second', usual: '60ns' },
      { id: 'coss', label: 'its output capacitance', unit: 'farad', usual: '300p' },
      ...DRIVE_FIELDS,
      { id: 'vf', label: 'drop of the rectifier', unit: 'volt', usual: '0.45V', from: 'vf' },
      { id: 'dcr', label: 'resistance of the choke', unit: 'ohm', usual: '20m', mayBeZero: true, from: 'dcr' },
      { id: 'esr', label: 'ESR of the output bank', unit: 'ohm', usual: '30m', mayBeZero: true, from: 'esr' },
      { id: 'rth', label: 'junction to air, each', unit: 'kelvinPerWatt', usual: '30K/W' },
      { id: 'air', label: 'air around it', unit: 'celsius', usual: '40C' },
    ],
    work: ({ n, t, maybe }) => {
      const topology = topologyOf(t('kind'));
      const came = convert({
        topology,
        input: n('vin'),
        output: n('vout'),
        current: n('iout'),
        frequency: n('f'),
        inductance: n('l'),
        turns: n('n'),
        rectifierDrop: n('vf'),
      });
      if ('wrong' in came) return { ...came, field: 'vin' };
      const switches = SWITCHES[topology];
      const rectifiers = topology === 'push-pull' || topology.endsWith('-bridge') ? 2 : 1;
      let junction = n('air');
      const driven = drivenBy({ n, maybe });
      let each = { conduction: 0, switching: 0, charging: 0, recovery: 0, gate: 0 };
      const switchHeat = () => each.conduction + each.switching + each.charging + each.recovery;
      for (let turn = 0; turn < 60 && junction < RUNAWAY; turn += 1) {
        each = switchLosses({
          ...driven,
          rms: came.switchRms,
          ohms: n('ron'),
          growth: onGrowth({ rating: n('rated'), celsius: junction }),
          volts: came.switchVolts,
          current: came.switchPeak,
          seconds: n('time'),
          frequency: n('f'),
          outputCapacitance: n('coss'),
        });
        junction = n('air') + n('rth') * switchHeat();
      }
      // A flyback’s store is its primary; behind a transformer the choke carries the output current.
      const chokeRms = ['forward', 'two-switch-forward', 'push-pull', 'half-bridge', 'full-bridge'].includes(topology)
        ? Math.hypot(came.mean, came.ripple / Math.sqrt(12))
        : came.rms;
      const rectifier = n('vf') * came.rectifierMean;
      const lost = [
        {
          name: `switch${switches > 1 ? `es, ${switches} together` : ''}, while on`,
          watts: switches * each.conduction,
        },
        { name: 'turning on and off', watts: switches * (each.switching + each.charging) },
        ...(driven.recovery === undefined
          ? []
          : [{ name: 'recovery of the rectifier, at most', watts: switches * each.recovery }]),
        ...(driven.gate === undefined ? [] : [{ name: 'gate drive', watts: switches * each.gate }]),
        {
          name: 'rectifiers',
          watts:
            rectifiers * rectifier +
            (topology === 'forward' || topology === 'two-switch-forward'
              ? n('vf') * (n('iout') - came.rectifierMean)
              : 0),
        },
        { name: 'choke or primary, by resistance', watts: chokeRms ** 2 * n('dcr') },
        { name: 'output bank', watts: came.outputCapacitorRms ** 2 * n('esr') },
      ];
      const total = lost.reduce((sum, { watts }) => sum + watts, 0);
      const power = n('vout') * n('iout');
      const efficiency = power / (power + total);
      const hot = n('air') + n('rth') * rectifier;
      const isLost = junction >= RUNAWAY;
      const most = lost.reduce((best, one) => (one.watts > best.watts ? one : best));
      const mark: Mark =
        isLost || Math.max(junction, hot) > JUNCTION_MOST
          ? 'reject'
          : Math.max(junction, hot) > JUNCTION_GOOD
            ? 'warn'
            : 'ok';
      return {
        answer: isLost
          ? 'The switch runs away: it never comes to rest'
          : `${q(efficiency, 'ratio')}, ${q(total, 'watt')} lost`,
        more: `Most of it: ${most.name}.`,
        mark,
        figures: [
          figure('efficiency', 'efficiency', efficiency, 'ratio'),
          figure('lost', 'lost', total, 'watt'),
          figure('input', 'power it takes', power + total, 'watt'),
          figure('junction', 'switch, junction', Math.min(junction, RUNAWAY), 'celsius'),
          figure('rectifier', 'rectifier, junction', hot, 'celsius'),
        ],
        choices: {
          head: ['where', 'lost', 'of it'],
          rows: lost
            .toSorted((a, b) => b.watts - a.watts)
            .map(({ name, watts }) => ({
              cells: [name, q(watts, 'watt'), q(watts / total, 'ratio', 2)],
              ...(name === most.name ? { isChosen: true as const } : {}),
            })),
        },
        why: [
          'The on-resistance is taken at the temperature it comes to; each turn-on and turn-off is counted at the peak.',
        ],
        cautions: [
          driven.recovery === undefined || driven.gate === undefined
            ? 'Losses of the core, and of the gate drive and by reverse recovery where their charge is not given, come on top: on some boards as much again.'
            : 'Losses of the core come on top.',
        ],
        next: 'Hold the currents against the what-if of this circuit, and the hottest part against a thermometer after half an hour.',
      };
    },
    formula: ['P = I² R k(T) + ½ V I t f + ½ C V² f + Qrr V f', 'gate Qg Vg f', 'rectifier Vf I', 'η = P / (P + ΣP)'],
    source:
      'Erickson & Maksimovic, chapters 3 and 4, from memory; growth of the resistance is common practice, no source',
  },
  {
    id: 'deliver',
    question: 'make',
    title: 'What these parts can deliver',
    words: 'backwards limit current power converter parts at hand',
    fields: [
      kindField('boost'),
      { id: 'vin', label: 'input', unit: 'volt', usual: '12V' },
      { id: 'vout', label: 'output', unit: 'volt', usual: '24V' },
      { id: 'f', label: 'frequency', unit: 'hertz', usual: '100k' },
      chokeField('47u'),
      { id: 'sat', label: 'it saturates at', unit: 'ampere', usual: '4A', from: 'saturation' },
      TURNS_FIELD,
      { id: 'vds', label: 'switch stands', unit: 'volt', usual: '60V', from: 'vds' },
      { id: 'id', label: 'and carries, rms', unit: 'ampere', usual: '5A' },
      { id: 'vr', label: 'rectifier stands', unit: 'volt', usual: '60V', from: 'vrrm' },
      { id: 'if', label: 'and carries, mean', unit: 'ampere', usual: '3A', from: 'ifav' },
      { id: 'ir', label: 'output capacitor stands, rms', unit: 'ampere', usual: '1.5A', from: 'ripple' },
    ],
    work: ({ n, t }) => {
      const topology = topologyOf(t('kind'));
      const of = (current: number) =>
        convert({
          topology,
          input: n('vin'),
          output: n('vout'),
          current,
          frequency: n('f'),
          inductance: n('l'),
          turns: n('n'),
          rectifierDrop: 0.5,
        });
      const first = of(1e-3);
      if ('wrong' in first) return { ...first, field: 'vin' };
      // Volts do not depend on the load: they are met or not.
      const volts = [
        { name: 'switch, volts', ratio: first.switchVolts / n('vds'), target: DERATED.switch },
        { name: 'rectifier, volts', ratio: first.rectifierVolts / n('vr'), target: DERATED.rectifier },
      ];
      const limits = [
        { name: 'choke saturates', at: (c: Conversion) => c.peak / (0.9 * n('sat')) },
        { name: 'switch, current', at: (c: Conversion) => c.switchRms / n('id') },
        { name: 'rectifier, current', at: (c: Conversion) => c.rectifierMean / (0.7 * n('if')) },
        { name: 'output capacitor, ripple', at: (c: Conversion) => c.outputCapacitorRms / n('ir') },
      ];
      const most = limits.map(({ name, at }) => {
        let [low, high] = [0, 1000];
        for (let turn = 0; turn < 80; turn += 1) {
          const middle = (low + high) / 2;
          const came = of(middle);
          if (!('wrong' in came) && at(came) <= 1) low = middle;
          else high = middle;
        }
        return { name, current: low };
      });
      const weakest = most.reduce((best, one) => (one.current < best.current ? one : best));
      const broken = volts.filter(({ ratio }) => ratio >= 1);
      const scant = volts.filter(({ ratio, target }) => ratio < 1 && ratio > target);
      const mark: Mark = broken.length > 0 ? 'reject' : scant.length > 0 ? 'warn' : 'ok';
      return {
        answer:
          broken.length > 0
            ? `Nothing: ${broken[0]!.name} are above the rating`
            : `${q(weakest.current, 'ampere')} at ${q(n('vout'), 'volt')}, ${q(weakest.current * n('vout'), 'watt')}`,
        more: `The limit: ${weakest.name}.`,
        mark,
        figures: [
          figure('current', 'output current', weakest.current, 'ampere'),
          figure('power', 'output power', weakest.current * n('vout'), 'watt'),
          ...volts.map(({ name, ratio }, index) => figure(`volts${index}`, `${name}, of the rating`, ratio, 'ratio')),
        ],
        choices: {
          head: ['limit', 'output current', ''],
          rows: most
            .toSorted((a, b) => a.current - b.current)
            .map(({ name, current }) => ({
              cells: [name, current > 999 ? 'none' : q(current, 'ampere'), name === weakest.name ? 'the weakest' : ''],
              ...(name === weakest.name ? { isChosen: true as const } : {}),
            })),
        },
        why: [
          'The choke is used to 90 % of what saturates it, the rectifier to 70 % of its mean current.',
          ...scant.map(
            ({ name, ratio, target }) =>
              `${name}: ${q(ratio, 'ratio')} of the rating, and ${q(target, 'ratio')} is where a margin is left.`,
          ),
        ],
        cautions: ['Heat is not in it: work the losses of the switch out with these currents.'],
        next: `A better part for “${weakest.name}” brings more; the next limit is ${q(most.toSorted((a, b) => a.current - b.current)[1]?.current ?? NaN, 'ampere')}.`,
      };
    },
    formula: ['the equations of the converter, solved for the output current at which each part is at its limit'],
    source: 'Erickson & Maksimovic, from memory; margins are common practice, no source',
  },
  {
    id: 'llc',
    question: 'make',
    title: 'An LLC tank',
    words: 'LLC resonant gain half bridge tank frequency',
    fields: [
      { id: 'lr', label: 'series inductance', unit: 'henry', usual: '100u' },
      { id: 'lm', label: 'magnetising inductance', unit: 'henry', usual: '500u' },
      { id: 'cr', label: 'resonant capacitor', unit: 'farad', usual: '25.3n', from: 'capacitance' },
      { id: 'n', label: 'primary turns for one secondary', unit: 'count', usual: '7.96' },
      { id: 'vin', label: 'input', unit: 'volt', usual: '390V' },
      { id: 'low', label: 'lowest input', unit: 'volt', usual: '340V' },
      { id: 'vout', label: 'output', unit: 'volt', usual: '24V' },
      { id: 'iout', label: 'output current', unit: 'ampere', usual: '10A' },
    ],
    work: ({ n }) => {
      const tank = { series: n('lr'), magnetising: n('lm'), capacitance: n('cr'), turns: n('n') };
      const figures = tankOf(tank, n('vout') / n('iout'));
      const volts = n('vout') + 0.5;
      const gainAt = (input: number) => (2 * n('n') * volts) / input;
      const [usual, most] = [gainAt(n('vin')), gainAt(n('low'))];
      const peak = peakGain(figures);
      const [share, lowShare] = [shareForGain(figures, usual), shareForGain(figures, most)];
      const currents = resonantCurrents(tank, { volts, current: n('iout'), resonance: figures.resonance });
      const mark: Mark =
        share === undefined || lowShare === undefined ? 'reject' : most > 0.9 * peak.gain ? 'warn' : 'ok';
      return {
        answer:
          share === undefined ? 'It cannot reach this output' : `Runs at ${q(share * figures.resonance, 'hertz')}`,
        more:
          lowShare === undefined
            ? 'At the lowest input the gain asked for is above its peak.'
            : `At the lowest input at ${q(lowShare * figures.resonance, 'hertz')}; its peak is at ${q(peak.share * figures.resonance, 'hertz')}.`,
        mark,
        figures: [
          figure('resonance', 'resonance', figures.resonance, 'hertz'),
          figure('lower', 'lower resonance', figures.lower, 'hertz'),
          plain('quality', 'Q', figures.quality, ''),
          figure('gain', 'gain asked for', usual, 'ratio'),
          figure('most', 'at the lowest input', most, 'ratio'),
          figure('peakGain', 'peak of the gain', peak.gain, 'ratio'),
          figure('rms', 'primary, rms at resonance', currents.total, 'ampere'),
          figure('magnetising', 'of it magnetising, peak', currents.magnetisingPeak, 'ampere'),
          figure('secondary', 'each secondary, rms', currents.secondary, 'ampere'),
          figure('outputRms', 'output capacitor, rms', currents.outputCapacitor, 'ampere'),
          figure('capacitorVolts', 'resonant capacitor, rms', currents.capacitorVolts, 'volt'),
        ],
        curve: {
          caption: 'gain over frequency, at this load and at a quarter of it',
          x: { label: 'frequency', unit: 'hertz' },
          y: { label: 'gain', unit: 'ratio' },
          lines: [
            {
              label: 'this load',
              points: drawn(
                [0.4 * figures.resonance, 1.8 * figures.resonance],
                (f) => tankGain(figures, f / figures.resonance),
                201,
              ),
            },
            {
              label: 'a quarter',
              isFaint: true,
              points: drawn(
                [0.4 * figures.resonance, 1.8 * figures.resonance],
                (f) => Math.min(3, tankGain({ ...figures, quality: figures.quality / 4 }, f / figures.resonance)),
                201,
              ),
            },
          ],
          limits: [
            { label: 'asked for', y: usual },
            { label: 'at the lowest input', y: most },
          ],
          ...(share === undefined ? {} : { here: [share * figures.resonance, usual] as const }),
        },
        why: [
          'For a half bridge; a full bridge gives twice the output.',
          'At resonance the gain is one whatever the load. Below the peak the tank is capacitive and the switches lose their soft turn-on: that kills them.',
          'The sum takes the first harmonic alone: below resonance the true gain is higher; with five times the magnetising inductance and a Q of 0.4 by 4 % at 0.8 of it and 17 % at 0.6.',
        ],
        cautions: [
          'A salvaged transformer carries the series inductance in itself: it goes with its own capacitor and frequency.',
        ],
        next:
          mark === 'ok'
            ? 'Prove it in the what-if of the LLC converter.'
            : 'More primary current, thus less magnetising inductance, raises the peak.',
      };
    },
    formula: ['fr = 1/(2π√(Lr Cr))', 'M = Ln fn² / √(((Ln+1) fn² − 1)² + ((fn²−1) fn Q Ln)²)'],
    source: 'First-harmonic method of makers’ notes for LLC half bridges, from memory',
    isMains: true,
  },
  {
    id: 'pfc',
    question: 'make',
    title: 'A power factor stage',
    words: 'PFC boost power factor choke bulk mains',
    fields: [
      { id: 'p', label: 'output power', unit: 'watt', usual: '300W', plate: 'watts' },
      { id: 'eff', label: 'efficiency', unit: 'ratio', usual: '94%' },
      { id: 'low', label: 'lowest mains', unit: 'volt', usual: '90V', plate: 'lowest' },
      { id: 'high', label: 'highest mains', unit: 'volt', usual: '264V', plate: 'highest' },
      { id: 'vout', label: 'rail', unit: 'volt', usual: '390V' },
      { id: 'f', label: 'frequency', unit: 'hertz', usual: '65k' },
      { id: 'ripple', label: 'ripple of the choke', unit: 'ratio', usual: '30%' },
      { id: 'c', label: 'bulk', unit: 'farad', usual: '220u', from: 'capacitance' },
      { id: 'line', label: 'line frequency', unit: 'hertz', usual: '50Hz' },
    ],
    work: ({ n }) => {
      if (n('vout') <= Math.SQRT2 * n('high'))
        return {
          wrong: `The rail must stand above the peak of the highest mains, ${q(Math.SQRT2 * n('high'), 'volt')}.`,
          field: 'vout',
        };
      const stage = { lowest: n('low'), power: n('p') / n('eff'), output: n('vout') };
      const came = lastingCorrector(stage, { frequency: n('f'), ripple: n('ripple'), efficiency: n('eff') });
      const [low, high] = [n('low'), n('high')].map((volts) => boundaryCorrector(stage, { volts, frequency: n('f') }));
      const swing = lineRipple({ current: n('p') / n('vout'), line: n('line'), capacitance: n('c') });
      const over = n('vout') * 1.1;
      return {
        answer: `${q(came.inductance, 'henry')}, peak ${q(came.peak, 'ampere')}`,
        more: 'For a choke that never runs empty.',
        mark: n('vout') > 400 ? 'warn' : 'ok',
        figures: [
          figure('inductance', 'choke', came.inductance, 'henry'),
          figure('rms', 'line current, rms', came.rms, 'ampere'),
          figure('peak', 'peak in the choke', came.peak, 'ampere'),
          figure('duty', 'duty at the crest', came.duty, 'ratio'),
          figure('switchRms', 'switch, rms', came.switchRms, 'ampere'),
          figure('rectifierMean', 'rectifier, mean', came.rectifierMean, 'ampere'),
          figure('capacitorRms', 'bulk, rms', came.capacitorRms, 'ampere'),
          figure('swing', 'ripple of the rail at twice the line', swing, 'volt'),
          figure('over', 'rail when its protection acts', over, 'volt'),
          figure('boundary', 'at the boundary instead: choke', Math.min(low!.inductance, high!.inductance), 'henry'),
          figure('boundaryPeak', 'and its peak', low!.peak, 'ampere'),
        ],
        curve: {
          caption: 'line current over one half wave at the lowest mains',
          x: { label: 'time', unit: 'second' },
          y: { label: 'current', unit: 'ampere' },
          lines: [
            {
              label: 'line current',
              points: drawn(
                [0, 1 / (2 * n('line'))],
                (time) => came.linePeak * Math.sin(2 * Math.PI * n('line') * time),
              ),
            },
          ],
          limits: [{ label: 'peak in the choke', y: came.peak }],
        },
        why: [`The rail may reach ${q(over, 'volt')}: a switch for 600 V, and a bulk that stands it.`],
        cautions: ['A bulk for 400 V at a rail of 390 V has no margin; above 390 V it is not used again.'],
        next: 'Hold the saturation of the choke against the peak, at its working temperature.',
      };
    },
    formula: ['L = √2 V D / (f ΔI)', 'boundary: L = V² (Vo − √2 V) / (2 f P Vo)', 'ΔV = I / (2π f C)'],
    source: 'Makers’ notes for power factor controllers, from memory',
    isMains: true,
  },
  {
    id: 'switch-volts',
    question: 'stand',
    title: 'Voltage on the switch',
    words: 'stress drain rating derating spike reflected',
    fields: [
      kindField('flyback'),
      { id: 'vin', label: 'highest input', unit: 'volt', usual: '375V' },
      { id: 'vout', label: 'output', unit: 'volt', usual: '12V', plate: 'volts' },
      { id: 'n', label: 'primary turns for one secondary', unit: 'count', usual: '8' },
      { id: 'spike', label: 'spike above it', unit: 'volt', usual: '70V', mayBeZero: true },
      { id: 'rated', label: 'the switch is rated for', unit: 'volt', usual: '650V', from: 'vds' },
    ],
    work: ({ n, t }) => {
      const topology = topologyOf(t('kind'));
      const { switchVolts: flat, rectifierVolts: rectifier } = standing({
        topology,
        input: n('vin'),
        output: n('vout'),
        turns: n('n'),
        rectifierDrop: 0.5,
      });
      const total = flat + n('spike');
      const ratio = total / n('rated');
      const mark: Mark = ratio >= 1 ? 'reject' : ratio > DERATED.switch ? 'warn' : 'ok';
      return {
        answer: `${q(total, 'volt')}, ${q(ratio, 'ratio')} of its rating`,
        more:
          mark === 'ok'
            ? 'A margin of a fifth is left.'
            : mark === 'warn'
              ? 'It works, and has less than a fifth to spare.'
              : 'It breaks down.',
        mark,
        figures: [
          figure('flat', 'without the spike', flat, 'volt'),
          figure('total', 'with it', total, 'volt'),
          figure('rating', 'rating to look for', total / DERATED.switch, 'volt'),
          figure('rectifier', 'rectifier stands', rectifier, 'volt'),
          figure('rectifierRating', 'rating to look for', rectifier / DERATED.rectifier, 'volt'),
        ],
        why: [
          'A flyback adds what the output reflects, a forward and a push-pull double the input; bridges and two-switch circuits stand the input alone.',
        ],
        cautions: ['Mains of 264 V make 375 V of bulk. Avalanche is not counted on in a used part.'],
        next:
          mark === 'ok'
            ? 'Measure the spike with a probe for the voltage, on an isolated supply.'
            : 'Take a higher rating, or bring the spike down with a clamp.',
      };
    },
    formula: ['flyback Vi + n(Vo + Vf) + spike', 'forward, push-pull 2 Vi', 'bridges, two-switch Vi'],
    source: 'Erickson & Maksimovic, chapter 6, from memory; margins are common practice, no source',
    isMains: true,
  },
];
