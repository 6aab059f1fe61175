'use client';

import { useRouter } from 'next/navigation';
import { readCode } from '../../../core/ident';
import {
  filterProblemText,
  parseFilter,
  readStockOrder,
  STOCK_ORDERS,
  stockOrderText,
  type StockOrder,
} from '../../../core/stock';
import { useNotice, useTakeBack } from '../../../ui/feedback/Notices';
import { CommandLine, type CommandPreview } from '../../../ui/frame/CommandLine';
import { Shortcuts } from '../../../ui/frame/Shortcuts';
import { moveToBinAction, splitLotAction, takePiecesAction } from '../lot/actions';
import { latestStepAction } from './actions';

const PLACE = { donor: '/donors', lot: '/stock', build: '/builds' } as const;
const KEYS = [{ key: '/', label: 'find a part or jump to a code', focus: 'find-line' }];

const isUndo = (text: string) => text.trim().toLowerCase() === 'undo';

/** The line at the foot of screens that belong to no donor: a code off a label jumps, anything else is asked of stock. */
export function FindLine() {
  const router = useRouter();
  const notify = useNotice();
  const takeBack = useTakeBack();
  const bare = (text: string) => text.trim().replace(/^find\s+/i, '');

  function preview(text: string): CommandPreview {
    if (isUndo(text)) return { ok: true, message: 'take the last change of stock back', ghost: '' };
    const order = readStockOrder(text);
    if (order)
      return 'why' in order
        ? { ok: false, message: order.why, ghost: '' }
        : { ok: true, message: stockOrderText(order), ghost: '' };
    const code = readCode(text);
    if (code) return { ok: true, message: `go to ${code.owner} ${code.code}`, ghost: '' };
    const parsed = parseFilter(bare(text));
    return parsed.ok
      ? { ok: true, message: `find ${bare(text)} in stock`, ghost: '' }
      : { ok: false, message: filterProblemText(parsed.problem), ghost: '' };
  }

  /** Does what was ordered; resolves to the refusal, if it was refused. */
  async function obey(order: StockOrder): Promise<string | undefined> {
    const data = new FormData();
    for (const [name, value] of Object.entries(order)) data.set(name, String(value));
    const act = { move: moveToBinAction, take: takePiecesAction, part: splitLotAction }[order.kind];
    const outcome = await act(order.code, data);
    if (!outcome.ok) return outcome.problems.map(({ message }) => message).join(' ');
    notify({ message: outcome.message ?? 'Done.', ...(outcome.undo ? { undo: outcome.undo } : {}) });
    router.refresh();
    return undefined;
  }

  async function enter(text: string) {
    if (isUndo(text)) {
      const step = await latestStepAction();
      if (step === undefined) return 'There is nothing to take back.';
      takeBack(step);
      return undefined;
    }
    const order = readStockOrder(text);
    if (order) return 'why' in order ? order.why : obey(order);
    const code = readCode(text);
    router.push(code ? `${PLACE[code.owner]}/${code.code}` : `/stock?find=${encodeURIComponent(bare(text))}`);
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
      <Shortcuts keys={KEYS} lines={STOCK_ORDERS} />
    </>
  );
}
