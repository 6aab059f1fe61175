import type { TestName } from '../../core/part';
import { formatQuantity } from '../../core/quantity';
import type { WaveFinding, WaveTask } from '../../workers/wave.contract';

/** What can be made of a recording, in words, with what it needs to be told. */
export const TASKS: Readonly<
  Record<
    WaveTask,
    {
      readonly label: string;
      readonly needs: readonly {
        readonly name: 'volts' | 'loopOhms' | 'amperesPerUnit' | 'current';
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
  discharge: { label: 'a discharge: time constant', needs: [] },
  step: {
    label: 'a step of current: ESR and capacitance',
    needs: [{ name: 'current', label: 'current of the step', unit: 'ampere' }],
  },
  ripple: { label: 'ripple of a rail', needs: [] },
  chopping: { label: 'a dimmer: firing angle', needs: [] },
};

/** A finding as rows, and the fields of a part's test that it fills. */
export interface FindingView {
  readonly rows: readonly { readonly label: string; readonly value: string }[];
  /** Field of the test and the text that a person would type there. */
  readonly fields: Readonly<Record<string, string>>;
  readonly refusal?: string;
}

/** What a finding says, and what of it a test of this kind can keep. */
export function findingView(finding: WaveFinding, test: TestName | undefined): FindingView {
  const show = (value: number, unit: Parameters<typeof formatQuantity>[1]) =>
    formatQuantity(value, unit, { digits: 3 });
  switch (finding.kind) {
    case 'failure':
      return { rows: [], fields: {}, refusal: finding.says };
    case 'ramp': {
      const { inductance, inductanceDoubt, saturation, peak } = finding;
      const rows = [
        { label: 'inductance', value: `${show(inductance, 'henry')} ± ${show(2 * inductanceDoubt, 'henry')}` },
        {
          label: 'saturates at',
          value: saturation === undefined ? `not up to ${show(peak, 'ampere')}` : show(saturation, 'ampere'),
        },
      ];
      const kept: Record<string, string> =
        test === 'choke'
          ? { inductance: typed(inductance) }
          : test === 'transformer'
            ? { open: typed(inductance) }
            : {};
      if (saturation !== undefined && (test === 'choke' || test === 'transformer')) kept.saturation = typed(saturation);
      return { rows, fields: kept };
    }
    case 'ring':
      return {
        rows: [
          {
            label: 'frequency',
            value: `${show(finding.frequency, 'hertz')} ± ${show(2 * finding.frequencyDoubt, 'hertz')}`,
          },
          { label: 'quality', value: finding.quality === Infinity ? 'beyond telling' : finding.quality.toFixed(1) },
          { label: 'periods above a tenth', value: `${finding.periods}` },
          { label: 'settles to', value: show(finding.settles, 'volt') },
        ],
        fields: test === 'choke' || test === 'transformer' ? { rings: `${finding.periods}` } : {},
      };
    case 'discharge':
      return {
        rows: [
          { label: 'time constant', value: `${show(finding.tau, 'second')} ± ${show(2 * finding.tauDoubt, 'second')}` },
          { label: 'from', value: show(finding.start, 'volt') },
        ],
        fields: {},
      };
    case 'step':
      return {
        rows: [
          { label: 'ESR', value: show(finding.esr, 'ohm') },
          {
            label: 'capacitance',
            value: finding.capacitance === undefined ? 'the slope does not tell' : show(finding.capacitance, 'farad'),
          },
          { label: 'jump', value: show(finding.jump, 'volt') },
        ],
        fields:
          test === 'capacitor'
            ? {
                esr: typed(finding.esr),
                ...(finding.capacitance === undefined ? {} : { capacitance: typed(finding.capacitance) }),
              }
            : {},
      };
    case 'ripple':
      return {
        rows: [
          { label: 'mean', value: show(finding.mean, 'volt') },
          { label: 'peak to peak', value: show(finding.peakToPeak, 'volt') },
          { label: 'rms without the mean', value: show(finding.rms, 'volt') },
        ],
        fields: {},
      };
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

const typed = (value: number): string => value.toPrecision(3);
