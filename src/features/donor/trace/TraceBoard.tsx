'use client';

import { Tabs } from 'radix-ui';
import { useState, type ReactNode } from 'react';
import { firstView, type SchematicView as Shown } from '../../../core/schematic';
import { ActionButton } from '../../../ui/feedback/ActionButton';
import { EmptyState } from '../../../ui/feedback/EmptyState';
import { Halves } from '../../../ui/frame/Halves';
import { recordTracedAction } from './actions';
import type { TracedEntry } from './schema';
import { removeFactAction } from './actions';
import type { FactView, TraceView } from './view.server';
import { BoardFiles } from './BoardFiles';
import { BoardPhotoView } from './photo/BoardPhotoView';
import { MeterLatch } from '../shared/MeterLatch';
import { PinTable } from './PinTable';
import { PowerWalk } from './PowerWalk';
import { SchematicTab } from './schematic/SchematicTab';
import { TraceJudgement } from './TraceJudgement';
import { useBoardAnswer } from '../shared/useBoardAnswer';
import { useMeterProbe } from '../shared/useMeterProbe';
import { useCommand } from '../../../ui/command/useCommand';

const TABS = { pins: 'Parts and pins', photo: 'Photo', schematic: 'Schematic', walk: 'Power walk' } as const;
type Tab = keyof typeof TABS;

/** Trace: parts and pins as evidence, the circuit, and what it is. */
export function TraceBoard({
  code,
  model,
  view,
  children,
}: {
  code: string;
  /** Names the unit to a stand-in meter. */
  model: string;
  view: TraceView;
  children: ReactNode;
}) {
  const [chosenView, setChosenView] = useState<Shown>();
  const shown = chosenView ?? firstView(view.board.parts.length);
  const { answer, isFresh, hasFailed, redraw } = useBoardAnswer(view.board, shown);
  const [tab, setTab] = useState<Tab>('pins');
  const [held, setHeld] = useState<string>();
  const { run } = useCommand();
  const record = async (entry: TracedEntry) => void (await run(() => recordTracedAction(code, entry)));
  const probe = useMeterProbe(model, (a, b, finding) => record({ kind: 'join', pins: [a, b], ...finding }));
  const lit = held === undefined ? undefined : answer?.nets[held];
  const isLit = (pin: string) => pin === held || (lit !== undefined && answer?.nets[pin] === lit);

  function touch(pin: string) {
    if (held === undefined || held === pin) setHeld(held === pin ? undefined : pin);
    else if (probe.latched) void probe.read(held, pin);
    else void record({ kind: 'join', relation: 'joined', pins: [held, pin] });
  }

  const isEmpty = view.board.parts.length === 0;
  const ways: Readonly<Record<Tab, () => ReactNode>> = {
    pins: () => <PinTable code={code} view={view} answer={answer} held={held} isLit={isLit} onTouch={touch} />,
    photo: () => (
      <BoardPhotoView
        code={code}
        photos={view.photos}
        parts={view.board.parts}
        held={held}
        asked={answer?.advice.probes.slice(0, 1).flatMap(({ a, b }) => [a, b]) ?? []}
        isLit={isLit}
        onTouch={touch}
      />
    ),
    schematic: () =>
      answer && (
        <SchematicTab
          code={code}
          answer={answer}
          shown={shown}
          measured={view.measured}
          held={held}
          onShow={setChosenView}
          onRedraw={redraw}
          onHold={setHeld}
        />
      ),
    walk: () => answer && <PowerWalk answer={answer} />,
  };

  return (
    <Halves
      judgement={
        <TraceJudgement code={code} view={view} answer={answer} isFresh={isFresh} record={record} probe={probe} />
      }
    >
      {children}
      <Tabs.Root value={tab} onValueChange={(name) => setTab(name as Tab)}>
        <div className="mb-3 flex flex-wrap items-baseline gap-x-5 gap-y-2">
          <Tabs.List
            className="flex items-baseline gap-x-4 whitespace-nowrap sm:gap-x-5"
            aria-label="Ways to see the board"
          >
            {(Object.keys(TABS) as Tab[]).map((name) => (
              <Tabs.Trigger key={name} value={name} className="way">
                {TABS[name]}
              </Tabs.Trigger>
            ))}
          </Tabs.List>
          <MeterLatch probe={probe} />
          {!isFresh && !isEmpty && (
            <span role="status" className="text-[12px] text-ink-2">
              {hasFailed ? 'it could not be worked out; what you entered is kept' : 'working it out'}
            </span>
          )}
        </div>
        <Tabs.Content value={tab}>
          {isEmpty ? (
            <EmptyState title="No part is logged yet">
              Log what you see, one part a line: <span className="font-mono">q1 nmos to-220</span>, then beep pins
              together: <span className="font-mono">q1.d - t1.2</span>. Pins that do not beep are worth a line too:{' '}
              <span className="font-mono">q1.s x br1.-</span>.
            </EmptyState>
          ) : (
            ways[tab]()
          )}
        </Tabs.Content>
      </Tabs.Root>
      {held !== undefined && (tab === 'pins' || tab === 'photo') && (
        <p className="mt-2 flex flex-wrap items-center gap-3 text-[13px]" role="status">
          <span>
            One probe is held on <span className="ref">{held}</span>:{' '}
            {probe.latched ? 'touch a pin, and the meter is read.' : 'touch every pin that beeps.'}
          </span>
          <button
            type="button"
            className="btn"
            data-tone="small"
            onClick={() => void record({ kind: 'sweep', pin: held }).then(() => setHeld(undefined))}
          >
            nothing else beeps
          </button>
          <button type="button" className="btn" data-tone="quiet" onClick={() => setHeld(undefined)}>
            let go
          </button>
        </p>
      )}
      {view.facts.length > 0 && <FactLog code={code} facts={view.facts} isLit={isLit} />}
      <BoardFiles code={code} />
    </Halves>
  );
}

/** What the meter said last is shown; the rest is folded away. */
const FACTS_SHOWN = 8;

function FactLog({
  code,
  facts,
  isLit,
}: {
  code: string;
  facts: readonly FactView[];
  isLit: (pin: string) => boolean;
}) {
  const [isOpen, setOpen] = useState(false);
  const shown = isOpen ? facts : facts.slice(0, FACTS_SHOWN);
  return (
    <>
      <ul
        aria-label="What the meter said"
        className="dotted mt-4 columns-2 gap-x-8 font-mono text-[12.5px] max-[1099px]:columns-1"
      >
        {shown.map(({ id, when, a, b, message }) => (
          <li key={id} className="grid break-inside-avoid grid-cols-[48px_1fr_auto] gap-x-2 py-1" data-lit={isLit(a)}>
            <span className="text-ink-2">{when}</span>
            <span>
              {a} {b} <span className="text-ink-2">{message}</span>
            </span>
            <ActionButton action={() => removeFactAction(code, id)} tone="small" label={`Drop ${a} ${b} ${message}`}>
              drop
            </ActionButton>
          </li>
        ))}
      </ul>
      {facts.length > FACTS_SHOWN && (
        <button
          type="button"
          className="btn mt-1"
          data-tone="quiet"
          aria-expanded={isOpen}
          onClick={() => setOpen(!isOpen)}
        >
          {isOpen ? 'fold them' : `all ${facts.length}`}
        </button>
      )}
    </>
  );
}
