import { readCode, type CodeOwner } from '../ident';

/** What the line at the foot of every page understands, whatever else that page's line is for. */
export type EveryLine =
  | { readonly kind: 'help' }
  | { readonly kind: 'undo' }
  | { readonly kind: 'unplugged' }
  | { readonly kind: 'code'; readonly owner: CodeOwner; readonly code: string }
  /** A question of stock, in the words of the stock search. */
  | { readonly kind: 'find'; readonly filter: string };

const HELP = /^(?:\?|help(?: me)?|hilfe|aide|words|what can i (?:say|type))\??$/i;
const UNDO = /^(?:undo(?: (?:it|that|last))?|take (?:it|that) back|rückgängig|annuler)$/i;
const UNPLUGGED =
  /^(?:(?:it(?:'?s| is)? |i |we )?(?:have |just )?unplugged(?: it)?(?: now)?|pulled the plug|unplug(?: it)?|plug(?:ged)? out|power(?:ed)? (?:is )?(?:off|away)(?: now)?|mains off|switched off|off the mains|ausgesteckt|stecker gezogen|débranché)$/i;
const GO = /^(?:(?:go|jump) to|open|show)\s+/i;
const FIND = /^(?:find|search|stock|suche|cherche)\s+(.+)$/i;

/**
 * Reads what any line may say: for help, to undo, that the unit is unplugged, a code off a label, a question of stock.
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
  }
}

/** Examples, for the help of every page. */
export const EVERY_LINE_EXAMPLES: readonly { readonly line: string; readonly means: string }[] = [
  { line: 'help', means: 'shows these examples' },
  { line: 'undo', means: 'undoes the last step' },
  { line: 'unplugged', means: 'the unit that has power on is unplugged' },
  { line: 'find nmos 600V', means: 'asks what the drawers hold' },
];
