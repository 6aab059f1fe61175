import { DisjointSets } from '../board';
import { isReservoirPart, SUPPLY_RESISTOR_AT_MOST, TRANSISTOR_TERMINALS, type Recognition } from '../topology';

/** Rails with a filter choke, a small resistor, a regulator or a pass transistor between lie on one side of the common rail. */
export function sameSign({ model }: Recognition): (rail: number) => number {
  const { elements, held, board, rails } = model;
  const sets = new DisjointSets(rails.count);
  const join = (a: number, b: number) => {
    if (a >= 0 && b >= 0 && held.isHeld(a) && held.isHeld(b)) sets.union(a, b);
  };
  for (const { part, a, b } of elements.inductive) if (part.kind === 'inductor') join(a, b);
  for (const part of board.parts) {
    if (part.kind === 'regulator') join(rails.at(part, 'IN'), rails.at(part, 'OUT'));
    if (part.kind === 'resistor' && (part.value?.resistance ?? Infinity) <= SUPPLY_RESISTOR_AT_MOST) {
      const [a, b] = [rails.at(part, '1'), rails.at(part, '2')];
      if (!elements.capacitors.some((other) => [a, b].includes(other.a) && [a, b].includes(other.b))) join(a, b);
    }
    const terminals = part.kind === 'npn' || part.kind === 'pnp' ? TRANSISTOR_TERMINALS[part.kind] : undefined;
    if (
      terminals &&
      elements.switches.some(
        (element) =>
          element.part === part &&
          !elements.capacitors.some(
            ({ polarised, a, b }) =>
              polarised && [element.hi, element.lo].includes(a) && [element.hi, element.lo].includes(b),
          ),
      )
    )
      join(rails.at(part, terminals.hi), rails.at(part, terminals.lo));
  }
  const neighbours = (rail: number) =>
    elements.capacitors.flatMap(({ a, b, polarised }) => (polarised ? (a === rail ? [b] : b === rail ? [a] : []) : []));
  const storesWith = (rail: number) =>
    elements.capacitors.flatMap(({ part, a, b }) =>
      isReservoirPart(part) ? (a === rail ? [b] : b === rail ? [a] : []) : [],
    );
  for (const part of board.parts) {
    if (part.kind !== 'resistor' || (part.value?.resistance ?? 0) < START_UP_AT_LEAST) continue;
    const [a, b] = [rails.at(part, '1'), rails.at(part, '2')];
    const isFed = (supply: number, rail: number) =>
      neighbours(rail).some((other) => other !== supply && storesWith(supply).includes(other));
    if ((isFed(a, b) || isFed(b, a)) && !storesWith(a).includes(b)) join(a, b);
  }
  return (rail) => (rail < 0 ? rail : sets.find(rail));
}

/** A resistor from one rail to another that both have their store against a third feeds it: a start-up resistor. */
const START_UP_AT_LEAST = 10e3;

/** Rails between two capacitors that stand one on the other, with nothing else to hold them. */
export function stackedRails({ model }: Recognition): readonly { middle: number; ends: readonly number[] }[] {
  const { elements, rails, board } = model;
  const ends = new Map<number, Map<number, '+' | '-'>>();
  const note = (rail: number, other: number, sign: '+' | '-') =>
    ends.set(rail, (ends.get(rail) ?? new Map<number, '+' | '-'>()).set(other, sign));
  for (const { a, b, polarised } of elements.capacitors) {
    if (!polarised) continue;
    note(a, b, '+');
    note(b, a, '-');
  }
  const isBalanced = (middle: number, rail: number) =>
    board.parts.some(
      (part) =>
        part.kind === 'resistor' &&
        ['1', '2'].every((pin) => [middle, rail].includes(rails.at(part, pin))) &&
        rails.at(part, '1') !== rails.at(part, '2'),
    );
  return [...ends].flatMap(([middle, others]) => {
    if (others.size !== 2) return [];
    const [first = -1, second = -1] = others.keys();
    const isStack =
      others.get(first) !== others.get(second) || (isBalanced(middle, first) && isBalanced(middle, second));
    const isHeldOtherwise = rails
      .on(middle)
      .some(
        ({ part }) =>
          ['ic', 'bridge', 'diode', 'dual-diode', 'nmos', 'npn', 'regulator'].includes(part.kind) ||
          (part.kind === 'connector' && part.role === 'output'),
      );
    return isStack && !isHeldOtherwise ? [{ middle, ends: [first, second] }] : [];
  });
}
