import type { MarkingContext, MarkingRule, Reading } from './reading';

/** Types whose number looks like current-N-voltage and is not: optocouplers, JEDEC numbers, germanium diodes. */
const NOT_CURRENT_VOLTAGE = /^(?:4N(?:2[5-9]|3[0-8])|6N13[5-9]|[123]N\d{3,4}|1N34|1N60)[A-Z]?$/;
/** A TO-220 part that claims more than this is misread. Source: common practice, no source. */
const LARGEST_CURRENT = 120;
const LARGEST_PRODUCT = 75 * 750;
const IGBT_PACKAGES = ['TO-247', 'TO-3P'];

/**
 * The number pattern current, N or P, volts: `12N65` is 12 A, N channel, 650 V. Two digits of volts
 * count tens; 55 and 75 from 20 A up mean 55 and 75 V; a leading 0 or 1 counts hundreds less (`06`
 * 60 V). Large parts in a large case may be IGBTs. Common practice, no source.
 */
export const currentLetterVoltage: MarkingRule = (marking, context) => {
  if (NOT_CURRENT_VOLTAGE.test(marking)) return [];
  const match = /^([A-Z]{0,5}?)(\d{1,3})([A-Z]{0,2})([NP])([A-Z]{0,2})(\d{2,3})([A-Z]{0,3}\d?)$/.exec(marking);
  if (!match) return [];
  const current = Number(match[2]);
  const digits = match[6] ?? '';
  const literal = (digits === '55' || digits === '75') && current >= 20;
  const vds = literal ? Number(digits) : Number(digits) * 10;
  if (current < 1 || current > LARGEST_CURRENT || vds < 20 || vds > 1700 || current * vds > LARGEST_PRODUCT) return [];
  const channel = match[4] === 'N' ? 'nmos' : 'pmos';
  const plain = !match[3] && !match[5];
  const pattern = `${match[2]}${match[4]}${digits}: ${current} A, ${match[4]} channel, ${vds} V`;
  const asFet: Reading = {
    kind: channel,
    confidence: plain ? 0.85 : 0.7,
    rule: 'current-N-voltage',
    ratings: { id: current, vds },
    why: pattern,
  };
  if (channel !== 'nmos' || current < 15 || vds < 600 || !mayBeIgbt(context)) return [asFet];
  return [
    { ...asFet, confidence: 0.45 },
    {
      kind: 'igbt',
      confidence: 0.45,
      rule: 'current-N-voltage',
      ratings: { ic: current, vces: vds },
      why: `${pattern}; so large a part in this case may be an IGBT`,
    },
  ];
};

function mayBeIgbt(context: MarkingContext): boolean {
  return context.package === undefined || IGBT_PACKAGES.includes(context.package);
}

/**
 * Volts by ten, R, on resistance in milliohms: `60R190` is 600 V, 0.19 Ω; K stands for the ohm
 * point, `80R1K4` is 1.4 Ω. Common practice, no source.
 */
export const voltageResistance: MarkingRule = (marking) => {
  const match = /^[A-Z]{0,4}?(\d{2})R(?:(\d{2,3})|(\d)K(\d))[A-Z]{0,3}\d?$/.exec(marking);
  const vds = Number(match?.[1]) * 10;
  if (!match || vds < 200 || vds > 1000) return [];
  const rdsOn = match[2] ? Number(match[2]) / 1000 : Number(`${match[3]}.${match[4]}`);
  return [
    {
      kind: 'nmos',
      confidence: 0.9,
      rule: 'voltage-R-resistance',
      ratings: { vds, rdsOn },
      why: `${match[0]}: ${vds} V, ${rdsOn} Ω`,
    },
  ];
};
