'use client';

import { useCallback, useEffect, useMemo, useState } from 'react';
import { circuitById, faultsOf, type PowerCircuit } from '../../core/whatif';
import { Halves } from '../../ui/frame/Halves';
import { keepText } from '../../ui/picture/keepFile';
import { queryOf, readAsked, type Asked } from './address';
import { CircuitFigure } from '../../ui/schematic/CircuitFigure';
import { KnobField } from './KnobField';
import { balanceText, shown, wavesCsv } from './present';
import { useWhatIf } from './useWhatIf';
import { WavesFigure } from '../../ui/charts/WavesFigure';
import { WhatIfJudgement } from './WhatIfJudgement';

/** Milliseconds without a change before the address follows. */
const ADDRESS_RESTS = 200;
const NO_PARTS: readonly string[] = [];

/** A circuit that answers while its knobs are turned; what is turned stands in the address. */
export function WhatIfSheet({ id, query }: { id: string; query: string }) {
  const circuit = circuitById(id);
  return circuit ? <Running circuit={circuit} query={query} /> : null;
}

function Running({ circuit, query }: { circuit: PowerCircuit; query: string }) {
  const [asked, setAsked] = useState<Asked>(() => readAsked(circuit, new URLSearchParams(query)));
  const { values, control, fault } = asked;
  const run = useWhatIf(circuit, values, control, fault);
  const { answer, schematic } = run;
  const told = fault === undefined ? undefined : run.faults[fault]?.told;
  const list = useMemo(() => faultsOf(circuit), [circuit]);
  const over = useMemo(() => told?.deaths.map(({ ref }) => ref) ?? NO_PARTS, [told]);
  const { drive } = circuit;
  const isTurned = drive.kind === 'duty' || drive.kind === 'frequency';

  // The address follows when the knob rests: each change of it is work for the whole page.
  useEffect(() => {
    const timer = setTimeout(
      () => window.history.replaceState(null, '', `${window.location.pathname}${queryOf(circuit, asked)}`),
      ADDRESS_RESTS,
    );
    return () => clearTimeout(timer);
  }, [circuit, asked]);

  const set = (change: Partial<Asked>) => setAsked((before) => ({ ...before, ...change }));
  // What a turn of one knob leaves as it is must not be drawn again with it.
  const turn = useCallback(
    (knob: string, value: number) => setAsked((before) => ({ ...before, values: { ...before.values, [knob]: value } })),
    [],
  );
  const choose = useCallback(
    (kind: string | undefined) =>
      setAsked(({ fault: _, ...rest }) => (kind === undefined ? rest : { ...rest, fault: kind })),
    [],
  );
  const release = () => setAsked(({ control: _, ...rest }) => rest);

  return (
    <Halves
      judgement={
        <WhatIfJudgement
          answer={run.settled ?? answer}
          isUnderWay={answer?.isUnderWay ?? false}
          problem={run.problem}
          list={list}
          faults={run.faults}
          left={run.left}
          chosen={fault}
          onChoose={choose}
          onStop={run.stop}
        />
      }
    >
      <figure className="circuit-box">
        {schematic ? (
          <CircuitFigure
            schematic={schematic}
            figures={answer?.figures}
            struck={list.find(({ kind }) => kind === fault)?.refs ?? NO_PARTS}
            over={over}
          />
        ) : (
          <p className="p-4 text-[13px] text-ink-2">Drawing the circuit…</p>
        )}
        <figcaption>
          {answer ? balanceText(answer) : ' '}. Beside a switch its peak volts, a diode its mean current, a capacitor
          its ripple, a choke its peak.
        </figcaption>
      </figure>
      <div className="knobs" role="group" aria-label="Values">
        {circuit.knobs.map((knob) => (
          <KnobField key={knob.id} knob={knob} value={values[knob.id] ?? knob.usual} onValue={turn} />
        ))}
        {isTurned && (
          <div className="knob">
            <span className="knob-label">{drive.kind === 'duty' ? 'duty' : 'frequency'}</span>
            <span className="q knob-found">
              {answer?.control === undefined
                ? '…'
                : drive.kind === 'duty'
                  ? answer.control.toFixed(3)
                  : shown(answer.control, 'hertz')}
            </span>
            {control === undefined ? (
              <button
                type="button"
                className="knob-hand"
                disabled={answer?.control === undefined}
                onClick={() => answer?.control !== undefined && set({ control: answer.control })}
              >
                follows; hold it
              </button>
            ) : (
              <ControlSlider
                drive={drive}
                control={control}
                onControl={(value) => set({ control: value })}
                onRelease={release}
              />
            )}
          </div>
        )}
      </div>
      {answer && <WavesFigure answer={answer} faulted={told?.waves} />}
      {answer && (
        <div className="no-print mt-3 flex flex-wrap gap-2">
          <button
            type="button"
            className="btn"
            onClick={() => keepText(wavesCsv(answer.waves), `${circuit.id}.csv`, 'text/csv')}
          >
            Waves as CSV
          </button>
          <button
            type="button"
            className="btn"
            onClick={() => void run.spice().then((deck) => keepText(deck, `${circuit.id}.cir`, 'text/plain'))}
          >
            Circuit as SPICE deck
          </button>
        </div>
      )}
    </Halves>
  );
}

const STEPS = 400;

/** A duty or a frequency that is set by hand. */
function ControlSlider({
  drive,
  control,
  onControl,
  onRelease,
}: {
  drive: { readonly least: number; readonly most: number; readonly kind: 'duty' | 'frequency' };
  control: number;
  onControl: (value: number) => void;
  onRelease: () => void;
}) {
  const { least, most } = drive;
  return (
    <>
      <input
        type="range"
        min={0}
        max={STEPS}
        value={Math.round((STEPS * (control - least)) / (most - least))}
        aria-label={drive.kind}
        aria-valuetext={drive.kind === 'duty' ? control.toFixed(3) : shown(control, 'hertz')}
        onChange={({ target }) => onControl(least + (Number(target.value) / STEPS) * (most - least))}
      />
      <button type="button" className="knob-hand" onClick={onRelease}>
        let it follow
      </button>
    </>
  );
}
