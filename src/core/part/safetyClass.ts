/**
 * Classes of capacitors at the mains, as they are printed, with those that are both. X stands across the line, Y from the
 * line to what is touched; Y1 stands for reinforced insulation, Y2 for basic, Y4 for 150 V. Source: IEC 60384-14 (from memory).
 */
export const SAFETY_CLASSES = [
  'x1',
  'x2',
  'x3',
  'y1',
  'y2',
  'y3',
  'y4',
  'x1y1',
  'x1y2',
  'x2y1',
  'x2y2',
  'x1y4',
  'x2y4',
] as const;

/** The numbers of a capacitor's classes; nothing when its subtype is no class. */
export function safetyClassOf(
  subtype: string | null | undefined,
): { readonly x?: number; readonly y?: number } | undefined {
  const [whole, x, y] = /^(?:x([123])?)?(?:y([1-4])?)?$/i.exec(subtype ?? '') ?? [];
  if (!whole) return undefined;
  return {
    ...(/x/i.test(whole) ? { x: Number(x ?? 2) } : {}),
    ...(/y/i.test(whole) ? { y: Number(y ?? 2) } : {}),
  };
}

/** The subtype of printed classes, like `X1` and `Y2`: `x1y2`; of several of one letter the weaker counts. */
export function safetySubtype(classes: readonly string[]): string | undefined {
  const weakest = (letter: string) =>
    classes
      .map((name) => name.toLowerCase())
      .filter((name) => name.startsWith(letter))
      .toSorted()
      .at(-1) ?? '';
  const both = `${weakest('x')}${weakest('y')}`;
  return both === '' ? undefined : both;
}
