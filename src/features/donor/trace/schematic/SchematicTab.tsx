'use client';

import { useCallback, useMemo, useState } from 'react';
import Link from '../../../../ui/frame/Link';
import { splitPin } from '../../../../core/board';
import { counted, formatQuantity } from '../../../../core/quantity';
import type { SchematicView as Shown } from '../../../../core/schematic';
import { routes } from '../../../../routes';
import { Shortcuts } from '../../../../ui/frame/Shortcuts';
import type { BoardAnswer } from '../../../../workers/board.contract';
import { SchematicView } from './SchematicView';
import type { PartNote, WireNote } from './notes';

const KEYS = [
  { key: 'v', label: 'show expected volts', press: 'show-volts' },
  { key: 'f', label: 'schematic over the full width', press: 'full-width' },
] as const;

const NONE: readonly string[] = [];

/** The schematic with what of it is shown: the whole, the control folded, or a section; what is told at its parts and wires. */
export function SchematicTab({
  code,
  answer,
  shown,
  measured,
  held,
  onShow,
  onRedraw,
  onHold,
}: {
  code: string;
  answer: BoardAnswer;
  shown: Shown;
  /** What was measured of parts, in words. */
  measured: Readonly<Record<string, string>>;
  /** The pin that is held, whose net is lit. */
  held: string | undefined;
  onShow: (view: Shown) => void;
  onRedraw: () => void;
  onHold: (pin: string | undefined) => void;
}) {
  const [hasVolts, setHasVolts] = useState(false);
  const [isLarge, setIsLarge] = useState(false);
  const { drawn, nets, findings, rails } = answer;
  const { sections, blocks, schematic } = drawn;
  const unfolded = shown.kind === 'folded' ? shown.unfolded : NONE;
  /** What stands on the sheet for a part: itself, or the box it is folded into. */
  const onSheet = useCallback(
    (ref: string) => blocks.find(({ title, refs }) => refs.includes(ref) && !unfolded.includes(title))?.title ?? ref,
    [blocks, unfolded],
  );
  const notes = useMemo((): readonly PartNote[] => {
    const found = findings.flatMap(({ parts, message, advice }, index) =>
      [...new Set(parts.map(onSheet))].map((ref) => ({
        ref,
        sign: String(index + 1),
        message: `${message} ${advice}`,
      })),
    );
    return [
      ...found,
      ...Object.entries(measured).map(([ref, message]) => ({
        ref: onSheet(ref),
        sign: 'm',
        message: `${ref}: ${message}`,
      })),
    ];
  }, [findings, measured, onSheet]);
  const volts = useMemo(
    (): readonly WireNote[] =>
      rails.flatMap(({ at, volts: expected, most, why, isGuess }) => {
        const net = nets[at];
        const told = expected ?? most;
        if (net === undefined || told === undefined) return [];
        const size = formatQuantity(told, 'volt', { digits: 3 });
        const text = expected === undefined ? `≤ ${size}` : isGuess ? `≈ ${size}` : size;
        return [{ net, text, message: `${at}: ${expected === undefined ? 'at most' : 'about'} ${size}, ${why}` }];
      }),
    [rails, nets],
  );
  // A stage may be gone since it was chosen: then the whole board is drawn.
  const isThere = shown.kind !== 'section' || sections.some(({ id }) => id === shown.id);
  const chosen = !isThere ? 'whole' : shown.kind === 'section' ? shown.id : shown.kind;
  const firstPin = (is: (pin: string) => boolean) => Object.keys(nets).find(is);
  const fold = (title: string) =>
    onShow({
      kind: 'folded',
      unfolded: unfolded.includes(title) ? unfolded.filter((one) => one !== title) : [...unfolded, title],
    });

  return (
    <div data-full={isLarge || undefined}>
      <Shortcuts keys={[...KEYS]} />
      <div className="mb-2 flex flex-wrap items-center gap-2 text-[13px]">
        <label htmlFor="schematic-view" className="label">
          Show
        </label>
        <select
          id="schematic-view"
          className="btn"
          value={chosen}
          onChange={({ target: { value } }) =>
            onShow(
              value === 'whole'
                ? { kind: 'whole' }
                : value === 'folded'
                  ? { kind: 'folded', unfolded: [] }
                  : { kind: 'section', id: value },
            )
          }
        >
          <option value="whole">every part</option>
          <option value="folded">power path, control in boxes</option>
          {sections.length > 1 &&
            sections.map(({ id, title, refs }) => (
              <option key={id} value={id}>
                {title}, {counted(refs.length, 'part')}
              </option>
            ))}
        </select>
        <button
          id="show-volts"
          type="button"
          className="btn"
          aria-pressed={hasVolts}
          onClick={() => setHasVolts(!hasVolts)}
        >
          <kbd>v</kbd> expected volts
        </button>
        <button
          id="full-width"
          type="button"
          className="btn"
          aria-pressed={isLarge}
          onClick={() => setIsLarge(!isLarge)}
        >
          <kbd>f</kbd> full width
        </button>
        <button type="button" className="btn" data-tone="quiet" onClick={onRedraw}>
          draw it anew
        </button>
        <Link href={routes.sheets(code)} className="underline decoration-dotted">
          sheets to print
        </Link>
      </div>
      <SchematicView
        key={chosen}
        schematic={schematic}
        lit={held === undefined ? undefined : nets[held]}
        chosen={held === undefined ? undefined : onSheet(splitPin(held)[0])}
        notes={notes}
        {...(hasVolts ? { volts } : {})}
        onPart={(ref) => {
          if (blocks.some(({ title }) => title === ref)) fold(ref);
          else onHold(firstPin((pin) => splitPin(pin)[0] === ref));
        }}
        onNet={(net) => onHold(firstPin((pin) => nets[pin] === net))}
      >
        {blocks.length > 0 && (
          <ul className="flex flex-wrap gap-1.5" aria-label="Parts of the control">
            {blocks.map(({ title, refs }) => (
              <li key={title}>
                <button
                  type="button"
                  className="btn"
                  data-tone="small"
                  aria-pressed={unfolded.includes(title)}
                  onClick={() => fold(title)}
                >
                  {unfolded.includes(title) ? `fold ${title}` : `${title}, ${counted(refs.length, 'part')}`}
                </button>
              </li>
            ))}
          </ul>
        )}
      </SchematicView>
    </div>
  );
}
