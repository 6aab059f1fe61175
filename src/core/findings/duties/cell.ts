import type { FoundStage, Recognition } from '../../topology';
import type { Duty } from './duty';

/** Rectifiers of converters without a barrier: they carry the choke's current on when the switch opens. */
export function cellDuties(
  { form, topology, rectifiers, outputs, sources, magnetics }: FoundStage,
  { model }: Recognition,
): readonly Duty[] {
  if (!['cell', 'sepic', 'cuk'].includes(form)) return [];
  const { elements, held } = model;
  const [out = -1] = outputs;
  return elements.rectifiers
    .filter(
      ({ part, from, to, isBody }) => !isBody && rectifiers.includes(part) && held.isHeld(from) !== held.isHeld(to),
    )
    .flatMap((element) => {
      const still = held.isHeld(element.from) ? element.from : element.to;
      const swinging = still === element.from ? element.to : element.from;
      const because = `it should carry ${magnetics[0]?.ref ?? 'the choke'}’s current on when the switch opens`;
      if (still === out) {
        const common = commonOf(out, sources, model);
        return common === undefined ? [] : [{ element, high: out, low: common, cathode: out, because }];
      }
      return topology === 'buck' || topology === 'cuk'
        ? [{ element, high: out, low: still, cathode: swinging, because }]
        : [];
    });
}

/** The rail that input and output share: the one the output's capacitors lead to. */
function commonOf(out: number, sources: readonly number[], { elements }: Recognition['model']): number | undefined {
  const total = (rail: number) =>
    elements.capacitors
      .filter(({ a, b }) => (a === out && b === rail) || (b === out && a === rail))
      .reduce((sum, { part }) => sum + (part.value?.capacitance ?? 1e-6), 0);
  return sources.toSorted((a, b) => total(b) - total(a)).find((rail) => total(rail) > 0);
}
