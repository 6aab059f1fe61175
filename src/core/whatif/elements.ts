import type { Coupling, Element } from '../circuit';
import type { PowerPart } from './part';

/** A gate of a switch within a period, seconds: when it closes, and for how long. */
export interface Gate {
  readonly delay: number;
  readonly width: number;
  /** It comes again after so long, where that is not the period. */
  readonly every?: number;
}

/** Drop of the body diode of a MOSFET, volts, and its resistance; common practice, no source. */
const BODY = { drop: 0.8, ohms: 0.02 } as const;
/** What a switch lets through that is open, ohms. */
const OPEN = 1e7;
const EDGE = 1e-9;
/** What a core has left of its inductance once it is saturated; common practice, no source. */
const SATURATED = 0.05;
/** A coupling closer than that is reckoned as that. */
const CLOSEST = 0.99999;

/** The returns of both sides are one node: nothing flows between them, and their volts are told against their own. */
export const nodeOf = (net: string): string => (net === '0' || net === 's0' ? '0' : net.toLowerCase());

/** Names of the elements that a part is made of, for reading its current and the volts across it. */
export const elementOf = (ref: string, piece = ''): string => `${ref.toLowerCase()}${piece}`;

const gateNode = (ref: string) => `gate_${ref.toLowerCase()}`;

/** The elements of a circuit's parts, with the sources that drive its gates. @param period of the gates, seconds */
export function elementsOf(
  parts: readonly PowerPart[],
  gates: Readonly<Record<string, Gate>>,
  period: number,
): { readonly elements: readonly Element[]; readonly couplings: readonly Coupling[] } {
  const elements: Element[] = [];
  const couplings: Coupling[] = [];
  const line = 0;
  for (const part of parts) {
    const { ref, drawn, model } = part;
    const at = (pin: string) => nodeOf(drawn.pins[pin] ?? '0');
    const name = elementOf(ref);
    const inner = (piece: string) => `${name}_${piece}`;
    const resistance = (piece: string, a: string, b: string, ohms: number) =>
      elements.push({ kind: 'R', name: elementOf(ref, piece), a, b, line, ohms });
    switch (model.kind) {
      case 'resistor':
      case 'link':
        elements.push({ kind: 'R', name, a: at('1'), b: at('2'), line, ohms: model.ohms });
        break;
      case 'load':
        elements.push({ kind: 'R', name, a: at('+'), b: at('-'), line, ohms: model.ohms });
        break;
      case 'capacitor': {
        const [plus, minus] = model.isPolarised ? [at('+'), at('-')] : [at('1'), at('2')];
        const middle = model.ohms > 0 ? inner('esr') : minus;
        elements.push({ kind: 'C', name, a: plus, b: middle, line, farads: model.farads, start: model.start });
        if (model.ohms > 0) resistance('.esr', middle, minus, model.ohms);
        break;
      }
      case 'choke': {
        const middle = model.ohms > 0 ? inner('dcr') : at('2');
        elements.push({
          kind: 'L',
          name,
          a: at('1'),
          b: middle,
          line,
          henries: model.henries,
          start: undefined,
          ...saturating(model),
        });
        if (model.ohms > 0) resistance('.dcr', middle, at('2'), model.ohms);
        break;
      }
      case 'transformer': {
        const factor = Math.min(CLOSEST, Math.sqrt(Math.max(0, 1 - model.leakage / model.henries)));
        model.windings.forEach(({ pins: [dot, end], turns, ohms }, index) => {
          const middle = ohms > 0 ? inner(`w${index + 1}`) : at(end);
          const henries = model.henries * turns ** 2;
          elements.push({
            kind: 'L',
            name: elementOf(ref, `.${index + 1}`),
            a: at(dot),
            b: middle,
            line,
            henries,
            start: undefined,
            ...(index === 0 ? saturating(model) : {}),
          });
          if (ohms > 0) resistance(`.r${index + 1}`, middle, at(end), ohms);
          for (let other = 0; other < index; other += 1)
            couplings.push({
              name: `${name}.k${other + 1}${index + 1}`,
              first: elementOf(ref, `.${other + 1}`),
              second: elementOf(ref, `.${index + 1}`),
              factor,
              line,
            });
        });
        break;
      }
      case 'diode': {
        const { drop, ohms, zener, junction } = model;
        elements.push({ kind: 'D', name, a: at('A'), b: at('K'), line, drop, ohms });
        if (junction) {
          const stored = { kind: 'C', name: elementOf(ref, '.j'), farads: junction.farads, start: undefined } as const;
          elements.push({ ...stored, a: at('A'), b: inner('j'), line });
          resistance('.damping', inner('j'), at('K'), junction.ohms);
        }
        if (zener !== undefined)
          elements.push({ kind: 'D', name: elementOf(ref, '.z'), a: at('K'), b: at('A'), line, drop: zener, ohms });
        break;
      }
      case 'bridge': {
        const { drop, ohms } = model;
        const ways = [
          ['AC1', '+'],
          ['AC2', '+'],
          ['-', 'AC1'],
          ['-', 'AC2'],
        ] as const;
        ways.forEach(([from, to], index) => {
          const ends = { name: elementOf(ref, `.${index + 1}`), a: at(from), b: at(to), line } as const;
          const state = index === 0 ? model.leg : undefined;
          if (state === 'shorted') elements.push({ kind: 'R', ...ends, ohms });
          else if (state === undefined) elements.push({ kind: 'D', ...ends, drop, ohms });
        });
        break;
      }
      case 'mosfet': {
        const gate = { plus: gateNode(ref), minus: '0', on: model.ohms, off: OPEN, threshold: 0.5 };
        const ends = { name, a: at('D'), b: at('S'), line, ...gate } as const;
        elements.push(model.isBipolar ? { kind: 'S', ...ends, hysteresis: 0 } : { kind: 'M', ...ends, body: BODY });
        if (model.farads > 0) {
          const stored = { kind: 'C', name: elementOf(ref, '.oss'), farads: model.farads, start: undefined } as const;
          elements.push({ ...stored, a: at('D'), b: inner('oss'), line });
          resistance('.damping', inner('oss'), at('S'), model.damping);
        }
        elements.push(gateOf(ref, gates[ref], period));
        break;
      }
      case 'triac': {
        // A switch for each half of the wave: the diode behind it lets go when the current ends.
        const gate = { plus: gateNode(ref), minus: '0', on: model.ohms / 2, off: OPEN, threshold: 0.5, hysteresis: 0 };
        for (const [piece, from, to] of [
          ['a', 'MT2', 'MT1'],
          ['b', 'MT1', 'MT2'],
        ] as const) {
          elements.push({ kind: 'S', name: elementOf(ref, `.s${piece}`), a: at(from), b: inner(piece), line, ...gate });
          const half = { drop: model.drop, ohms: model.ohms / 2 };
          elements.push({ kind: 'D', name: elementOf(ref, `.${piece}`), a: inner(piece), b: at(to), line, ...half });
        }
        elements.push(gateOf(ref, gates[ref], period));
        break;
      }
      case 'supply': {
        const { volts, ohms, henries } = model;
        const isStiff = ohms === 0;
        const behind = isStiff ? at('+') : inner('lead');
        elements.push({ kind: 'V', name, a: behind, b: at('-'), line, course: { kind: 'dc', value: volts } });
        if (isStiff) break;
        const wire = { a: behind, b: inner('wire'), line, henries, start: undefined } as const;
        elements.push({ kind: 'L', name: elementOf(ref, '.lead'), ...wire });
        resistance('.ohms', inner('wire'), at('+'), ohms);
        break;
      }
      case 'mains':
        elements.push({
          kind: 'V',
          name,
          a: inner('line'),
          b: at('N'),
          line,
          course: { kind: 'sine', offset: 0, amplitude: model.rms * Math.SQRT2, frequency: model.hertz },
        });
        resistance('.ohms', inner('line'), at('L'), model.ohms);
        break;
      case 'controller':
        break;
    }
  }
  return { elements, couplings };
}

const saturating = ({ henries, saturates }: { readonly henries: number; readonly saturates?: number }) =>
  saturates === undefined ? {} : { saturation: { amperes: saturates, henries: SATURATED * henries } };

/** What drives the gate of a switch; one that is not driven, or always, is held. */
function gateOf(ref: string, gate: Gate | undefined, period: number): Element {
  const ends = { kind: 'V', name: `v${gateNode(ref)}`, a: gateNode(ref), b: '0', line: 0 } as const;
  if (!gate || gate.width <= 2 * EDGE) return { ...ends, course: { kind: 'dc', value: 0 } };
  if (gate.width >= period - 2 * EDGE) return { ...ends, course: { kind: 'dc', value: 1 } };
  const { delay, width, every = period } = gate;
  return {
    ...ends,
    // The switch changes at the middle of an edge.
    course: { kind: 'pulse', low: 0, high: 1, delay, rise: EDGE, fall: EDGE, width: width - EDGE, period: every },
  };
}
