'use client';

import { useState } from 'react';
import { formatQuantity } from '../../../core/quantity';
import { parasiticsOf } from '../../../core/waveform';
import { QuantityField } from '../../../ui/form/fields';
import { Judgement } from '../../../ui/judgement/Judgement';
import { Caution, Claim, Next, Section } from '../../../ui/judgement/parts';
import { Facts } from '../../../ui/value/Facts';
import { routes } from '../../../routes';
import { ActionButton } from '../../../ui/feedback/ActionButton';
import { keepFindingAction } from './actions';
import type { WavePart } from './view.server';
import { findingView, type FindingView } from './present';
import type { useWave } from './useWave';

type Wave = ReturnType<typeof useWave>;

/** What was worked out of a recording, and the way to keep it. */
export function WaveJudgement({ code, part, wave }: { code: string; part: WavePart | null; wave: Wave }) {
  const { found } = wave;
  const view = found ? findingView(found.finding, part?.test ?? undefined) : undefined;
  return (
    <Judgement>
      <Claim label={part ? `${part.ref}, ${part.message}` : 'A recording'}>
        {view
          ? view.refusal
            ? 'It cannot be told'
            : (view.rows[0]?.value ?? '')
          : wave.wave
            ? 'Say what it shows'
            : 'Load a recording'}
      </Claim>
      {view?.refusal && <p role="alert">{view.refusal}</p>}
      {view && view.rows.length > 0 && (
        <Section label="Worked out from what is in view">
          <Facts rows={view.rows} />
          {view.advice && <p className="mt-1.5">{view.advice}</p>}
        </Section>
      )}
      {found?.finding.kind === 'ring' && <RingParts frequency={found.finding.frequency} />}
      {view && part && !wave.isMade && Object.keys(view.fields).length > 0 ? (
        <Keep code={code} part={part} view={view} wave={wave} />
      ) : (
        <Next>
          {view && wave.isMade
            ? 'It was made by formula, so nothing of it is kept for a part.'
            : wave.wave
              ? 'Zoom in until one event fills the picture, then work it out.'
              : 'Export a CSV from the oscilloscope: time, and one or two channels.'}
        </Next>
      )}
      <Caution>
        An oscilloscope’s ground is mains earth: never clip it to the mains side. Use an isolated or differential probe,
        and a supply with its current limited.
      </Caution>
    </Judgement>
  );
}

/** What was worked out becomes a measurement of the part. */
function Keep({ code, part, view, wave }: { code: string; part: WavePart; view: FindingView; wave: Wave }) {
  const seen = () => ({
    title: wave.title,
    channels: (wave.wave?.channels ?? []).map(({ name, unit }, index) => ({
      name,
      unit,
      points: [...(wave.series[index] ?? [])],
    })),
  });
  return (
    <section className="next">
      <h2 className="label mb-1">Next</h2>
      <p className="mb-2 text-[15.5px] leading-snug font-medium">Save it as a measurement of {part.ref}.</p>
      <ActionButton action={() => keepFindingAction({ code, ref: part.ref }, { ...view.fields }, seen())} tone="next">
        Save it
      </ActionButton>{' '}
      <a
        className="ml-3 text-[13px] underline decoration-dotted"
        href={routes.station(code, 'test', { part: part.ref })}
      >
        back to {part.ref}
      </a>
    </section>
  );
}

/** What rings, from its frequency and one thing more; and the snubber that calms it. */
function RingParts({ frequency }: { frequency: number }) {
  const [known, setKnown] = useState<{
    inductance?: number | undefined;
    added?: number | undefined;
    loaded?: number | undefined;
  }>({});
  const { inductance, added, loaded } = known;
  const parts =
    inductance !== undefined
      ? parasiticsOf({ frequency, inductance })
      : added !== undefined && loaded !== undefined
        ? parasiticsOf({ frequency, added, loaded })
        : undefined;
  const show = formatQuantity;
  return (
    <Section label="What rings, and how to calm it">
      <div className="grid grid-cols-3 gap-x-2.5">
        <QuantityField
          name="ring-l"
          label="its inductance"
          unit="henry"
          wants="nothing"
          onValue={(value) => setKnown((now) => ({ ...now, inductance: value }))}
        />
        <QuantityField
          name="ring-c"
          label="or capacitor added"
          unit="farad"
          wants="nothing"
          onValue={(value) => setKnown((now) => ({ ...now, added: value }))}
        />
        <QuantityField
          name="ring-f"
          label="and its ring then"
          unit="hertz"
          wants="nothing"
          onValue={(value) => setKnown((now) => ({ ...now, loaded: value }))}
        />
      </div>
      {parts && 'kind' in parts && <p className="text-stop">{parts.message}</p>}
      {parts && !('kind' in parts) && (
        <Facts
          rows={[
            { label: 'inductance', value: show(parts.inductance, 'henry') },
            { label: 'capacitance', value: show(parts.capacitance, 'farad') },
            {
              label: 'snubber in series',
              value: `${show(parts.snubber.resistance, 'ohm', { digits: 2 })}, ${show(parts.snubber.capacitance, 'farad', { digits: 2 })}`,
            },
          ]}
        />
      )}
    </Section>
  );
}
