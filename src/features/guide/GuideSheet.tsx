import Link from 'next/link';
import type { ReactNode } from 'react';
import { SOURCE_MEANING, SOURCES } from '../../core/evidence';
import { TESTS } from '../../core/measure';
import { BLOCK_NAMES, DAMAGE_WORDS, DUTY_NAMES, FITMENT_NAMES, KIND_NAMES, kindRule, RATINGS } from '../../core/part';
import { METER_LIMIT, SOLDER_LIMIT, TOUCH_LIMIT_DC } from '../../core/safety';
import { Evidence } from '../../ui/frame/Halves';

const BENCH_LINES: readonly { line: string; means: string }[] = [
  {
    line: 'q1 nmos to-220 marked 12N65',
    means: 'a part: reference, kind, case, and the marking last; ? for what is worn off',
  },
  { line: 'c11..c20 1000u 16V polymer', means: 'ten parts alike; also c1,c4,c7, or both mixed' },
  { line: 'q2 like q1', means: 'a part like another; same takes the one above; what differs may follow' },
  { line: 'c5 secondary', means: `where it sits: ${BLOCK_NAMES.join(', ')}` },
  { line: 'r14 100k clamp', means: `what it is there for: ${DUTY_NAMES.join(', ')}` },
  { line: 'c30 unpopulated', means: `how it is fitted: ${FITMENT_NAMES.join(', ')}` },
  { line: 'c5 bulged', means: `what is wrong with it: ${DAMAGE_WORDS.join(', ')}` },
  { line: 'u1 uc3843', means: 'a number the shop knows needs no “marked”' },
  {
    line: 'claim rv1 sets the current limit',
    means: 'a claim to prove; then support, settle or supersede rv1 with the reason',
  },
  { line: 'strike c5', means: 'takes a part out of the log; rename c5 to c6 calls it otherwise' },
  { line: 'c5 82u 400V 105C bulged', means: 'a part with the values printed on it and what is wrong' },
  { line: 'q1 vds 650V datasheet', means: 'a value, with where it comes from' },
  { line: 'r12 measures 4k69', means: 'a measurement; several fields by name: c5 measures 78u esr 0.4' },
  { line: 'q1 measures sd 0.51 ds OL gs OL', means: 'OL is an open reading; end with in-circuit if it was' },
  { line: 'store c3 82u 400V bleed 470k', means: 'something that stores charge, with the bleed path on the board' },
  {
    line: 'store c1 2 x 470u 200V series',
    means: 'several capacitors; also 470u + 330u, and battery, output or pulse',
  },
  { line: 'power on', means: 'power is applied: readings from before count no more; power off when it is out' },
  {
    line: 'soak 42W 51C 19.1V 2A @ 12min',
    means: 'a row of a run under load: what goes in, the case, the output, the load',
  },
  { line: 'u1 ic sop-8 dated 2148', means: 'a part with its date code, which bounds the age of the unit' },
  { line: 'c3 212V @ 15s', means: 'a reading of a store; without @ the clock counts' },
  { line: '# glue under T1', means: 'a note at the station you are at' },
  { line: '? what is the six-pin part by T2', means: 'a question to chase' },
  { line: 'undo', means: 'takes the last step of this donor back' },
];

const FINDS: readonly { line: string; means: string }[] = [
  { line: 'nmos >=600V', means: 'a kind, and a demand on the rating with that unit' },
  { line: 'nmos vds>=600 rds<1.3', means: 'demands by name' },
  { line: 'capacitor c~470u v>=35', means: '~ is within 20 %, = within 2 %' },
  { line: 'diode to-220 grade:B', means: 'a case; this grade or better' },
  { line: 'bin:C2 from:K7F evidence:measured', means: 'where it lies, where it came from, how well it is known' },
];

/** The cautions first, then the words of the bench line, the search and the evidence. */
export function GuideSheet() {
  return (
    <Evidence>
      <div className="max-w-[820px] text-[13.5px] leading-relaxed">
        <Chapter id="safety" title="Before anything else">
          <p>
            Mains voltage and stored charge kill. An unplugged supply can hold {350} V and several joules for minutes,
            and a capacitor that was emptied can recover. Zorvek does arithmetic; it never makes a thing safe. Only your
            own reading does: on every capacitor, with a meter you checked on a known source just before and after.
          </p>
          <ul className="mt-2 list-disc pl-5">
            <li>
              Under <b className="q">{TOUCH_LIMIT_DC.volts} V</b> DC a store counts as touchable ({TOUCH_LIMIT_DC.cite}
              ); under <b className="q">{SOLDER_LIMIT.volts} V</b> parts may be desoldered; under{' '}
              <b className="q">{METER_LIMIT.volts} V</b> a meter may be put in ohm, capacitance or ESR mode (both common
              practice).
            </li>
            <li>Discharge through a resistor, never with a screwdriver. One hand, glasses, someone within call.</li>
            <li>
              No powered measurement on the mains side without isolation, a current limit and a remote connection.
            </li>
            <li>
              Fuses, X and Y capacitors, varistors and whatever bridges the barrier are replaced new, by type and class.
            </li>
            <li>Local codes and licensed practice go before anything written here.</li>
          </ul>
        </Chapter>
        <Chapter id="bench-line" title="The bench line">
          <p>
            One line at the foot of every donor’s screen, reached with / . It shows what it understood before you press
            Enter; Tab completes; a pasted list is taken line by line.
          </p>
          <Lines lines={BENCH_LINES} />
        </Chapter>
        <Chapter id="meter" title="A meter that fills fields">
          <p>
            With a meter named under Settings, F8 takes its reading into the field that has the focus: volts, ohms or
            farads, whichever the field wants. At Make safe, t starts the stopwatch and m records what the meter shows
            with the time it showed it.
          </p>
        </Chapter>
        <Chapter id="markings" title="Reading markings">
          <p>
            Type what you can read, and ? for a character that is worn off. Every reading names its rule and is a guess
            with a reason. The{' '}
            <Link href="/guide/markings" className="underline decoration-dotted">
              rules
            </Link>{' '}
            and the{' '}
            <Link href="/guide/chips" className="underline decoration-dotted">
              chip families
            </Link>{' '}
            are listed;{' '}
            <Link href="/types" className="underline decoration-dotted">
              Types
            </Link>{' '}
            holds what this shop has learnt.
          </p>
        </Chapter>
        <Chapter id="find" title="Asking the drawers">
          <p>The same words search stock and say what a build needs.</p>
          <Lines lines={FINDS} />
        </Chapter>
        <Chapter id="evidence" title="Where a value comes from">
          <dl className="grid grid-cols-[110px_1fr] gap-x-4">
            {SOURCES.map((source) => (
              <div key={source} className="contents">
                <dt className="font-semibold">{source}</dt>
                <dd>{SOURCE_MEANING[source]}</dd>
              </div>
            ))}
          </dl>
          <p className="mt-2">A stronger word replaces a weaker one; the old value stays in the history.</p>
        </Chapter>
        <Chapter id="tests" title="The bench tests">
          <dl className="grid grid-cols-[150px_1fr] gap-x-4">
            {Object.values(TESTS).map(({ label, fields, precondition }) => (
              <div key={label} className="contents">
                <dt className="font-semibold">{label}</dt>
                <dd>
                  {fields.map((field) => `${field.label} (${field.words.join(', ')})`).join('; ')}. {precondition}
                </dd>
              </div>
            ))}
          </dl>
        </Chapter>
        <Chapter id="kinds" title="Kinds and their ratings">
          <table className="rows plain">
            <thead>
              <tr>
                <th>kind</th>
                <th>words</th>
                <th>on boards</th>
                <th>ratings by name</th>
              </tr>
            </thead>
            <tbody>
              {KIND_NAMES.map((kind) => {
                const { label, words, prefixes, ratings } = kindRule(kind);
                return (
                  <tr key={kind}>
                    <td>{label}</td>
                    <td className="font-mono">{words.join(' ')}</td>
                    <td className="font-mono">{prefixes.join(' ')}</td>
                    <td className="font-mono">{ratings.map((name) => RATINGS[name].words[0]).join(' ')}</td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        </Chapter>
      </div>
    </Evidence>
  );
}

function Chapter({ id, title, children }: { id: string; title: string; children: ReactNode }) {
  return (
    <section id={id} className="mb-8">
      <h2 className="mb-1.5 text-[17px] font-semibold">{title}</h2>
      {children}
    </section>
  );
}

function Lines({ lines }: { lines: readonly { line: string; means: string }[] }) {
  return (
    <dl className="dotted mt-2">
      {lines.map(({ line, means }) => (
        <div key={line} className="grid grid-cols-[minmax(0,320px)_1fr] gap-x-4 py-1.5 max-[620px]:grid-cols-1">
          <dt className="font-mono text-[13px]">{line}</dt>
          <dd className="text-ink-2">{means}</dd>
        </div>
      ))}
    </dl>
  );
}
