import {
  describeOutput,
  judgeNameplate,
  parseNameplate,
  type NameplateFinding,
  type Size,
} from '../../../core/nameplate';
import { formatQuantity } from '../../../core/quantity';

/** What the plate and the size come to, in words and rows. */
export interface IntakeView {
  readonly claim: string;
  /** What was read off the text, so that a person can see a misreading. */
  readonly read: readonly { label: string; value: string; evidence?: string }[];
  readonly currents: readonly { label: string; value: string }[];
  readonly assumptions: string;
  readonly density: readonly { label: string; value: string }[];
  readonly findings: readonly { weight: 'danger' | 'check' | 'note' | 'ok'; word?: string; text: string }[];
  readonly next: string;
}

const WEIGHT: Readonly<Record<NameplateFinding['severity'], IntakeView['findings'][number]['weight']>> = {
  ok: 'ok',
  note: 'note',
  warn: 'check',
  reject: 'danger',
  'cannot tell': 'note',
};
const WORD: Partial<Record<NameplateFinding['severity'], string>> = { 'cannot tell': 'unknown', reject: 'doubtful' };

/** Judges a nameplate's text with the size of the case; pure, so that it runs while a person types. */
export function intakeView(nameplate: string, size: Size): IntakeView {
  const plate = parseNameplate(nameplate);
  const judged = judgeNameplate(plate, size);
  const { ratedPower, efficiency, powerFactor, density } = judged;
  const blank = nameplate.trim() === '';
  return {
    claim: claimOf(blank, ratedPower, plate.outputs.map(describeOutput)),
    read: [
      ...(plate.input
        ? [
            {
              label: 'input',
              value: `${plate.input.vMin === plate.input.vMax ? '' : `${plate.input.vMin}–`}${formatQuantity(plate.input.vMax, 'volt')}${plate.input.kind === 'ac' ? '~' : ' DC'}`,
            },
            ...(plate.input.frequencies
              ? [{ label: 'frequency', value: `${plate.input.frequencies.join(' or ')} Hz` }]
              : []),
            ...(plate.input.current === undefined
              ? []
              : [{ label: 'input current', value: formatQuantity(plate.input.current, 'ampere') }]),
          ]
        : []),
      ...plate.outputs.map((output, index) => ({
        label: plate.outputs.length > 1 ? `output ${index + 1}` : 'output',
        value: describeOutput(output),
      })),
      ...(plate.totalPower === undefined
        ? []
        : [{ label: 'printed total', value: formatQuantity(plate.totalPower, 'watt') }]),
      ...(plate.efficiencyLevel ? [{ label: 'efficiency mark', value: plate.efficiencyLevel }] : []),
    ],
    currents: judged.inputCurrents.map(({ volts, amperes }) => ({
      label: `at ${formatQuantity(volts, 'volt')}`,
      value: formatQuantity(amperes, 'ampere'),
    })),
    assumptions: [
      efficiency && `efficiency ${efficiency.value.toFixed(2)} (${efficiency.why})`,
      powerFactor && `power factor ${powerFactor.value.toFixed(2)} (${powerFactor.why})`,
    ]
      .filter(Boolean)
      .join(', '),
    density: [
      ...(density?.perLitre === undefined ? [] : [{ label: 'per litre', value: `${Math.round(density.perLitre)} W` }]),
      ...(density?.perKilogram === undefined
        ? []
        : [{ label: 'per kilogram', value: `${Math.round(density.perKilogram)} W` }]),
    ],
    findings: blank
      ? []
      : judged.findings.map(({ severity, text }) => {
          const word = WORD[severity];
          return { weight: WEIGHT[severity], text, ...(word ? { word } : {}) };
        }),
    next: blank
      ? 'Type or paste what the label says, as it stands.'
      : plate.outputs.length === 0
        ? 'Add the output as printed, like OUTPUT 19V 4.74A.'
        : 'Before the first screw: list what stores charge, and read it.',
  };
}

function claimOf(blank: boolean, power: number | undefined, outputs: readonly string[]): string {
  if (blank) return 'Nothing is known of it yet';
  if (power === undefined) return 'The rating cannot be read';
  return `${formatQuantity(power, 'watt')}${outputs.length === 1 ? `, ${outputs[0]}` : ` over ${outputs.length} outputs`}`;
}
