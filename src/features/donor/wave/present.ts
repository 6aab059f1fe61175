import type { Measured } from '../../../core/measure';
import type { TestName } from '../../../core/part';
import { formatQuantity, type Unit } from '../../../core/quantity';
import type { WaveFinding, WaveParameters, WaveTask } from '../../../core/waveform';

/** What can be made of a recording, in words, with what it needs to be told. */
export const TASKS: Readonly<
  Record<
    WaveTask,
    {
      readonly label: string;
      readonly needs: readonly {
        readonly name: keyof WaveParameters;
        readonly label: string;
        readonly unit: 'volt' | 'ohm' | 'ampere';
      }[];
    }
  >
> = {
  ramp: {
    label: 'a current ramp: inductance and saturation',
    needs: [
      { name: 'volts', label: 'volts across the winding', unit: 'volt' },
      { name: 'loopOhms', label: 'resistance of the loop', unit: 'ohm' },
      { name: 'amperesPerUnit', label: 'amperes for each volt shown', unit: 'ampere' },
    ],
  },
  ring: { label: 'a ring: frequency, quality, snubber', needs: [] },
  discharge: {
    label: 'a discharge: time constant and capacitance',
    needs: [{ name: 'throughOhms', label: 'resistor it drains through', unit: 'ohm' }],
  },
  step: {
    label: 'a step of current: ESR and capacitance',
    needs: [{ name: 'current', label: 'current of the step', unit: 'ampere' }],
  },
  ripple: {
    label: 'ripple behind a choke: ESR and capacitance',
    needs: [
      { name: 'current', label: 'swing of the choke’s current', unit: 'ampere' },
      { name: 'amperesBeside', label: 'or other channel, A per V', unit: 'ampere' },
    ],
  },
  pulse: {
    label: 'ripple behind a flyback’s rectifier: ESR and capacitance',
    needs: [
      { name: 'current', label: 'peak current of the rectifier', unit: 'ampere' },
      { name: 'amperesBeside', label: 'or other channel, A per V', unit: 'ampere' },
    ],
  },
  chopping: { label: 'a dimmer: firing angle', needs: [] },
};

/** A finding as rows, and the fields of a part's test that it fills. */
export interface FindingView {
  readonly rows: readonly { readonly label: string; readonly value: string }[];
  /** Fields of the test that it fills, each to three digits. */
  readonly fields: Readonly<Record<string, Measured>>;
  readonly refusal?: string;
  /** What would tell more. */
  readonly advice?: string;
}

/** What a finding says, and what of it a test of this kind can keep. */
export function findingView(finding: WaveFinding, test: TestName | undefined): FindingView {
  const show = (value: number, unit: Unit) => formatQuantity(value, unit, { digits: 3 });
  switch (finding.kind) {
    case 'failure':
      return { rows: [], fields: {}, refusal: finding.message };
    case 'ramp': {
      const { inductance, inductanceUncertainty, saturation, peak } = finding;
      const rows = [
        { label: 'inductance', value: within(inductance, inductanceUncertainty, 'henry') },
        {
          label: 'saturates at',
          value: saturation === undefined ? `not up to ${show(peak, 'ampere')}` : show(saturation, 'ampere'),
        },
      ];
      const kept: Record<string, Measured> =
        test === 'choke'
          ? { inductance: toThreeDigits(inductance) }
          : test === 'transformer'
            ? { open: toThreeDigits(inductance) }
            : {};
      if (saturation !== undefined && (test === 'choke' || test === 'transformer'))
        kept.saturation = toThreeDigits(saturation);
      return { rows, fields: kept };
    }
    case 'ring':
      return {
        rows: [
          {
            label: 'frequency',
            value: within(finding.frequency, finding.frequencyUncertainty, 'hertz'),
          },
          { label: 'quality', value: finding.quality === Infinity ? 'cannot be told' : finding.quality.toFixed(1) },
          { label: 'periods above a tenth', value: `${finding.periods}` },
          { label: 'settles to', value: show(finding.settles, 'volt') },
        ],
        fields: test === 'choke' || test === 'transformer' ? { rings: { value: finding.periods, resolution: 1 } } : {},
      };
    case 'discharge':
      return {
        rows: [
          { label: 'time constant', value: within(finding.tau, finding.tauUncertainty, 'second') },
          ...(finding.capacitance === undefined
            ? []
            : [{ label: 'capacitance', value: show(finding.capacitance, 'farad') }]),
          { label: 'from', value: show(finding.start, 'volt') },
          ...(finding.rests === undefined ? [] : [{ label: 'rests at', value: show(finding.rests, 'volt') }]),
        ],
        fields:
          test === 'capacitor' && finding.capacitance !== undefined
            ? { capacitance: toThreeDigits(finding.capacitance) }
            : {},
      };
    case 'step':
      return {
        rows: [
          {
            label: 'ESR',
            value: `${show(finding.esr, 'ohm')}${finding.esrUncertainty > 0.02 * finding.esr ? ` ± ${show(finding.esrUncertainty, 'ohm')}` : ''}`,
          },
          {
            label: 'capacitance',
            value: finding.capacitance === undefined ? 'the slope does not tell' : show(finding.capacitance, 'farad'),
          },
          { label: 'jump', value: show(finding.jump, 'volt') },
        ],
        fields:
          test === 'capacitor'
            ? {
                esr: toThreeDigits(finding.esr),
                ...(finding.capacitance === undefined ? {} : { capacitance: toThreeDigits(finding.capacitance) }),
              }
            : {},
      };
    case 'ripple':
      return rippleView(finding, test);
    case 'chopping':
      return {
        rows: [
          { label: 'firing angle', value: `${finding.angle.toFixed(0)}°` },
          { label: 'mains', value: show(finding.frequency, 'hertz') },
        ],
        fields: {},
      };
  }
}

/** ESR first, since it is what the ripple is looked at for; the plain ripple when no current is known. */
function rippleView(finding: Extract<WaveFinding, { kind: 'ripple' }>, test: TestName | undefined): FindingView {
  const show = (value: number, unit: 'volt' | 'ohm' | 'farad') => formatQuantity(value, unit, { digits: 3 });
  const plain = [
    { label: 'peak to peak', value: show(finding.peakToPeak, 'volt') },
    { label: 'rms without the mean', value: show(finding.rms, 'volt') },
    { label: 'mean', value: show(finding.mean, 'volt') },
  ];
  const { capacitor } = finding;
  if (!capacitor)
    return { rows: plain, fields: {}, advice: 'With the current of the capacitor its ESR can be told too.' };
  if (capacitor.kind === 'failure') return { rows: plain, fields: {}, advice: capacitor.message };
  const { esr, esrUncertainty, capacitance, capacitanceUncertainty } = capacitor;
  return {
    rows: [
      { label: 'ESR', value: within(esr, esrUncertainty, 'ohm') },
      {
        label: 'capacitance',
        value: capacitance === undefined ? 'the ESR hides it' : within(capacitance, capacitanceUncertainty, 'farad'),
      },
      ...plain,
    ],
    fields:
      test === 'capacitor'
        ? { esr: toThreeDigits(esr), ...(capacitance === undefined ? {} : { capacitance: toThreeDigits(capacitance) }) }
        : {},
  };
}

/** A value with twice its standard uncertainty, which two digits say well enough. */
const within = (value: number, uncertainty: number, unit: Unit): string =>
  `${formatQuantity(value, unit, { digits: 3 })} ± ${formatQuantity(2 * uncertainty, unit, { digits: 2 })}`;

/** A value to three digits, which is what a recording supports. */
function toThreeDigits(exact: number): Measured {
  const value = Number(exact.toPrecision(3));
  return { value, resolution: 10 ** (Math.floor(Math.log10(Math.abs(value))) - 2) };
}
