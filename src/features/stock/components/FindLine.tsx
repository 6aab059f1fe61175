'use client';

import { useRouter } from 'next/navigation';
import { readCode } from '../../../core/ident';
import { filterProblemText, parseFilter } from '../../../core/stock';
import { CommandLine, type CommandPreview } from '../../../ui/frame/CommandLine';
import { Shortcuts } from '../../../ui/frame/Shortcuts';

const PLACE = { donor: '/donors', lot: '/stock', build: '/builds' } as const;
const KEYS = [{ key: '/', label: 'find a part or jump to a code', focus: 'find-line' }];

/** The line at the foot of screens that belong to no donor: a code off a label jumps, anything else is asked of stock. */
export function FindLine() {
  const router = useRouter();
  const bare = (text: string) => text.trim().replace(/^find\s+/i, '');

  function preview(text: string): CommandPreview {
    const code = readCode(text);
    if (code) return { ok: true, says: `go to ${code.owner} ${code.code}`, ghost: '' };
    const parsed = parseFilter(bare(text));
    return parsed.ok
      ? { ok: true, says: `find ${bare(text)} in stock`, ghost: '' }
      : { ok: false, says: filterProblemText(parsed.problem), ghost: '' };
  }

  async function enter(text: string) {
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
            find a part or type a code off a label, <kbd>?</kbd> keys
          </>
        }
      />
      <Shortcuts keys={KEYS} />
    </>
  );
}
