'use client';

import type { TracedEntry } from './schema';
import { useState } from 'react';
import type { FirstStep, Sweep } from '../../../core/topology';
import { parseQuantity, problemText } from '../../../core/quantity';
import { Shortcuts } from '../../../ui/frame/Shortcuts';
import { Next } from '../../../ui/judgement/parts';
import type { BoardAnswer } from '../../../workers/board.contract';
import type { MeterProbe } from '../shared/useMeterProbe';

/** With less than this many bits open no probe is worth its minute. */
const SETTLED = 0.05;

/** The probe that would tell most, answered in one key: a beep, none, or a reading. */
export function NextProbe({
  answer,
  step,
  isWhole,
  isFresh,
  record,
  meter,
}: {
  answer: BoardAnswer;
  /** What to begin with while no probe tells more than another. */
  step?: FirstStep | undefined;
  /** All that a supply cannot do without is logged. */
  isWhole: boolean;
  isFresh: boolean;
  record: (entry: TracedEntry) => Promise<void>;
  meter: MeterProbe;
}) {
  const [best] = answer.advice.probes;
  const probe = best ?? (step?.kind === 'probe' ? step : undefined);
  /** The pair a reading is being typed for. */
  const [reading, setReading] = useState<string>();
  const { entropy } = answer.advice;
  const { open, pins: onTheWay } = answer.analysis.power;
  if (!step && isWhole && onTheWay > 0 && open.length === 0 && entropy < SETTLED)
    return (
      <Next>
        The circuit is named and its way of the power is traced. Say below that this station is done, or beep on for the
        control side.
      </Next>
    );
  if (!probe) return step?.kind === 'log' ? <LogNext what={step.what} why={step.why} /> : null;
  const pair = `${probe.a} ${probe.b}`;
  const pins: [string, string] = [probe.a, probe.b];
  const act = (relation: 'joined' | 'separate') => {
    if (isFresh) void record({ kind: 'join', relation, pins });
  };
  const leaveOpen = () => {
    if (isFresh) void record({ kind: 'unsure', pins });
  };
  async function read() {
    if (!probe || !isFresh) return;
    if (!meter.isThere || !(await meter.read(probe.a, probe.b))) setReading(pair);
  }
  return (
    <Next
      label={entropy < SETTLED ? 'Probe next, for the way of the power' : 'Probe next, it tells most'}
      actions={
        <>
          <Shortcuts
            keys={[
              { key: 'j', label: 'the pins asked for beep', press: 'probe-joined' },
              { key: 'x', label: 'they do not', press: 'probe-separate' },
              { key: 'r', label: 'a reading between them', press: 'probe-reading' },
              { key: 'o', label: 'you cannot reach them, or are not sure', press: 'probe-unsure' },
            ]}
          />
          <span className="font-mono text-[12px] text-ink-2">{pair}</span>
          <button id="probe-joined" type="button" className="btn" disabled={!isFresh} onClick={() => act('joined')}>
            <kbd>j</kbd> they beep
          </button>
          <button id="probe-separate" type="button" className="btn" disabled={!isFresh} onClick={() => act('separate')}>
            <kbd>x</kbd> they do not
          </button>
          <button id="probe-reading" type="button" className="btn" disabled={!isFresh} onClick={() => void read()}>
            <kbd>r</kbd> {meter.isThere ? 'read the meter' : 'a reading'}
          </button>
          <button id="probe-unsure" type="button" className="btn" disabled={!isFresh} onClick={leaveOpen}>
            <kbd>o</kbd> cannot reach, or not sure
          </button>
          {reading === pair && (
            <ReadingForm
              pair={pair}
              onLeave={() => setReading(undefined)}
              onReading={(read) =>
                record({ kind: 'join', relation: 'through', pins, ...read }).then(() => setReading(undefined))
              }
            />
          )}
        </>
      }
    >
      {probe.question}
      {best && best.sweep.pins.length > 1 && (
        <KeptLead
          key={`${best.sweep.hold} ${best.sweep.pins.join()}`}
          sweep={best.sweep}
          isFresh={isFresh}
          record={record}
        />
      )}
      {!best && step && <span className="mt-1 block text-[13px] font-normal text-ink-2">Because {step.why}.</span>}
    </Next>
  );
}

/** What is said of a pin that is touched, in the order in which a tap leads on. */
const SAYINGS = ['does not beep', 'beeps', 'left open'] as const;
type Saying = (typeof SAYINGS)[number];

/** One lead stays where it is; which of the pins that are touched beep is told at once. */
function KeptLead({
  sweep: { hold, pins },
  isFresh,
  record,
}: {
  sweep: Sweep;
  isFresh: boolean;
  record: (entry: TracedEntry) => Promise<void>;
}) {
  const [said, setSaid] = useState<Readonly<Record<string, Saying>>>({});
  const sayingOf = (pin: string) => said[pin] ?? 'does not beep';
  const those = (saying: Saying) => pins.filter((pin) => sayingOf(pin) === saying);
  const [beeps, silent, open] = [those('beeps'), those('does not beep'), those('left open')];
  const next = (pin: string) => SAYINGS[(SAYINGS.indexOf(sayingOf(pin)) + 1) % SAYINGS.length] ?? 'does not beep';
  return (
    <span className="mt-2 block text-[13px] font-normal">
      <span id="kept-lead">
        Quicker: keep one lead on <span className="ref">{hold}</span> and touch each of these. Press once on what reads
        0&nbsp;Ω, twice on what you cannot reach. Through a winding, a coil or a shunt the meter beeps too; that does
        not count.
      </span>
      <span role="group" aria-labelledby="kept-lead" className="mt-1.5 flex flex-wrap items-center gap-1.5">
        {pins.map((pin) => (
          <button
            key={pin}
            type="button"
            className="pin"
            data-lit={sayingOf(pin) === 'beeps'}
            aria-label={`${pin}: ${sayingOf(pin)}`}
            onClick={() => setSaid({ ...said, [pin]: next(pin) })}
          >
            {pin}
            {sayingOf(pin) !== 'does not beep' && ` ${sayingOf(pin)}`}
          </button>
        ))}
        <Shortcuts keys={[{ key: 't', label: 'all of them are touched, record what is said', press: 'lead-kept' }]} />
        <button
          id="lead-kept"
          type="button"
          className="btn"
          disabled={!isFresh}
          onClick={() => void record({ kind: 'touched', hold, beeps, silent, open })}
        >
          <kbd>t</kbd>{' '}
          {silent.length === pins.length
            ? 'none of them beeps'
            : silent.length === 0
              ? 'that is all'
              : 'the others do not'}
        </button>
      </span>
    </span>
  );
}

/** The part that should be logged before any probe can tell. */
export function LogNext({ what, why }: { what: string; why: string }) {
  return (
    <Next label="Log next">
      {`Log ${what}.`}
      <span className="mt-1 block text-[13px] font-normal text-ink-2">Because {why}.</span>
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
  onReading: (reading: { ohms: number } | { drop: number }) => Promise<void>;
}) {
  const [text, setText] = useState('');
  const [problem, setProblem] = useState('');

  function take() {
    // A reading in volts is one of diode mode; all others are ohms.
    const isDrop = /v$/i.test(text.trim());
    const parsed = parseQuantity(text, isDrop ? 'volt' : 'ohm');
    setProblem(parsed.ok ? '' : problemText(parsed.problem));
    if (parsed.ok) void onReading(isDrop ? { drop: parsed.quantity.value } : { ohms: parsed.quantity.value });
  }

  return (
    <form
      className="flex items-center gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (text.trim() !== '') take();
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
      {problem && (
        <span role="alert" className="text-[12.5px] text-stop">
          {problem}
        </span>
      )}
    </form>
  );
}
