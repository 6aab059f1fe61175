import Link from '../../ui/frame/Link';
import { kindRule } from '../../core/part';
import { formatQuantity } from '../../core/quantity';
import { FIELD_NOTES, type PowerCircuit } from '../../core/whatif';
import { Halves } from '../../ui/frame/Halves';
import { Judgement } from '../../ui/judgement/Judgement';
import { Caution, Claim, Next, Section } from '../../ui/judgement/parts';
import { routes } from '../../routes';
import { marginText, stressLabel } from './present';
import type { TopologyView } from './topology.server';
import { TopologyFigures } from './TopologyFigures';

/** Stresses that stand nearest to what the part stands. */
const NEAREST = 5;

/** One topology in the Guide: drawn and running, how it is told, what is worth taking, what fails. */
export function TopologyGuide({ circuit, view }: { circuit: PowerCircuit; view: TopologyView }) {
  const notes = FIELD_NOTES[circuit.id];
  const { answer } = view;
  const usual = Object.fromEntries(circuit.knobs.map((knob) => [knob.id, knob.usual]));
  const kinds = new Set(circuit.parts(usual).map(({ drawn }) => kindRule(drawn.kind).label));
  return (
    <Halves
      judgement={
        <Judgement label="What to know of it">
          <Claim label={circuit.name}>{notes?.purpose ?? `${circuit.message}.`}</Claim>
          {notes && (
            <p className="text-[13px] text-ink-2">
              {notes.watts &&
                `From ${formatQuantity(notes.watts[0], 'watt')} to ${formatQuantity(notes.watts[1], 'watt')}. `}
              Found in {notes.found}.
            </p>
          )}
          {notes && (
            <>
              <Told label="How it is told, unpowered" items={notes.tells} />
              <Told label="Worth taking" items={notes.worth} />
              <Told label="What fails" items={notes.fails} />
            </>
          )}
          {answer && answer.stresses.length > 0 && (
            <Section label="Nearest to its limit at the usual values">
              <ul className="sum-why">
                {answer.stresses.slice(0, NEAREST).map((stress) => (
                  <li key={`${stress.ref} ${stress.kind}`}>
                    {stress.ref}, {stressLabel(stress)}: {marginText(stress)}
                  </li>
                ))}
              </ul>
            </Section>
          )}
          <Next
            actions={
              <Link href={routes.sum('converter')} className="underline">
                its currents and voltages
              </Link>
            }
          >
            <Link href={routes.whatIf(circuit.id)} className="underline">
              Turn its values, and break it
            </Link>
          </Next>
          <Caution>
            How it is told, what it is worth and what fails: common practice, no source. Forms are those of textbooks.
          </Caution>
        </Judgement>
      }
    >
      <TopologyFigures schematic={view.schematic} answer={answer} />
      <p className="mt-3 max-w-[72ch] text-[13px] text-ink-2">It is made of: {[...kinds].join(', ')}.</p>
    </Halves>
  );
}

function Told({ label, items }: { label: string; items: readonly string[] }) {
  return (
    <Section label={label}>
      <ul className="sum-why">
        {items.map((item) => (
          <li key={item}>{item}</li>
        ))}
      </ul>
    </Section>
  );
}
