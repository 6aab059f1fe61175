'use client';

import { useState } from 'react';
import type { StageRun, TracedUnit, Used } from '../../../../core/traced';
import { STRESS_WORDS } from '../../../../core/whatif';
import { WavesFigure } from '../../../../ui/charts/WavesFigure';
import { keepText } from '../../../../ui/picture/keepFile';
import { capital, shown, sourceMeaning, stageWords, usedText } from './present';

/** Parts shown at first; the rest are folded away. */
const PARTS_SHOWN = 10;

/** One stage as it runs: its rails, its waves, its parts, and the values it rests on. */
export function StageView({
  stage,
  used,
  readings,
}: {
  stage: StageRun;
  used: readonly Used[];
  readings: NonNullable<TracedUnit['readings']>;
}) {
  const { answer, inputVolts, topology } = stage;
  const control =
    answer.control === undefined
      ? ''
      : answer.control > 1
        ? `, ${shown(answer.control, 'hertz')}`
        : `, duty ${answer.control.toFixed(3)} at ${shown(1 / answer.period, 'hertz')}`;
  return (
    <>
      <p className="mt-2 text-[13.5px]">
        {capital(stageWords(topology))} from {shown(inputVolts, 'volt')}
        {control}. {answer.headline}.
      </p>
      <Rails stage={stage} readings={readings} />
      <WavesFigure answer={answer} />
      <Parts stage={stage} />
      <RestsOn used={used.filter(({ ref }) => stage.parts.includes(ref) || stage.rails.some(({ at }) => at === ref))} />
      <div className="no-print mt-3">
        <button type="button" className="btn" onClick={() => keepText(stage.deck, `${topology}.cir`, 'text/plain')}>
          Circuit as SPICE deck
        </button>
      </div>
    </>
  );
}

function Rails({ stage: { rails }, readings }: { stage: StageRun; readings: NonNullable<TracedUnit['readings']> }) {
  const readOf = (plate: number | undefined) =>
    plate === undefined ? undefined : readings.find(({ volts }) => Math.abs(volts - plate) < 0.5 * Math.abs(plate));
  return (
    <div className="overflow-x-auto">
      <table className="stresses" aria-label="Rails">
        <thead>
          <tr>
            <th>rail</th>
            <th className="num">as it runs</th>
            <th className="num">ripple</th>
            <th className="num">current</th>
            <th className="num">plate</th>
            <th className="num">measured</th>
            <th>held by</th>
          </tr>
        </thead>
        <tbody>
          {rails.map(({ at, volts, ripple, amperes, plate, divider, isHeld, isOwnSupply }) => (
            <tr key={at}>
              <td className="q">{at}</td>
              <td className="num">
                <b>{shown(volts, 'volt')}</b>
              </td>
              <td className="num">{shown(ripple, 'volt')}</td>
              <td className="num">{shown(amperes, 'ampere')}</td>
              <td className="num">{plate === undefined ? '–' : shown(plate, 'volt')}</td>
              <td className="num">{readOf(plate) ? shown(readOf(plate)?.volts ?? 0, 'volt') : '–'}</td>
              <td className="pl-3">
                {divider
                  ? divider.refs.join(' ')
                  : isHeld
                    ? 'taken from the plate'
                    : isOwnSupply
                      ? 'nothing: feeds the unit itself'
                      : 'its turns alone'}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** The tightest stress of each part with the heat it makes. */
function Parts({ stage: { answer, heat, guessed } }: { stage: StageRun }) {
  const [isOpen, setOpen] = useState(false);
  const refs = [...new Set([...answer.stresses.map(({ ref }) => ref), ...heat.map(({ ref }) => ref)])];
  const rows = refs.map((ref) => ({
    ref,
    stress: answer.stresses.find((one) => one.ref === ref),
    watts: heat.find((one) => one.ref === ref)?.watts,
  }));
  const inOrder = rows.toSorted(
    (a, b) => (b.stress?.share ?? 0) - (a.stress?.share ?? 0) || (b.watts ?? 0) - (a.watts ?? 0),
  );
  return (
    <>
      <table className="stresses" aria-label="Parts">
        <thead>
          <tr>
            <th>part</th>
            <th>stress, tightest first</th>
            <th className="num">now, of rating</th>
            <th className="num">used</th>
            <th className="num">heat</th>
          </tr>
        </thead>
        <tbody>
          {(isOpen ? inOrder : inOrder.slice(0, PARTS_SHOWN)).map(({ ref, stress, watts }) => (
            <tr key={ref} data-standing={stress && stress.share > 1 && !guessed.includes(ref) ? 'over' : undefined}>
              <td className="q">{ref}</td>
              <td>{stress ? STRESS_WORDS[stress.kind].label : ''}</td>
              <td className="num q">
                {stress && (
                  <>
                    <b>{shown(stress.value, STRESS_WORDS[stress.kind].unit)}</b>{' '}
                    {guessed.includes(ref)
                      ? 'by typical turns'
                      : Number.isFinite(stress.limit)
                        ? `of ${shown(stress.limit, STRESS_WORDS[stress.kind].unit)}`
                        : 'rating not known'}
                  </>
                )}
              </td>
              <td className="num word">
                {stress && Number.isFinite(stress.limit) && !guessed.includes(ref)
                  ? `${Math.round(100 * stress.share)} %`
                  : ''}
              </td>
              <td className="num">{watts === undefined || watts < 5e-4 ? '' : shown(watts, 'watt')}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {inOrder.length > PARTS_SHOWN && (
        <button type="button" className="btn" data-tone="quiet" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
          {isOpen ? 'fold them' : `all ${inOrder.length} parts`}
        </button>
      )}
    </>
  );
}

/** Every value that the run rests on, what is typical first: it is what may be wrong. */
function RestsOn({ used }: { used: readonly Used[] }) {
  const inOrder = used.toSorted((a, b) => Number(b.source === 'typical') - Number(a.source === 'typical'));
  return (
    <details className="mt-3">
      <summary className="label cursor-pointer">What it rests on, {used.length} values</summary>
      <table className="stresses" aria-label="What it rests on">
        <thead>
          <tr>
            <th>part</th>
            <th>value</th>
            <th className="num">taken as</th>
            <th>from</th>
          </tr>
        </thead>
        <tbody>
          {inOrder.map((one) => (
            <tr key={`${one.ref} ${one.name}`}>
              <td className="q">{one.ref}</td>
              <td>{one.label}</td>
              <td className="num q">{usedText(one)}</td>
              <td className="pl-3" title={sourceMeaning(one)}>
                {one.source}
                {one.why ? `: ${one.why}` : ''}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}
