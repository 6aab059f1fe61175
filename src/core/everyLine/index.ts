import { readCode, type CodeOwner } from '../ident';

/** What the line at the foot of every page understands, whatever else that page's line is for. */
export type EveryLine =
  | { readonly kind: 'help' }
  | { readonly kind: 'undo' }
  | { readonly kind: 'unplugged' }
  | { readonly kind: 'code'; readonly owner: CodeOwner; readonly code: string }
  /** A question of stock, in the words of the stock search. */
  | { readonly kind: 'find'; readonly filter: string }
  /** A converter out of the drawers, in the words of its sheet. */
  | { readonly kind: 'design'; readonly query: Readonly<Record<string, string>> }
  /** Words to look for in the Guide. */
  | { readonly kind: 'guide'; readonly find: string }
  /** Donors to lay side by side. */
  | { readonly kind: 'compare'; readonly codes: readonly string[] };

const HELP = /^(?:\?|help(?: me)?|hilfe|aide|words|what can i (?:say|type))\??$/i;
const UNDO = /^(?:undo(?: (?:it|that|last))?|take (?:it|that) back|rückgängig|annuler)$/i;
const UNPLUGGED =
  /^(?:(?:it(?:'?s| is)? |i |we )?(?:have |just )?unplugged(?: it)?(?: now)?|pulled the plug|unplug(?: it)?|plug(?:ged)? out|power(?:ed)? (?:is )?(?:off|away)(?: now)?|mains off|switched off|off the mains|ausgesteckt|stecker gezogen|débranché)$/i;
const GO = /^(?:(?:go|jump) to|open|show)\s+/i;
const FIND = /^(?:find|search|stock|suche|cherche)\s+(.+)$/i;

const GUIDE = /^guide\s+(.+?)\??$/i;
const COMPARE = /^compare\s+(.+)$/i;

/** What a code looks like; whether a donor has it is told where they are laid side by side. */
const CODE_LIKE = /^([a-z0-9]{3})-?([a-z0-9]{3})$/iu;

/** `compare K7F-2QM M4D-2TX`, `compare k7f2qm with m4d2tx`; nothing where a word does not look like a code. */
function readCompare(line: string): EveryLine | undefined {
  const words = COMPARE.exec(line)?.[1]
    ?.split(/[\s,;]+|\b(?:with|and|to)\b/iu)
    .filter((word) => word.trim() !== '');
  const codes = words?.flatMap((word) => CODE_LIKE.exec(word)?.slice(1, 3).join('-').toUpperCase() ?? []);
  return codes && codes.length === words?.length ? { kind: 'compare', codes } : undefined;
}

const VOLTS = String.raw`\d+(?:[.,]\d+)?`;
const DESIGN = new RegExp(
  String.raw`^design\s+(?:from\s+)?(?<from>${VOLTS}|mains)\s*(?:v\s*(?:ac)?)?(?:\s*(?:-|–|\.\.|…)\s*(?<high>${VOLTS})\s*v\s*(?:ac)?)?\s*(?:to|into|->|→|>)\s*(?<out>[-−]?\s*${VOLTS})\s*v\s*(?:at|@|,|with)?\s*(?<amps>${VOLTS}\s*m?)a\b(?<rest>.*)$`,
  'iu',
);

/** `design 22-26V to 48V at 1A, ripple 200mV`, `design 24V to 12V 2A floating`. */
function readDesign(line: string): EveryLine | undefined {
  const found = DESIGN.exec(line)?.groups;
  if (!found) return undefined;
  const plain = (text = '') => text.replaceAll(/\s/gu, '').replace(',', '.').replace('−', '-');
  const ripple = /ripple\s*(?:of|under|<|at most)?\s*(?<volts>\d+(?:[.,]\d+)?\s*m?)v/iu.exec(found['rest'] ?? '')
    ?.groups?.['volts'];
  return {
    kind: 'design',
    query: {
      from: /mains/iu.test(found['from'] ?? '') ? 'mains' : `${plain(found['from'])}V`,
      ...(found['high'] ? { to: `${plain(found['high'])}V` } : {}),
      out: `${plain(found['out'])}V`,
      amps: `${plain(found['amps'])}A`,
      ...(ripple === undefined ? {} : { ripple: `${plain(ripple)}V` }),
      ...(/float|isolat/iu.test(found['rest'] ?? '') ? { isolated: 'yes' } : {}),
      ...(/small|compact/iu.test(found['rest'] ?? '') ? { wish: 'small' } : {}),
      ...(/quiet|low[ -]noise/iu.test(found['rest'] ?? '') ? { wish: 'quiet' } : {}),
    },
  };
}

/**
 * Reads what any line may say: for help, to undo, that the unit is unplugged, a code off a label, a question of stock,
 * a converter to be designed.
 * @returns undefined when it is none of these: then it belongs to the line of the page
 */
export function readEveryLine(text: string): EveryLine | undefined {
  const line = text.trim().replace(/[.!]$/, '');
  if (HELP.test(line)) return { kind: 'help' };
  if (UNDO.test(line)) return { kind: 'undo' };
  if (UNPLUGGED.test(line)) return { kind: 'unplugged' };
  const found = readCode(line.replace(GO, ''));
  // Six letters and digits may as well be the number of a part; with its dash or behind “go to” a code is meant.
  if (found && (line.includes('-') || GO.test(line))) return { kind: 'code', ...found };
  const design = readDesign(line);
  if (design) return design;
  const asked = GUIDE.exec(line)?.[1];
  if (asked) return { kind: 'guide', find: asked };
  const compared = readCompare(line);
  if (compared) return compared;
  const filter = FIND.exec(line)?.[1];
  return filter === undefined ? undefined : { kind: 'find', filter };
}

/** What it comes to, before Enter. */
export function everyLineText(read: EveryLine): string {
  switch (read.kind) {
    case 'help':
      return 'show what this line understands';
    case 'undo':
      return 'undo the last step';
    case 'unplugged':
      return 'the unit is unplugged; read every store again';
    case 'code':
      return `go to ${read.owner} ${read.code}`;
    case 'find':
      return `find ${read.filter} in stock`;
    case 'guide':
      return `find ${read.find} in the Guide`;
    case 'compare':
      return read.codes.length > 1
        ? `lay ${read.codes.join(' and ')} side by side`
        : `compare ${read.codes[0] ?? ''} with another`;
    case 'design': {
      const { from, to, out, amps, isolated } = read.query;
      return `design ${from}${to ? ` to ${to}` : ''} in, ${out} at ${amps} out${isolated ? ', floating' : ''}, from the drawers`;
    }
  }
}

/** Examples, for the help of every page. */
export const EVERY_LINE_EXAMPLES: readonly { readonly line: string; readonly means: string }[] = [
  { line: 'help', means: 'shows these examples' },
  { line: 'undo', means: 'undoes the last step' },
  { line: 'unplugged', means: 'the unit that has power on is unplugged' },
  { line: 'find nmos 600V', means: 'asks what the drawers hold' },
  { line: 'guide snubber', means: 'finds in the rules of the trade' },
  { line: 'compare K7F-2QM M4D-2TX', means: 'lays two donors side by side' },
  { line: 'design 24V to 48V at 1A', means: 'designs a converter out of the drawers' },
];
