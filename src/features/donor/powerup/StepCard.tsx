'use client';

import { useEffect, useRef, useState } from 'react';
import type { Gate, Power, Step } from '../../../core/bringup';
import { useCommand } from '../../../ui/command/useCommand';
import { useNotice } from '../../../ui/feedback/Notices';
import { shorthand } from '../../../ui/form/fields';
import { useInstrument } from '../../../ui/form/instrument';
import { Shortcuts } from '../../../ui/frame/Shortcuts';
import { clockOf } from '../../../ui/value/moments';
import { routes } from '../../../routes';
import { notePowerAction } from '../shared/actions';
import { passStepAction, stopPowerUpAction } from './actions';
import { gateWords, readingAt } from './present';
import { ReadingRule } from './ReadingRule';
import { STOP_ID } from './StopButton';

const [PASS_ID, FAIL_ID, METER_ID, FIELD_ID, GATE_ID] = [
  'power-up-pass',
  'power-up-fail',
  'power-up-meter',
  'power-up-reading',
  'power-up-gate',
];
/** What the button says that goes on. */
const PASS_WORDS = {
  pass: 'Pass',
  doubt: 'Pass it all the same',
  again: 'Keep the reading; read again',
  stop: 'Pass',
} as const;
/** What a bench meter reads. */
const READ_BY_METER: ReadonlySet<string> = new Set(['volt', 'ohm']);

/** The step in hand: what it should be, what it is, and whether it goes on. */
export function StepCard({
  code,
  model,
  step,
  gate,
  next,
  tellsFrom,
}: {
  code: string;
  model: string;
  step: Step;
  gate: Gate;
  next: string;
  tellsFrom: number | undefined;
}) {
  const [text, setText] = useState('');
  const { run, pending, start } = useCommand();
  const instrument = useInstrument();
  const notify = useNotice();
  const card = useRef<HTMLElement>(null);
  // The step in hand stands in view as the list moves on.
  useEffect(() => {
    card.current?.scrollIntoView({ block: 'nearest' });
  }, []);
  const { asked } = step;
  const reading = readingAt(step, text);
  const says = reading.kind === 'read' ? reading.verdict : undefined;
  const hasMeter = asked !== undefined && instrument.name !== '' && READ_BY_METER.has(asked.unit);
  const mayPass = gate === 'go' && (asked ? says !== undefined && says.verdict !== 'stop' : true);
  const seen = step.failings.filter(
    ({ over, under, level }) => over === undefined && under === undefined && level !== 'note',
  );

  const pass = () =>
    start(async () => {
      const outcome = await run(() => passStepAction(code, { step: step.id, text }));
      // A store that is not low yet is read again.
      if (outcome.ok) setText('');
    });
  const fail = (when: string) =>
    start(async () => void (await run(() => stopPowerUpAction(code, { step: step.id, text, when, isOff: false }))));
  const fromMeter = () =>
    start(async () => {
      const outcome = await instrument.read(asked?.unit ?? 'volt', `${model} ${asked?.point ?? ''}`.trim());
      if (!outcome.ok) notify({ message: outcome.message });
      else if (outcome.reading.value === null) setText('OL');
      else setText(shorthand(outcome.reading.value, outcome.reading.resolution, asked?.unit ?? 'volt'));
    });

  return (
    <section ref={card} className="step-card" aria-label={`Step ${step.number}: ${step.title}`}>
      <header className="flex flex-wrap items-baseline gap-x-3 gap-y-0.5">
        <h2 className="text-[20px] leading-snug font-semibold tracking-[-0.015em]">
          <span className="q mr-2.5 text-ochre">{step.number}</span>
          {step.title}
        </h2>
      </header>
      <p className="mt-0.5 text-[13px] text-ink-2">{step.how}</p>
      {tellsFrom !== undefined && (
        <p className="mt-0.5 text-[13px] font-semibold">
          <span aria-hidden="true">△ </span>It tells most from {clockOf(tellsFrom)} on: before, charge has not come
          back.
        </p>
      )}
      {gate !== 'go' && (
        <GateRow
          code={code}
          gate={gate}
          power={step.power}
          pending={pending}
          onSwitch={(applied) => start(async () => void (await run(() => notePowerAction(code, applied))))}
        />
      )}
      <div className="mt-2.5 grid grid-cols-2 gap-x-5 gap-y-2 max-[599px]:grid-cols-1">
        <div>
          <h3 className="label">should be</h3>
          <p
            className={
              asked ? 'q text-[25px] leading-tight tracking-[-0.02em]' : 'text-[18px] leading-snug font-medium'
            }
          >
            {step.good}
          </p>
          {asked && <p className="mt-0.5 text-[12px] text-ink-2">{asked.from}</p>}
        </div>
        {asked && (
          <div>
            <label className="label" htmlFor={FIELD_ID}>
              reading
            </label>
            <div className="flex gap-2">
              <input
                id={FIELD_ID}
                className="step-reading"
                value={text}
                inputMode="text"
                autoComplete="off"
                autoCapitalize="off"
                spellCheck={false}
                aria-invalid={reading.kind === 'problem' ? true : undefined}
                aria-describedby="power-up-says"
                onChange={(event) => setText(event.target.value)}
                onKeyDown={(event) => {
                  if (event.key === 'Enter' && mayPass) pass();
                  // While power is on, Esc stops from the field as well.
                  if (event.key === 'Escape') document.getElementById(STOP_ID)?.click();
                }}
              />
              {hasMeter && (
                <button type="button" id={METER_ID} className="btn" disabled={pending} onClick={fromMeter}>
                  <kbd>m</kbd> From the meter
                </button>
              )}
            </div>
          </div>
        )}
      </div>
      {asked && <ReadingRule asked={asked} value={reading.kind === 'read' ? Math.abs(reading.value) : undefined} />}
      <p
        id="power-up-says"
        role="status"
        className={`mt-1 min-h-[20px] text-[13px] ${says?.verdict === 'stop' || reading.kind === 'problem' ? 'font-semibold text-stop' : 'text-ink-2'}`}
      >
        {reading.kind === 'problem' ? reading.text : says ? says.says : ''}
      </p>
      <div className="mt-1.5 flex flex-wrap items-center gap-2.5">
        <button
          type="button"
          id={PASS_ID}
          className="btn step-main"
          {...(mayPass ? { 'data-tone': 'next' } : {})}
          disabled={!mayPass || pending}
          onClick={pass}
        >
          <kbd>p</kbd> {PASS_WORDS[says?.verdict ?? 'pass']}
          <span className={says?.verdict === 'again' ? 'hidden' : 'font-normal max-[899px]:hidden'}>
            {next === 'done' ? ', the last one' : `, then: ${next}`}
          </span>
        </button>
        {seen.length === 0 ? (
          <button type="button" id={FAIL_ID} className="btn step-main" disabled={pending} onClick={() => fail('')}>
            <kbd>x</kbd> Fails, stop here
          </button>
        ) : (
          seen.map(({ when }, index) => (
            <button
              key={when}
              type="button"
              {...(index === 0 ? { id: FAIL_ID } : {})}
              className="btn"
              data-tone="stop"
              disabled={pending}
              onClick={() => fail(when)}
            >
              {index === 0 && <kbd>x</kbd>} Stop: {when}
            </button>
          ))
        )}
      </div>
      <Shortcuts
        keys={[
          { key: 'p', label: 'the step passes', press: PASS_ID },
          { key: 'x', label: 'the step fails, stop here', press: FAIL_ID },
          ...(hasMeter ? [{ key: 'm', label: 'take the reading from the meter', press: METER_ID }] : []),
          ...(asked ? [{ key: 'r', label: 'type the reading', focus: FIELD_ID }] : []),
          ...(gate === 'go' ? [] : [{ key: 'o', label: gateWords(gate, step.power).toLowerCase(), press: GATE_ID }]),
          { key: 'Escape', label: 'stop', press: STOP_ID },
        ]}
      />
    </section>
  );
}

/** What must come before the step. */
function GateRow({
  code,
  gate,
  power,
  pending,
  onSwitch,
}: {
  code: string;
  gate: Exclude<Gate, 'go'>;
  power: Power;
  pending: boolean;
  onSwitch: (applied: boolean) => void;
}) {
  return (
    <div className="mt-2.5 flex flex-wrap items-center gap-x-4 gap-y-1.5 border-l-4 border-stop bg-stop-wash px-3.5 py-2 text-[13.5px]">
      <b className="text-stop">First: {gateWords(gate, power).toLowerCase()}.</b>
      {gate === 'read-stores' ? (
        <a id={GATE_ID} href={routes.station(code, 'make-safe')} className="btn">
          Make it safe <kbd>o</kbd>
        </a>
      ) : (
        <button
          type="button"
          id={GATE_ID}
          className="btn"
          disabled={pending}
          onClick={() => onSwitch(gate === 'switch-on')}
        >
          {gate === 'switch-on' ? 'It is on now, hands are off' : 'It is off and unplugged now'} <kbd>o</kbd>
        </button>
      )}
    </div>
  );
}
