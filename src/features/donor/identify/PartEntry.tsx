'use client';

import { useEffect, useId, useRef, useState } from 'react';
import { BLOCK_NAMES, BLOCKS, DAMAGE_WORDS, FITMENT_NAMES, KIND_NAMES, kindRule, PACKAGES } from '../../../core/part';
import { ActionForm } from '../../../ui/form/ActionForm';
import { SelectField, SubmitButton, TextField } from '../../../ui/form/fields';
import type { FormOutcome } from '../../../ui/form/outcome';
import { logPartAction, readMarkingAction } from './actions';
import type { MarkingPreview } from './markingPreview.server';
import { PointingTray } from './PointingTray';

const KINDS = [
  { value: '', label: 'by reference' },
  ...KIND_NAMES.map((kind) => ({ value: kind, label: kindRule(kind).label })),
];
const BLOCK_CHOICES = [
  { value: '', label: 'not said' },
  ...BLOCK_NAMES.map((name) => ({ value: name, label: BLOCKS[name].label })),
];
const CONDITIONS = [
  { value: '', label: 'looks good' },
  ...[...DAMAGE_WORDS, ...FITMENT_NAMES].map((word) => ({ value: word, label: word })),
];
/** Pause after the last key before a marking is sent to be read, in milliseconds. */
const READING_PAUSE = 220;

/** What stays in the row for the next part. */
interface Kept {
  readonly ref: string;
  readonly kind: string;
  readonly package: string;
  readonly block: string;
}

/** Logs parts row after row by keyboard: the reference counts on, kind, case and block stay. */
export function PartEntry({
  code,
  refs,
  nextRef,
  packages,
}: {
  code: string;
  /** References that are logged already. */
  refs: readonly string[];
  nextRef: string;
  packages: readonly string[];
}) {
  const listId = useId();
  const holder = useRef<HTMLDivElement>(null);
  const [kept, setKept] = useState<Kept>({ ref: nextRef, kind: '', package: '', block: '' });
  const [pointing, setPointing] = useState(false);
  const { preview, ask } = useMarkingPreview(code, holder);

  async function log(data: FormData): Promise<FormOutcome> {
    const outcome = await logPartAction(code, data);
    if (!outcome.ok) return outcome;
    const said = (name: string) => String(data.get(name) ?? '');
    const same = data.get('same') !== null;
    setKept({
      ref: counted(said('ref'), Number(said('count')) || 1),
      kind: same ? '' : said('kind'),
      package: same ? '' : said('package'),
      block: said('block'),
    });
    return outcome;
  }

  return (
    <div
      ref={holder}
      onInput={ask}
      onFocus={({ target }) => {
        // The reference that was counted on is typed over, not added to.
        if (target instanceof HTMLInputElement && target.name === 'ref') target.select();
      }}
    >
      <ActionForm
        action={log}
        label="Log a part"
        className="-mt-1 grid grid-cols-[64px_1fr_92px_1.3fr_1.3fr] gap-y-0 [&_.field>p:empty]:hidden items-start gap-x-2.5 max-[620px]:grid-cols-2"
        clearAfter
      >
        <TextField name="ref" label="part" placeholder="Q1" mono defaultValue={kept.ref} />
        <SelectField name="kind" label="kind" options={KINDS} defaultValue={kept.kind} />
        <TextField name="package" label="case" placeholder="TO-220" list={listId} defaultValue={kept.package} />
        <TextField name="values" label="values as printed" placeholder="82u 400V 105C" mono />
        <TextField name="marking" label="marking, ? for what is worn off" placeholder="12N65" mono />
        <div className="col-span-full mt-1 grid grid-cols-[104px_120px_64px_1fr] items-start gap-x-2.5 max-[620px]:grid-cols-2">
          <SelectField name="block" label="block" options={BLOCK_CHOICES} defaultValue={kept.block} />
          <SelectField name="condition" label="condition" options={CONDITIONS} defaultValue="" />
          <TextField name="count" label="how many" defaultValue="1" mono />
          <div className="flex flex-wrap items-center gap-2 pt-[21px]">
            <SubmitButton>Log it</SubmitButton>
            <SubmitButton name="same" value="same" tone="quiet">
              like the one above
            </SubmitButton>
            <button
              type="button"
              className="btn"
              data-tone="quiet"
              aria-expanded={pointing}
              onClick={() => setPointing(!pointing)}
            >
              {pointing ? 'close the keys' : 'point instead of typing'}
            </button>
          </div>
        </div>
        <datalist id={listId}>
          {[...new Set([...packages, ...PACKAGES.map(({ name }) => name)])].map((name) => (
            <option key={name} value={name} />
          ))}
        </datalist>
      </ActionForm>
      {pointing && <PointingTray refs={refs} form={holder} onChange={ask} />}
      <LiveDecoding preview={preview} />
    </div>
  );
}

/** `C12` behind one part `C11`, `C14` behind three. */
function counted(ref: string, count: number): string {
  const [, letters = '', number = ''] = /^([a-z]+)(\d+)$/i.exec(ref.trim()) ?? [];
  return number ? `${letters.toUpperCase()}${Number(number) + count}` : '';
}

/** Asks the server what the marking may mean, a moment after the last key. */
function useMarkingPreview(code: string, holder: React.RefObject<HTMLDivElement | null>) {
  const [preview, setPreview] = useState<MarkingPreview | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const latest = useRef(0);
  useEffect(() => () => clearTimeout(timer.current), []);

  function ask() {
    clearTimeout(timer.current);
    timer.current = setTimeout(() => {
      const form = holder.current?.querySelector('form');
      if (!form) return;
      const data = new FormData(form);
      const text = (name: string) => String(data.get(name) ?? '');
      const marking = text('marking').trim();
      const asked = (latest.current += 1);
      if (marking === '') {
        setPreview(null);
        return;
      }
      void readMarkingAction(code, {
        marking,
        kind: text('kind') as '',
        package: text('package').toUpperCase(),
        block: text('block') as '',
      })
        // An answer to what stood there before must not take the place of a newer one.
        .then((answer) => asked === latest.current && setPreview(answer))
        .catch(() => setPreview(null));
    }, READING_PAUSE);
  }
  return { preview, ask };
}

function LiveDecoding({ preview }: { preview: MarkingPreview | null }) {
  return (
    <div
      aria-live="polite"
      aria-label="What the marking may mean"
      className="mt-1.5 min-h-[20px] text-[13px]"
      role="status"
    >
      {preview && (
        <>
          <p>
            <span className="mr-1.5 font-mono">{preview.marking}</span>
            {preview.decodings.length === 0
              ? 'is known to no rule'
              : preview.decodings.map(({ kind, why, percent }, index) => (
                  <span key={why} className={index === 0 ? '' : 'text-ink-2'}>
                    {index > 0 && ' · '}
                    <span className="q">{percent}</span> {kind}, {why}
                  </span>
                ))}
          </p>
          {preview.known && (
            <p>
              The shop knows it: <b className="font-semibold">{preview.known}</b>
            </p>
          )}
          {preview.tell && <p className="text-ink-2">To tell them apart: {preview.tell}</p>}
          {preview.misfit && (
            <p className="text-stop">
              {preview.misfit}
              {preview.instead && ` What would fit: ${preview.instead}.`}
            </p>
          )}
        </>
      )}
    </div>
  );
}
