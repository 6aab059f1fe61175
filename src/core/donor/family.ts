import type { Donor } from './donor';

/** How one unit is kin to another: the same model, or a variant of it. */
export type Kinship = 'same' | 'variant';

const plain = (text: string) => text.toUpperCase().replaceAll(/[^A-Z0-9]/gu, '');
/** A model without what stands for a revision or a plug: letters at its end, or a number behind a stroke, a dot or `rev`. */
const stem = (model: string) =>
  plain(
    model
      .replace(/\s*\b(?:rev|ver|v)\.?\s*[\w.]+$/iu, '')
      .replace(/[/.]\s*\w{1,3}$/u, '')
      .replace(/(?<=\d)[-\s]?[A-Za-z]{1,2}$/u, ''),
  );

/** A stem that is shorter says too little. */
const LEAST = 4;

/** Whether two units are kin by maker and model; nothing where either is not known. */
export function kinship(a: Pick<Donor, 'maker' | 'model'>, b: Pick<Donor, 'maker' | 'model'>): Kinship | undefined {
  const [one, other] = [plain(a.model), plain(b.model)];
  if (one === '' || other === '' || plain(a.maker) !== plain(b.maker)) return undefined;
  if (one === other) return 'same';
  const [base, otherBase] = [stem(a.model), stem(b.model)];
  return base.length >= LEAST && base === otherBase ? 'variant' : undefined;
}
