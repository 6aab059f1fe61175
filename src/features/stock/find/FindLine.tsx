'use client';

import { useRouter } from 'next/navigation';
import { readCode } from '../../../core/ident';
import {
  filterProblemText,
  parseFilter,
  readStockCommand,
  STOCK_COMMANDS,
  stockCommandText,
  type StockCommand,
} from '../../../core/stock';
import { useTakeBack } from '../../../ui/feedback/Notices';
import { CommandLine, type CommandPreview } from '../../../ui/frame/CommandLine';
import { Shortcuts } from '../../../ui/frame/Shortcuts';
import { outcomeText, useCommand } from '../../../ui/command/useCommand';
import { stockCommandAction } from '../lot/actions';
import { latestStepAction } from './actions';
import { routes } from '../../../routes';

const KEYS = [{ key: '/', label: 'find a part or jump to a code', focus: 'find-line' }];

const isUndo = (text: string) => text.trim().toLowerCase() === 'undo';

/** The line at the foot of screens that belong to no donor: a code off a label jumps, anything else is asked of stock. */
export function FindLine() {
  const router = useRouter();
  const takeBack = useTakeBack();
  const { run } = useCommand();
  const bare = (text: string) => text.trim().replace(/^find\s+/i, '');

  function preview(text: string): CommandPreview {
    if (isUndo(text)) return { ok: true, message: 'undo the last change of stock', ghost: '' };
    const command = readStockCommand(text);
    if (command)
      return 'why' in command
        ? { ok: false, message: command.why, ghost: '' }
        : { ok: true, message: stockCommandText(command), ghost: '' };
    const code = readCode(text);
    if (code) return { ok: true, message: `go to ${code.owner} ${code.code}`, ghost: '' };
    const parsed = parseFilter(bare(text));
    return parsed.ok
      ? { ok: true, message: `find ${bare(text)} in stock`, ghost: '' }
      : { ok: false, message: filterProblemText(parsed.problem), ghost: '' };
  }

  /** Does what was asked; resolves to the refusal, if it was refused. */
  async function execute(command: StockCommand): Promise<string | undefined> {
    const outcome = await run(() => stockCommandAction(command), { refusal: 'shown' });
    return outcome.ok ? undefined : outcomeText(outcome);
  }

  async function enter(text: string) {
    if (isUndo(text)) {
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
        placeholder="find nmos >=600V"
        preview={preview}
        onEnter={enter}
        idle={
          <>
            find, move, take, or type a code: <kbd>?</kbd> for words
          </>
        }
      />
      <Shortcuts keys={KEYS} lines={STOCK_COMMANDS} />
    </>
  );
}
