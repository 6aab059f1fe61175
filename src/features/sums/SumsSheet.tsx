'use client';

import Link from 'next/link';
import { useId, useState, type ReactNode } from 'react';
import { bandProblemText, COLOURS, decodeBands, decodeMarking, type Decoding } from '../../core/marking';
import { KIND_NAMES, kindFromWord, kindRule, RATINGS, type RatingName } from '../../core/part';
import { formatDuration, formatQuantity, parseQuantity, problemText, type Unit } from '../../core/quantity';
import {
  bleedThrough,
  bleedToolText,
  CAPACITANCE_UPPER,
  hazardBand,
  storedEnergy,
  suggestBleed,
} from '../../core/safety';
import { routes } from '../../routes';
import { Evidence } from '../../ui/frame/Halves';
import { Facts } from '../../ui/value/Facts';

/** Single sums for use without a donor; nothing typed here is stored. */
export function SumsSheet({ touchLimit }: { touchLimit: number }) {
  return (
    <Evidence>
      <p className="mb-6 text-[13.5px]">
        <Link href={routes.whatIf()} className="btn mr-3">
          What if
        </Link>
        <Link href={routes.deck()} className="btn mr-3">
          Run a deck
        </Link>
        Twenty circuits that run while you turn their values, and what gives way first when a part fails; or a circuit
        of your own as a SPICE deck.
      </p>
      <div className="grid gap-x-10 gap-y-8 min-[900px]:grid-cols-2">
        <div className="grid content-start gap-y-8">
          <MarkingSum />
          <BandsSum />
        </div>
        <ChargeSum touchLimit={touchLimit} />
      </div>
    </Evidence>
  );
}

function Sum({ title, message, children }: { title: string; message: string; children: ReactNode }) {
  return (
    <section aria-label={title} className="min-w-0">
      <h2 className="text-[16px] font-semibold">{title}</h2>
      <p className="mb-2 text-[12.5px] text-ink-2">{message}</p>
      {children}
    </section>
  );
}

function Typed({
  label,
  value,
  onText,
  message,
  problem,
}: {
  label: string;
  value: string;
  onText: (text: string) => void;
  message?: string | undefined;
  problem?: string | undefined;
}) {
  const id = useId();
  return (
    <div className="field" data-mono="" data-problem={problem ? '' : undefined}>
      <label htmlFor={id}>{label}</label>
      <input
        id={id}
        value={value}
        onChange={(event) => onText(event.target.value)}
        autoComplete="off"
        autoCapitalize="off"
        spellCheck={false}
        aria-describedby={`${id}-says`}
        aria-invalid={problem ? true : undefined}
      />
      <p id={`${id}-says`}>{problem ?? message}</p>
    </div>
  );
}

function Decodings({ decodings }: { decodings: readonly Decoding[] }) {
  return (
    <ol className="dotted text-[13.5px]" aria-live="polite">
      {decodings.map(({ kind, rule, confidence, ratings, why }) => (
        <li key={kind + rule + why} className="grid grid-cols-[52px_1fr] gap-x-3 py-1.5">
          <span className="q">{Math.round(confidence * 100)} %</span>
          <span>
            <b className="font-semibold">{kindRule(kind).label}</b>{' '}
            <span className="q">
              {(Object.entries(ratings) as [RatingName, number][])
                .map(([name, value]) => formatQuantity(value, RATINGS[name].unit))
                .join('  ')}
            </span>
            <span className="block text-[12px] text-ink-2">
              {why}; rule {rule}
            </span>
          </span>
        </li>
      ))}
    </ol>
  );
}

function MarkingSum() {
  const [marking, setMarking] = useState('12N65');
  const [kindText, setKind] = useState('');
  const kind = kindFromWord(kindText);
  const decodings = marking.trim() === '' ? [] : decodeMarking(marking, kind ? { kind } : {});
  return (
    <Sum
      title="Read a marking"
      message="Ranked, with the rule that gave each; check the datasheet before mains voltage."
    >
      <div className="grid grid-cols-2 gap-x-3">
        <Typed label="marking" value={marking} onText={setMarking} />
        <Typed
          label="kind, if you know it"
          value={kindText}
          onText={setKind}
          problem={
            kindText !== '' && !kind ? `“${kindText}” is no kind; try ${KIND_NAMES.slice(0, 3).join(', ')}` : undefined
          }
        />
      </div>
      {decodings.length > 0 ? (
        <Decodings decodings={decodings} />
      ) : (
        <p className="text-[13px] text-ink-2">No rule knows this marking.</p>
      )}
    </Sum>
  );
}

function BandsSum() {
  const [text, setText] = useState('yellow violet red gold');
  const colours = text
    .toLowerCase()
    .split(/[\s,-]+/)
    .filter((word) => word !== '');
  const decoded = decodeBands(colours);
  const problem = decoded.ok ? undefined : bandProblemText(decoded.problem);
  return (
    <Sum
      title="Read colour bands"
      message={`Three to six bands from the end nearest a lead: ${Object.keys(COLOURS).join(', ')}.`}
    >
      <Typed label="bands" value={text} onText={setText} problem={problem} />
      {decoded.ok && <Decodings decodings={decoded.decodings} />}
    </Sum>
  );
}

function ChargeSum({ touchLimit }: { touchLimit: number }) {
  const [capacitance, setCapacitance] = useState('150u');
  const [voltage, setVoltage] = useState('325V');
  const [resistance, setResistance] = useState('2k2');
  const farads = readTyped(capacitance, 'farad');
  const volts = readTyped(voltage, 'volt');
  const ohms = readTyped(resistance, 'ohm');
  return (
    <Sum
      title="Stored charge and its bleed"
      message="What a capacitor holds, how much it hurts, and what a resistor across it does."
    >
      <div className="grid grid-cols-3 gap-x-3">
        <Typed label="capacitance" value={capacitance} onText={setCapacitance} {...farads.shown} />
        <Typed label="charged to" value={voltage} onText={setVoltage} {...volts.shown} />
        <Typed label="bleed resistor" value={resistance} onText={setResistance} {...ohms.shown} />
      </div>
      {farads.value !== undefined && volts.value !== undefined && (
        <Charge capacitance={farads.value} voltage={volts.value} resistance={ohms.value} touchLimit={touchLimit} />
      )}
    </Sum>
  );
}

function Charge({
  capacitance,
  voltage,
  resistance,
  touchLimit,
}: {
  capacitance: number;
  voltage: number;
  resistance: number | undefined;
  touchLimit: number;
}) {
  const largest = capacitance * CAPACITANCE_UPPER;
  const energy = storedEnergy({ capacitance, voltage });
  const energyAtMost = storedEnergy({ capacitance: largest, voltage });
  const band = hazardBand({ voltage, energy: energyAtMost, capacitance: largest, touchLimit });
  const plan = resistance ? bleedThrough({ start: voltage, capacitance, resistance, touchLimit }) : undefined;
  const suggested = suggestBleed({ start: voltage, capacitance: largest, touchLimit });
  const watts = (value: number) => formatQuantity(value, 'watt');
  return (
    <div aria-live="polite">
      <Facts
        rows={[
          { label: 'energy', value: formatQuantity(energy, 'joule') },
          ...(plan
            ? [
                { label: 'power at first', value: watts(plan.initialPower) },
                { label: 'current at first', value: formatQuantity(plan.initialCurrent, 'ampere') },
                { label: 'time constant', value: formatQuantity(plan.timeConstant, 'second') },
                { label: `under ${touchLimit} V in`, value: formatDuration(plan.timeToTouch) },
                { label: 'under 5 V in', value: formatDuration(plan.timeToSolder) },
                { label: 'under 1 V in', value: formatDuration(plan.timeToMeter) },
              ]
            : []),
        ]}
      />
      <p className="mt-2 text-[13px]">
        <b className={`font-semibold ${band.severity === 'danger' ? 'text-stop' : ''}`}>
          {band.severity}: {band.title}.
        </b>{' '}
        {band.instruction}{' '}
        {suggested
          ? `A fitting tool: ${bleedToolText(suggested)}.`
          : 'No tool of usual resistors is at hand for this voltage; leave it to someone with a tool and a probe for high voltage.'}{' '}
        Only a reading makes it safe.
      </p>
    </div>
  );
}

/** A typed quantity above zero, or the text that says what is wrong with it. */
function readTyped(text: string, unit: Unit): { value?: number; shown: { message?: string; problem?: string } } {
  const parsed = parseQuantity(text, unit);
  if (!parsed.ok) return { shown: text.trim() === '' ? {} : { problem: problemText(parsed.problem) } };
  const { value } = parsed.quantity;
  if (value <= 0) return { shown: { problem: `“${text}”: more than zero is expected.` } };
  return { value, shown: { message: formatQuantity(value, unit, { digits: 4 }) } };
}
