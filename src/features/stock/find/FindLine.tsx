'use client';

import { useRouter } from 'next/navigation';
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

const LINES = [...EVERY_LINE_EXAMPLES, ...STOCK_COMMANDS];
const KEYS = [{ key: '/', label: 'find a part or jump to a code', focus: 'find-line' }];

/**
 * The line at the foot of screens that belong to no donor: a code off a label jumps, anything else is asked of stock.
 * @param unplug says that the unit with power on is unplugged
 */
export function FindLine({ unplug }: { unplug: () => Promise<FormOutcome> }) {
  const router = useRouter();
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
        placeholder="find nmos 600V"
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
