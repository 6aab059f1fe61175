import {
  checkClaims,
  describeDate,
  describeInput,
  describeOutput,
  judgeAge,
  judgeNameplate,
  MAINS_LOW,
  parseNameplate,
  reservoirValley,
  supplyOf,
  type Nameplate,
  type NameplateFinding,
  type NameplateJudgement,
  type PowerBounds,
  type SafetyClass,
  type Size,
} from '../../../core/nameplate';
import { formatQuantity } from '../../../core/quantity';
import type { UnitKindName } from '../../../core/unit';

import { routes } from '../../../routes';

/** What a person said of a unit so far: the label's text, and what was found on the case. */
export interface IntakeQuestion {
  readonly nameplate: string;
  /** The plate as it was put right by hand, when it was. */
  readonly plate?: Nameplate | null;
  readonly size?: Size;
  readonly bounds?: PowerBounds;
  readonly kind?: UnitKindName;
  readonly codes?: readonly { readonly code: string; readonly place: string }[];
  /** The present day as year and ISO week. */
  readonly today: { readonly year: number; readonly week: number };
}

/** What the plate and the size come to, in words and rows. */
export interface IntakeView {
  readonly claim: string;
  readonly ratedPower: number | undefined;
  /** What was read off the text, so that a person can see a misreading. */
  readonly read: readonly { label: string; value: string; evidence?: string }[];
  /** What no rule had a use for. */
  readonly unread: string;
  readonly currents: readonly { label: string; value: string }[];
  readonly assumptions: string;
  /** How low the reservoir falls between two peaks, where it is known. */
  readonly reservoir: string;
  readonly density: readonly { label: string; value: string }[];
  readonly age: readonly string[];
  readonly findings: readonly {
    weight: 'danger' | 'check' | 'note' | 'ok';
    word?: string;
    text: string;
    rule: string;
  }[];
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
const CLASS_SAYS: Readonly<Record<SafetyClass, string>> = {
  I: 'I, earthed: its case hangs on the earth wire',
  II: 'II, double insulated',
  III: 'III, fed with low voltage',
};

/** Judges a unit by its plate, size and codes; pure, so that it runs while a person types. */
export function intakeView({
  nameplate,
  plate: own,
  size = {},
  bounds = {},
  codes = [],
  kind,
  today,
}: IntakeQuestion): IntakeView {
  const plate = own ?? parseNameplate(nameplate);
  const all = [...(plate.dateCodes ?? []).map((code) => ({ code, place: 'label' })), ...codes];
  const age = judgeAge(all, today);
  const judged = judgeNameplate(plate, {
    ...size,
    ...(kind ? { kind } : {}),
    ...(age.newest ? { year: age.newest.year } : {}),
  });
  const { ratedPower, efficiency, powerFactor, density } = judged;
  const blank = nameplate.trim() === '' && !own;
  const known = { ...(plate.fuse === undefined ? {} : { fuse: plate.fuse }), ...bounds };
  const claims = checkClaims(plate, ratedPower, known, kind);
  return {
    claim: claimOf(blank, ratedPower, plate.outputs.map(describeOutput)),
    ratedPower,
    read: readRows(plate),
    unread: plate.unread ?? '',
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
    reservoir: reservoirText(plate, judged, bounds),
    density: [
      ...(density?.perLitre === undefined ? [] : [{ label: 'per litre', value: `${Math.round(density.perLitre)} W` }]),
      ...(density?.perKilogram === undefined
        ? []
        : [{ label: 'per kilogram', value: `${Math.round(density.perKilogram)} W` }]),
    ],
    age: [
      ...(age.newest && age.from
        ? [
            `Not older than ${describeDate(age.newest)}, by ${age.from}${age.newest.confidence < 0.6 ? '; the decade is a guess, another code would settle it' : ''}.`,
          ]
        : []),
      ...age.unreadable.map((code) => `${code} is no date code that could be right.`),
    ],
    findings: blank
      ? []
      : [...judged.findings, ...claims.findings].map(({ severity, text, rule }) => {
          const word = WORD[severity];
          return { weight: WEIGHT[severity], text, rule: routes.article('plates', rule), ...(word ? { word } : {}) };
        }),
    next: blank
      ? 'Type or paste what the label says, as it stands.'
      : plate.outputs.length === 0 && ratedPower === undefined
        ? 'Add the output as printed, like OUTPUT 19V 4.74A.'
        : 'Before the first screw: list what stores charge, and read it.',
  };
}

function reservoirText(
  plate: Nameplate,
  { ratedPower, efficiency }: NameplateJudgement,
  { bulk }: PowerBounds,
): string {
  const supply = supplyOf(plate);
  if (!bulk || !supply || supply.kind !== 'ac' || ratedPower === undefined || !efficiency) return '';
  const hertz = Math.min(...(supply.frequencies ?? [50]));
  const volts = supply.vMin * MAINS_LOW;
  const valley = reservoirValley({ power: ratedPower / efficiency.value, capacitance: bulk, volts, hertz });
  const at = `at ${formatQuantity(volts, 'volt')} ${hertz} Hz and full load, if nothing corrects the power factor`;
  return valley === 0
    ? `${formatQuantity(bulk, 'farad')} does not last from one peak to the next ${at}.`
    : `${formatQuantity(bulk, 'farad')} falls to ${formatQuantity(valley, 'volt')} between the peaks ${at}.`;
}

function readRows(plate: Nameplate): IntakeView['read'] {
  const numbered = (word: string, count: number, index: number) => (count > 1 ? `${word} ${index + 1}` : word);
  return [
    ...plate.inputs.flatMap((input, index) => [
      { label: numbered('input', plate.inputs.length, index), value: describeInput(input) },
      ...(input.frequencies
        ? [
            {
              label: numbered('frequency', plate.inputs.length, index),
              value: `${[...new Set(input.frequencies)].join(' or ')} Hz`,
            },
          ]
        : []),
    ]),
    ...plate.outputs.map((output, index) => ({
      label: [numbered('output', plate.outputs.length, index), output.port ?? '', output.alternative ? '(choice)' : '']
        .filter((word) => word !== '')
        .join(' '),
      value: describeOutput(output),
    })),
    ...(plate.totalPower === undefined
      ? []
      : [{ label: 'printed total', value: formatQuantity(plate.totalPower, 'watt') }]),
    ...(plate.conditions ?? []).map(({ power, vMin, vMax }) => ({
      label: `at ${vMin === vMax ? '' : `${vMin}–`}${formatQuantity(vMax, 'volt')}`,
      value: formatQuantity(power, 'watt'),
    })),
    ...(plate.mended ?? []).map(({ from, to }) => ({ label: 'mended', value: `“${from}” was read as ${to}` })),
    ...(plate.sharedLimits ?? []).map(({ volts, power }) => ({
      label: `${volts.map((v) => formatQuantity(v, 'volt')).join(' and ')} together`,
      value: formatQuantity(power, 'watt'),
    })),
    ...(plate.efficiencyLevel ? [{ label: 'efficiency mark', value: plate.efficiencyLevel }] : []),
    ...(plate.safetyClass ? [{ label: 'class', value: CLASS_SAYS[plate.safetyClass] }] : []),
    ...(plate.limitedPower ? [{ label: 'limited power', value: 'yes' }] : []),
    ...(plate.fuse === undefined ? [] : [{ label: 'fuse', value: formatQuantity(plate.fuse, 'ampere') }]),
  ];
}

function claimOf(blank: boolean, power: number | undefined, outputs: readonly string[]): string {
  if (blank) return 'Nothing is known of it yet';
  if (power === undefined) return 'The rating cannot be read';
  const rest = outputs.length === 1 ? `, ${outputs[0]}` : outputs.length > 1 ? ` over ${outputs.length} outputs` : '';
  return `${formatQuantity(power, 'watt')}${rest}`;
}
