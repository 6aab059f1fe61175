import { safetyClassOf } from '../../part';
import { kindWithPins, pinOf, pinsOfKind } from './pins';
import type { BenchContext, BenchProblem, BenchRecord, ContextPart, PinRelation } from '../record';
import type { Token } from '../tokens';
import type { NamedPin } from './namedPins';

/** What a line says of pins, as records: parts that had to be logged for it first. */
export type ReadJoin =
  | { readonly records: readonly BenchRecord[]; readonly unplaced: readonly Token[] }
  | { readonly problem: BenchProblem };

export function resolve(
  wanted: readonly NamedPin[],
  of: {
    relation: PinRelation;
    through: string | undefined;
    isSweep: boolean;
    ohms: number | undefined;
    drop: number | undefined;
    unplaced: readonly Token[];
    context: BenchContext;
  },
): ReadJoin {
  const { context, through, relation } = of;
  const assumed = new Map<string, ContextPart>();
  for (const { ref } of wanted) {
    if (context.parts.some((part) => part.ref === ref) || assumed.has(ref)) continue;
    const words = wanted.filter((pin) => pin.ref === ref && pin.word !== '').map(({ word }) => word);
    const kind = kindWithPins(ref, words);
    if (kind === undefined) return { problem: { kind: 'no-part', ref } };
    assumed.set(ref, { ref, kind });
  }
  const partOf = (ref: string) => assumed.get(ref) ?? context.parts.find((part) => part.ref === ref);
  const pins: string[] = [];
  const chains: string[][] = [pins];
  for (const [index, { ref, word, token }] of wanted.entries()) {
    const part = partOf(ref);
    if (!part) continue;
    // A part named whole between two others is in line with them: in at one end, out at the other.
    if (word === '' && index > 0 && index < wanted.length - 1 && relation === 'joined' && isTwoEnded(part)) {
      chains.at(-1)?.push(`${ref}.1`);
      chains.push([`${ref}.2`]);
      continue;
    }
    const name = word === '' ? freeEnd(part, pins) : pinOf(part, word);
    if (name === undefined)
      return word === ''
        ? { problem: { kind: 'unclear', word: token.text, question: `Which pin of ${ref}?`, maybe: [] } }
        : { problem: { kind: 'no-pin', word, ref, pins: pinsOfKind(part.kind) } };
    const pin = `${ref}.${name}`;
    if (chains.some((chain) => chain.includes(pin))) return { problem: { kind: 'same-pin', word: pin } };
    chains.at(-1)?.push(pin);
  }
  const bridged = relation === 'joined' ? chains.map((chain) => fuseAcross(chain, partOf)).find(Boolean) : undefined;
  if (bridged !== undefined)
    return {
      problem: {
        kind: 'unclear',
        word: bridged,
        question: `${bridged} beeps from end to end: that is a whole fuse, no joint. Say what it reads, or that a wire bridges it.`,
        maybe: [
          `${bridged.toLowerCase()} measures 0.1`,
          `${bridged}.1 ~ ${bridged}.2`,
          `# ${bridged} is bridged by a wire`,
        ],
      },
    };
  const logged = [...assumed.values()].map(({ ref, kind }): BenchRecord => ({
    kind: 'part',
    ref,
    partKind: kind,
    fitments: [],
    damage: [],
    ratings: [],
    isAssumed: true,
  }));
  if (of.isSweep) return { records: [...logged, { kind: 'sweep', pin: pins[0] ?? '' }], unplaced: of.unplaced };
  if (through !== undefined && relation !== 'separate') {
    const [one = '', other = ''] = pins;
    const path = context.parts.find((part) => part.ref === through) ?? {
      ref: through,
      kind: kindWithPins(through, ['1', '2']),
    };
    if (path.kind === undefined || pins.length !== 2 || !pinsOfKind(path.kind).includes('1'))
      return { problem: { kind: 'unclear', word: through, question: `Which pins of ${through}?`, maybe: [] } };
    const own: readonly BenchRecord[] = context.parts.some((part) => part.ref === through)
      ? []
      : [{ kind: 'part', ref: through, partKind: path.kind, fitments: [], damage: [], ratings: [], isAssumed: true }];
    return {
      records: [
        ...logged,
        ...own,
        { kind: 'join', relation: 'joined', pins: [one, `${through}.1`] },
        { kind: 'join', relation: 'joined', pins: [`${through}.2`, other] },
      ],
      unplaced: of.unplaced,
    };
  }
  if (chains.length > 1)
    return {
      records: [...logged, ...chains.map((chain): BenchRecord => ({ kind: 'join', relation: 'joined', pins: chain }))],
      unplaced: of.unplaced,
    };
  return {
    records: [
      ...logged,
      {
        kind: 'join',
        relation,
        pins,
        ...(of.ohms === undefined ? {} : { ohms: of.ohms }),
        ...(of.drop === undefined ? {} : { drop: of.drop }),
      },
    ],
    unplaced: of.unplaced,
  };
}

/** The fuse both of whose ends are in a chain of joined pins. */
function fuseAcross(chain: readonly string[], partOf: (ref: string) => ContextPart | undefined): string | undefined {
  const refs = chain.map((pin) => pin.slice(0, pin.indexOf('.')));
  return refs.find((ref, index) => refs.indexOf(ref) !== index && partOf(ref)?.kind === 'fuse');
}

/** The end of a part without polarity that nothing is joined to yet. */
function freeEnd(part: ContextPart, taken: readonly string[]): string | undefined {
  if (!isTwoEnded(part)) return undefined;
  return ['1', '2'].find((name) => !(part.joined ?? []).includes(name) && !taken.includes(`${part.ref}.${name}`));
}

/** Whether a part has two ends that are alike. */
function isTwoEnded(part: ContextPart): boolean {
  const known = pinsOfKind(part.kind);
  const isPlain =
    ['resistor', 'inductor', 'fuse', 'thermistor', 'varistor', 'lamp', 'switch', 'spark-gap', 'diac'].includes(
      part.kind,
    ) ||
    (part.kind === 'capacitor' &&
      (['ceramic', 'film'].includes(part.subtype ?? '') || safetyClassOf(part.subtype) !== undefined));
  return isPlain && known.includes('1');
}
