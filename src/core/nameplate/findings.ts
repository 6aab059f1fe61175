import { formatQuantity } from '../quantity';
import type { Nameplate, NameplateInput } from './plate';
import type { PlateRule } from './plateRules';
import { AGREEMENT } from './tradeRanges';

export interface NameplateFinding {
  readonly severity: 'ok' | 'note' | 'warn' | 'reject' | 'cannot tell';
  readonly text: string;
  /** Which rule it rests on. */
  readonly rule: PlateRule;
}

const volts = (value: number) => formatQuantity(value, 'volt');
const amperes = (value: number) => formatQuantity(value, 'ampere');
const watts = (value: number) => formatQuantity(value, 'watt');

/** Whether the printed outputs agree with themselves and with the printed total. */
export function outputFindings(plate: Nameplate, summed: number | undefined): NameplateFinding[] {
  const findings: NameplateFinding[] = [];
  if (plate.outputs.length === 0)
    findings.push({
      rule: 'outputs',
      severity: 'cannot tell',
      text: 'No output was found in the text. Write it like OUTPUT 19V 4.74A.',
    });
  for (const output of plate.outputs) {
    const product = output.i === undefined ? undefined : Math.abs(output.vMax ?? output.v) * output.i;
    if (product === undefined && output.p === undefined)
      findings.push({
        rule: 'outputs',
        severity: 'cannot tell',
        text: `The ${volts(output.v)} output has no current or power.`,
      });
    else if (product !== undefined && output.p !== undefined && Math.abs(product / output.p - 1) > AGREEMENT.rounding)
      findings.push({
        rule: 'outputs',
        severity: 'warn',
        text: `${volts(output.vMax ?? output.v)} times ${amperes(output.i ?? 0)} is ${watts(product)}, but ${watts(output.p)} is printed.`,
      });
  }
  const { totalPower } = plate;
  if (totalPower !== undefined && summed !== undefined) {
    if (summed > totalPower * (1 + AGREEMENT.rounding))
      findings.push({
        rule: 'outputs',
        severity: 'note',
        text: `The outputs add up to ${watts(summed)}; the printed total of ${watts(totalPower)} is the limit. Usual on boxes with several outputs.`,
      });
    else if (summed < totalPower * (1 - AGREEMENT.rounding))
      findings.push({
        rule: 'outputs',
        severity: 'warn',
        text: `The outputs add up to only ${watts(summed)}, but ${watts(totalPower)} is printed as the total.`,
      });
    else
      findings.push({
        rule: 'outputs',
        severity: 'ok',
        text: `The outputs and the printed total of ${watts(totalPower)} agree.`,
      });
  }
  return findings;
}

/** Whether the printed input can feed the printed outputs. */
export function inputFindings(supply: NameplateInput | undefined, needed: number | undefined): NameplateFinding[] {
  if (!supply)
    return [
      {
        rule: 'input',
        severity: 'cannot tell',
        text: 'No input voltage was found in the text. Write it like INPUT 100-240V~ 1.5A.',
      },
    ];
  const stated = supply.current ?? (supply.power === undefined ? undefined : supply.power / supply.vMin);
  if (needed === undefined || stated === undefined)
    return [
      { rule: 'input', severity: 'cannot tell', text: 'Input and output cannot be compared: a current is missing.' },
    ];
  const ratio = needed / stated;
  const facts = `At ${volts(supply.vMin)} the outputs need about ${amperes(needed)}; ${amperes(stated)} is printed.`;
  if (ratio > AGREEMENT.unbelievable)
    return [{ rule: 'input', severity: 'reject', text: `${facts} The output figures are not to be believed.` }];
  if (ratio > AGREEMENT.optimistic)
    return [{ rule: 'input', severity: 'warn', text: `${facts} The output figures are optimistic.` }];
  return [{ rule: 'input', severity: 'ok', text: `${facts} Input and output agree.` }];
}
