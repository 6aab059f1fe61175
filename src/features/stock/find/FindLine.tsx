'use client';

import { usePathname, useRouter } from 'next/navigation';
import { EVERY_LINE_EXAMPLES, everyLineText, readEveryLine } from '../../../core/everyLine';
import { readCode } from '../../../core/ident';
import {
  questionInWords,
  questionProblemText,
  readQuestion,
  readStockCommand,
  STOCK_COMMANDS,
  stockCommandText,
  type StockCommand,
} from '../../../core/stock';
import { kindFromWord } from '../../../core/part';
import { readSumLine, type SumLine } from '../../../core/sums';
import { useTakeBack } from '../../../ui/feedback/Notices';
import { CommandLine, type CommandPreview } from '../../../ui/frame/CommandLine';
import { HelpButton } from '../../../ui/frame/HelpButton';
import { openHelp } from '../../../ui/frame/openHelp';
import { Shortcuts } from '../../../ui/frame/Shortcuts';
import type { FormOutcome } from '../../../ui/form/outcome';
import { outcomeText, useCommand } from '../../../ui/command/useCommand';
import { stockCommandAction } from '../lot/actions';
import { latestStepAction } from './actions';
import { routes } from '../../../routes';

const LINES = [
  // What the stock has a word of its own for is told by that.
  ...EVERY_LINE_EXAMPLES.filter(({ line }) => !STOCK_COMMANDS.some((own) => own.line === line)),
  ...STOCK_COMMANDS,
  { line: 'snubber 4M4 100p 3M1', means: 'opens a sum with its values filled in' },
];
const SUM = /^sum\s+/i;

/** A sum that a line names: behind the word “sum”, or where its name is no kind of part, or on the pages of sums. */
function sumIn(text: string, isAmongSums: boolean): SumLine | undefined {
  const isSaid = SUM.test(text);
  if (readEveryLine(text)) return undefined;
  const line = readSumLine(text.replace(SUM, ''), { isLoose: isSaid || isAmongSums });
  if (!line) return undefined;
  const [name = ''] = text.trim().split(/\s+/);
  return isSaid || isAmongSums || (line.sum.id === name.toLowerCase() && !kindFromWord(name)) ? line : undefined;
}

function sumText({ sum, texts, left }: SumLine): string {
  const given = sum.fields.flatMap(({ id, label }) => (texts[id] === undefined ? [] : [`${label} ${texts[id]}`]));
  return `${sum.title}${given.length > 0 ? `: ${given.join(', ')}` : ''}${left.length > 0 ? `; not used: ${left.join(' ')}` : ''}`;
}

const KEYS = [{ key: '/', label: 'find a part or jump to a code', focus: 'find-line' }];

/**
 * The line at the foot of screens that belong to no donor: a code off a label jumps, anything else is asked of stock.
 * @param unplug says that the unit with power on is unplugged
 */
export function FindLine({ unplug }: { unplug: () => Promise<FormOutcome> }) {
  const router = useRouter();
  const isAmongSums = usePathname()?.startsWith(routes.sums()) === true;
  const takeBack = useTakeBack();
  const { run } = useCommand();
  const bare = (text: string) => {
    const every = readEveryLine(text);
    return every?.kind === 'find' ? every.filter : text.trim();
  };

  function preview(text: string): CommandPreview {
    const every = readEveryLine(text);
    if (every?.kind === 'undo') return { ok: true, message: 'undo the last change of stock', ghost: '' };
    if (every && every.kind !== 'find') return { ok: true, message: everyLineText(every), ghost: '' };
    const sum = sumIn(text, isAmongSums);
    if (sum) return { ok: true, message: sumText(sum), ghost: '' };
    const command = readStockCommand(text);
    if (command)
      return 'why' in command
        ? { ok: false, message: command.why, ghost: '' }
        : { ok: true, message: stockCommandText(command), ghost: '' };
    const code = readCode(text);
    if (code) return { ok: true, message: `go to ${code.owner} ${code.code}`, ghost: '' };
    const parsed = readQuestion(bare(text));
    return parsed.ok
      ? { ok: true, message: `find in stock: ${questionInWords(parsed.filter)}`, ghost: '' }
      : { ok: false, message: questionProblemText(parsed.problem), ghost: '' };
  }

  /** Does what was asked; resolves to the refusal, if it was refused. */
  async function execute(command: StockCommand): Promise<string | undefined> {
    const outcome = await run(() => stockCommandAction(command), { refusal: 'shown' });
    return outcome.ok ? undefined : outcomeText(outcome);
  }

  async function enter(text: string) {
    const every = readEveryLine(text);
    if (every?.kind === 'help') {
      openHelp();
      return undefined;
    }
    if (every?.kind === 'unplugged') {
      const outcome = await run(unplug, { refusal: 'shown' });
      return outcome.ok ? undefined : outcomeText(outcome);
    }
    if (every?.kind === 'undo') {
      const step = await latestStepAction();
      if (step === undefined) return 'There is nothing to undo.';
      takeBack(step);
      return undefined;
    }
    if (every?.kind === 'design') {
      router.push(routes.design(every.query));
      return undefined;
    }
    if (every?.kind === 'guide') {
      router.push(routes.guideSearch(every.find));
      return undefined;
    }
    if (every?.kind === 'compare') {
      router.push(routes.compare(every.codes));
      return undefined;
    }
    const sum = sumIn(text, isAmongSums);
    if (sum) {
      router.push(routes.sum(sum.sum.id, sum.texts));
      return undefined;
    }
    const command = readStockCommand(text);
    if (command) return 'why' in command ? command.why : execute(command);
    const code = readCode(text);
    router.push(code ? routes.coded(code) : routes.stock({ find: bare(text) }));
    return undefined;
  }

  return (
    <>
      <CommandLine
        id="find-line"
        label="Find line"
        placeholder={isAmongSums ? 'snubber 4M4 100p 3M1' : 'find nmos 600V'}
        preview={preview}
        onEnter={enter}
        idle={
          <>
            find, move, take, or type a code; <HelpButton>examples and keys</HelpButton>
          </>
        }
      />
      <Shortcuts keys={KEYS} lines={LINES} />
    </>
  );
}
