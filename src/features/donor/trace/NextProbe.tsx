'use client';

import { useState } from 'react';
import { Shortcuts } from '../../../ui/frame/Shortcuts';
import { Next } from '../../../ui/judgement/parts';
import type { BoardAnswer } from '../../../workers/board.contract';
import type { MeterProbe } from '../shared/useMeterProbe';

/** The probe that would tell most, answered in one key: a beep, none, or a reading. */
export function NextProbe({
  answer,
  isFresh,
  record,
  meter,
}: {
  answer: BoardAnswer;
  isFresh: boolean;
  record: (line: string) => Promise<void>;
  meter: MeterProbe;
}) {
  const [probe] = answer.advice.probes;
  /** The pair a reading is being typed for. */
  const [reading, setReading] = useState<string>();
  if (!probe) return null;
  const pair = `${probe.a} ${probe.b}`;
  const act = (sign: string) => {
    if (isFresh) void record(`${probe.a} ${sign} ${probe.b}`);
  };
  async function read() {
    if (!probe || !isFresh) return;
    if (!meter.isThere || !(await meter.read(probe.a, probe.b))) setReading(pair);
  }
  return (
    <Next
      label="Probe next, it tells most"
      actions={
        <>
          <Shortcuts
            keys={[
              { key: 'j', label: 'the pins asked for beep', press: 'probe-joined' },
              { key: 'x', label: 'they do not', press: 'probe-separate' },
              { key: 'r', label: 'a reading between them', press: 'probe-reading' },
            ]}
          />
          <button id="probe-joined" type="button" className="btn" disabled={!isFresh} onClick={() => act('-')}>
            <kbd>j</kbd> they beep
          </button>
          <button id="probe-separate" type="button" className="btn" disabled={!isFresh} onClick={() => act('x')}>
            <kbd>x</kbd> they do not
          </button>
          <button id="probe-reading" type="button" className="btn" disabled={!isFresh} onClick={() => void read()}>
            <kbd>r</kbd> {meter.isThere ? 'read the meter' : 'a reading'}
          </button>
          {reading === pair ? (
            <ReadingForm
              pair={pair}
              onLeave={() => setReading(undefined)}
              onReading={(text) => record(`${probe.a} ~ ${probe.b} ${text}`).then(() => setReading(undefined))}
            />
          ) : (
            <span className="font-mono text-[12px] text-ink-2">{pair}</span>
          )}
        </>
      }
    >
      {probe.question}
    </Next>
  );
}

function ReadingForm({
  pair,
  onLeave,
  onReading,
}: {
  pair: string;
  onLeave: () => void;
  onReading: (text: string) => Promise<void>;
}) {
  const [text, setText] = useState('');
  return (
    <form
      className="flex items-center gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (text.trim() !== '') void onReading(text.trim());
      }}
    >
      <input
        aria-label={`Reading between ${pair.replace(' ', ' and ')}`}
        autoFocus
        value={text}
        placeholder="0R22 or 0.52V"
        className="w-[120px] rounded-[3px] border border-rule-2 bg-lift px-2 py-1 font-mono"
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Escape') onLeave();
        }}
      />
      <button type="submit" className="btn">
        record it
      </button>
    </form>
  );
}
