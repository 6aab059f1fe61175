'use client';

import { useState } from 'react';
import { formatDuration, formatQuantity, parseQuantity } from '../../../core/quantity';
import {
  bleedThroughLamp,
  bleedToolText,
  judgeBleedTool,
  SOLDER_LIMIT,
  type BleedReason,
  type BleedVerdict,
} from '../../../core/safety';
import { ActionButton } from '../../../ui/feedback/ActionButton';
import { QuantityField } from '../../../ui/form/fields';
import { Facts } from '../../../ui/value/Facts';
import { noteToolAction } from './actions';
import type { StockedResistor } from './view.server';

const watts = (value: number) => formatQuantity(value, 'watt', { digits: 2 });
const joules = (value: number) => formatQuantity(value, 'joule', { digits: 2 });

const REASON: Readonly<Record<BleedReason, (value: number, limit: number) => string>> = {
  'first-power': (value, limit) => `${watts(value)} at first; it stands ${watts(limit)} for a moment`,
  'pulse-energy': (value, limit) => `${joules(value)} end in it; it stands ${joules(limit)} as a pulse`,
  voltage: (value, limit) =>
    `${formatQuantity(value, 'volt')} across it; its body stands ${formatQuantity(limit, 'volt')}`,
  'too-slow': (value, limit) =>
    `${formatDuration(value)} to ${SOLDER_LIMIT.volts} V; a hand holds it ${formatDuration(limit)}`,
};
const WORD: Readonly<Record<BleedVerdict['verdict'], string>> = {
  good: 'will do',
  slow: 'works, but slowly',
  poor: 'not this one',
};

/** What a resistor or a lamp at hand would do across the store, and whether one is on it now. */
export function ToolTrial({
  code,
  store,
  on,
  start,
  capacitance,
  touchLimit,
  stocked,
}: {
  code: string;
  store: string;
  /** Ohms of the tool that is on the store now. */
  on: number | null;
  start: number;
  capacitance: number;
  touchLimit: number;
  stocked: readonly StockedResistor[];
}) {
  const [resistance, setResistance] = useState<number>();
  const [power, setPower] = useState<number>();
  const [build, setBuild] = useState<'wirewound' | 'film'>('wirewound');
  const of = { start, capacitance, touchLimit };
  const judged =
    resistance && power && resistance > 0 && power > 0 ? judgeBleedTool(of, { resistance, power, build }) : undefined;
  const fromStock = stocked.filter(
    (lot) => judgeBleedTool(of, { resistance: lot.resistance, power: lot.power, build: 'film' }).verdict === 'good',
  );
  if (on !== null)
    return <ActionButton action={() => noteToolAction(code, { store })}>The tool is off {store}</ActionButton>;
  return (
    <div>
      <div className="grid grid-cols-[1fr_1fr_1fr] gap-x-2">
        <QuantityField name="tool" label="a resistor at hand" unit="ohm" placeholder="4k7" onValue={setResistance} />
        <QuantityField name="toolPower" label="rated" unit="watt" placeholder="5W" onValue={setPower} />
        <div className="field">
          <label htmlFor="tool-build">build</label>
          <select
            id="tool-build"
            value={build}
            onChange={(event) => setBuild(event.target.value as 'wirewound' | 'film')}
          >
            <option value="wirewound">wirewound</option>
            <option value="film">film</option>
          </select>
        </div>
      </div>
      {judged && <Verdict judged={judged} touchLimit={touchLimit} />}
      {resistance !== undefined && resistance > 0 && judged?.verdict !== 'poor' && (
        <div className="mt-1.5">
          <ActionButton tone="small" action={() => noteToolAction(code, { store, ohms: resistance })}>
            {formatQuantity(resistance, 'ohm')} is on {store} now
          </ActionButton>
        </div>
      )}
      {stocked.length > 0 && (
        <p className="mt-1.5 text-[12.5px] text-ink-2">
          {fromStock.length === 0
            ? 'None of the resistors in the drawers will do.'
            : `In the drawers: ${fromStock
                .slice(0, 3)
                .map(({ lot, message }) => `${lot}, ${message}`)
                .join('; ')}.`}
        </p>
      )}
      <Lamp {...of} />
    </div>
  );
}

function Verdict({ judged, touchLimit }: { judged: BleedVerdict; touchLimit: number }) {
  const { plan, verdict, reasons, better } = judged;
  return (
    <div role="status" className="mt-1">
      <p className={`font-semibold ${verdict === 'poor' ? 'text-stop' : ''}`}>{WORD[verdict]}</p>
      <ul className="mb-1 text-[12.5px]">
        {reasons.slice(0, 3).map(({ kind, value, limit }) => (
          <li key={kind}>{REASON[kind](value, limit)}</li>
        ))}
      </ul>
      <Facts
        rows={[
          {
            label: 'at first',
            value: `${watts(plan.initialPower)}, ${formatQuantity(plan.initialCurrent, 'ampere', { digits: 2 })}`,
          },
          { label: `under ${touchLimit} V in`, value: formatDuration(plan.timeToTouch) },
          { label: `under ${SOLDER_LIMIT.volts} V in`, value: formatDuration(plan.timeToSolder) },
        ]}
      />
      {better && (
        <p className="mt-1 text-[12.5px]">
          Better: {bleedToolText(better)}, under {SOLDER_LIMIT.volts} V in {formatDuration(better.timeToSolder)}.
        </p>
      )}
    </div>
  );
}

/** A filament lamp in the place of a resistor. */
function Lamp(of: { start: number; capacitance: number; touchLimit: number }) {
  const [text, setText] = useState('60W');
  const parsed = parseQuantity(text, 'watt');
  const lamp =
    parsed.ok && parsed.quantity.value > 0
      ? bleedThroughLamp({
          ...of,
          lamp: { ratedVoltage: 230, ratedPower: parsed.quantity.value },
          solderLimit: SOLDER_LIMIT.volts,
        })
      : undefined;
  return (
    <details className="mt-2">
      <summary className="cursor-pointer text-[12.5px] text-ink-2 underline decoration-dotted underline-offset-3">
        a filament lamp instead
      </summary>
      <div className="field mt-1 max-w-[150px]" data-mono="">
        <label htmlFor="lamp-power">230 V lamp of</label>
        <input id="lamp-power" value={text} onChange={(event) => setText(event.target.value)} />
      </div>
      {lamp && (
        <p className="text-[12.5px]">
          {lamp.lamps > 1 ? `${lamp.lamps} of them in series: ` : ''}
          {formatQuantity(lamp.firstCurrent, 'ampere', { digits: 2 })} into the cold filament, under {of.touchLimit} V
          in {formatDuration(lamp.timeToTouch)}, under {SOLDER_LIMIT.volts} V in {formatDuration(lamp.timeToSolder)}. It
          goes dark near {formatQuantity(lamp.darkBelow, 'volt', { digits: 2 })}: dark is not empty. Finish with the
          meter.
        </p>
      )}
    </details>
  );
}
