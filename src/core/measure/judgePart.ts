import type { KindName, RatingName, TestName } from '../part';
import { judgeCapacitor } from './judgeCapacitor';
import type { Judgement, Measured } from './judgement';
import { judgeResistor } from './judgeResistor';
import { judgeDiode, judgeMosfet } from './judgeSemiconductor';

export interface PartUnderTest {
  readonly kind: KindName;
  readonly test: TestName;
  readonly subtype?: string | null;
  readonly package?: string | null;
  readonly technology?: string | null;
  readonly ratings: Partial<Record<RatingName, number>>;
  readonly damage: readonly string[];
}

/** Cases that only wet or polymer electrolytics come in. */
const CAN_PACKAGES = ['radial', 'snap-in', 'SMD can'];
/** From this size a capacitor of unknown build is an electrolytic. Common practice, no source. */
const ELECTROLYTIC_FROM = 1e-6;

/** The judgement of one measurement of a part, by the test that its kind calls for. */
export function judgePart(
  part: PartUnderTest,
  values: Readonly<Record<string, Measured>>,
  inCircuit: boolean,
): Judgement {
  const { damage, ratings } = part;
  switch (part.test) {
    case 'capacitor':
      return judgeCapacitor({
        capacitance: values.capacitance,
        esr: values.esr,
        nominal: {
          capacitance: ratings.capacitance,
          voltage: ratings.voltage,
          tolerance: ratings.tolerance,
          esr: ratings.esr,
        },
        electrolytic: isElectrolytic(part),
        ...(part.subtype === 'polymer' ? { series: 'polymer' as const } : {}),
        damage,
        inCircuit,
      });
    case 'mosfet':
      return judgeMosfet({ body: values.body, blocking: values.blocking, gate: values.gate, damage, inCircuit });
    case 'diode':
      return judgeDiode({
        forward: values.forward,
        reverse: values.reverse,
        technology: part.kind === 'bridge' ? 'rectifier' : (part.subtype ?? part.technology ?? undefined),
        damage,
        inCircuit,
      });
    case 'resistor':
      return judgeResistor({
        resistance: values.resistance,
        nominal: ratings.resistance,
        tolerance: ratings.tolerance,
        damage,
        inCircuit,
      });
  }
}

function isElectrolytic({ subtype, package: case_, ratings }: PartUnderTest): boolean {
  if (subtype) return subtype === 'electrolytic' || subtype === 'polymer';
  if (case_ && CAN_PACKAGES.includes(case_)) return true;
  return (ratings.capacitance ?? 0) >= ELECTROLYTIC_FROM;
}
