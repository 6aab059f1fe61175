import { practice } from '../evidence';
import { amounts } from './amounts';

/** A stretch of the text that speaks of the input or of the outputs. */
export interface PlateSection {
  readonly side: 'input' | 'output';
  readonly kind?: 'ac' | 'dc';
  /** Where its content begins and ends in the text. */
  readonly from: number;
  readonly to: number;
}

/** How plates name the two sides. Several languages, since adapters travel. */
const SIDE_WORDS = practice({
  input: [
    'input', 'i/p', 'vin', 'in', 'primary', 'pri', 'supply', 'mains', 'eingang', 'entrada', 'entrée', 'entree', 'ingresso',
    'ingang', 'вход', '输入', '輸入',
  ],
  output: [
    'output', 'o/p', 'vout', 'out', 'secondary', 'sec', 'ausgang', 'salida', 'saída', 'saida', 'sortie', 'uscita', 'uitgang',
    'выход', '输出', '輸出',
  ],
} as const); // oxfmt-ignore

const SIDE = new RegExp(
  String.raw`(?<![\p{L}\d])(?:(AC|DC)[\s-]*)?(${[...SIDE_WORDS.input, ...SIDE_WORDS.output].join('|')})(?!\p{L})(?:\s*(?:no\.?\s*)?[1-9](?=\s*:))?\s*[:.=]?`,
  'giu',
);

/** From here up a voltage is taken for mains where no word says so; below the other, for an output. */
export const MAINS_FROM = 90;
const OUTPUT_BELOW = 60;

/**
 * Cuts a plate's text into what speaks of the input and what of the outputs. The words do it; without
 * them the first low voltage behind a mains voltage begins the outputs. Spans of the words themselves
 * are given too, since they count as read.
 */
export function sections(text: string): { sections: PlateSection[]; words: { from: number; to: number }[] } {
  const marks = [...text.matchAll(SIDE)].map((match) => ({
    side: (SIDE_WORDS.input as readonly string[]).includes((match[2] ?? '').toLowerCase())
      ? ('input' as const)
      : ('output' as const),
    kind: match[1]?.toLowerCase() as 'ac' | 'dc' | undefined,
    at: match.index,
    from: match.index + match[0].length,
  }));
  const words = marks.map(({ at, from }) => ({ from: at, to: from }));
  const found = marks.map(({ side, kind, from }, index): PlateSection => ({
    side,
    from,
    to: marks[index + 1]?.at ?? text.length,
    ...(kind ? { kind } : {}),
  }));
  const headEnd = marks[0]?.at ?? text.length;
  const has = (side: PlateSection['side']) => found.some((section) => section.side === side);
  const head: PlateSection = { side: 'input', from: 0, to: headEnd };
  if (has('input') && has('output')) return { sections: found, words };
  if (has('output')) return { sections: headEnd > 0 ? [head, ...found] : found, words };
  // Only the input is named, or nothing: the voltages tell.
  const from = marks.find(({ side }) => side === 'input')?.from ?? 0;
  const rest: PlateSection = {
    side: 'input',
    from,
    to: text.length,
    ...(found[0]?.kind ? { kind: found[0].kind } : {}),
  };
  const cut = firstLowVoltage(text, from);
  if (cut !== undefined)
    return {
      sections: [
        { ...rest, to: cut },
        { side: 'output', from: cut, to: text.length },
      ],
      words,
    };
  if (has('input')) return { sections: [{ side: 'output', from: 0, to: headEnd }, rest], words };
  const mains = amounts(text).length <= 3 && amounts(text).some(({ unit, mark }) => unit === 'V' && mark === 'ac');
  return { sections: [{ side: mains ? 'input' : 'output', from: 0, to: text.length }], words };
}

/** Where the first low voltage behind a mains voltage begins, with the word AC or DC before it. */
function firstLowVoltage(text: string, from: number): number | undefined {
  const volts = amounts(text).filter(({ unit, at }) => unit === 'V' && at >= from);
  const mains = volts.findIndex(({ values }) => Math.max(...values) >= MAINS_FROM);
  const first =
    mains < 0 ? undefined : volts.slice(mains + 1).find(({ values }) => Math.abs(values[0] ?? 0) < OUTPUT_BELOW);
  return (
    first &&
    first.at - (/(?:(?:USB|type)[\w\s-]*:\s*|(?:DC|AC)[\s:]*)$/i.exec(text.slice(0, first.at))?.[0].length ?? 0)
  );
}
