import Link from '../../ui/frame/Link';
import type { ReactNode } from 'react';
import { GRAMMAR } from '../../core/benchline';
import { SOURCE_MEANING, SOURCES } from '../../core/evidence';
import { ARTICLES } from '../../core/guide';
import { TESTS } from '../../core/measure';
import { KIND_NAMES, kindRule, RATINGS } from '../../core/part';
import { METER_LIMIT, SOLDER_LIMIT, TOUCH_LIMIT_DC } from '../../core/safety';
import { STOCK_COMMANDS } from '../../core/stock';
import { Evidence } from '../../ui/frame/Halves';
import { routes } from '../../routes';

const FINDS: readonly { line: string; means: string }[] = [
  {
    line: 'resistor 4k7',
    means:
      'a plain value is about that value: ± 5 % of resistors and chokes, ± 20 % of electrolytics, ± 10 % of others',
  },
  {
    line: 'nmos 600V 8A to-220',
    means:
      'plain volts and amperes are what it must stand at least; of a regulator, zener, fan or relay they are that value',
  },
  {
    line: 'electrolytic 1000u 25V or more, max 10 mm diameter',
    means: 'or more, at least, over, max, under, between: in words or as >= <= > <',
  },
  { line: 'nmos vds>=600 rds<1.3', means: 'demands by the name of a rating' },
  { line: 'cap 1000u..2200u >=25V low esr', means: 'a range; low ESR is 0.1 Ω or less as recorded' },
  {
    line: 'instead of a 2N60',
    means: 'of its kind, and no weaker in volts and amperes; “stronger” asks for more current',
  },
  { line: 'cap ~100u for:ripple', means: 'what it is for: a lot whose limits forbid that does not fit' },
  { line: 'fuse 2A slow grade A', means: 'a grade; “not grade C”, “grade B or better”' },
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
        <Chapter id="trade" title="Rules of the trade">
          <p>
            The tables that Zorvek judges by, each line with its source and with the donors in which it was met. The
            line at the foot of every page finds in them: <span className="font-mono">guide snubber</span>.
          </p>
          <ul className="dotted mt-2">
            {ARTICLES.filter(({ id }) => id !== 'chips' && id !== 'topologies').map(({ id, title, intro, lines }) => (
              <li key={id} className="py-1.5">
                <Link href={routes.article(id)} className="font-semibold underline decoration-dotted">
                  {title}
                </Link>{' '}
                <span className="text-[12px] text-ink-2">{lines.length}</span>
                <span className="block text-ink-2">{intro}</span>
              </li>
            ))}
          </ul>
        </Chapter>
        <Chapter id="bench-line" title="The bench line">
          <p>
            One line at the foot of every donor’s screen, reached with / . It shows what it understood before you press
            Enter; Tab completes; a pasted list is taken line by line.
          </p>
          <Lines lines={[...GRAMMAR, { line: 'undo', means: 'takes the last step of this donor back' }]} />
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
            <Link href={routes.markings()} className="underline decoration-dotted">
              rules
            </Link>{' '}
            and the{' '}
            <Link href={routes.chips()} className="underline decoration-dotted">
              chip families
            </Link>{' '}
            are listed;{' '}
            <Link href={routes.types()} className="underline decoration-dotted">
              Types
            </Link>{' '}
            holds what this shop has learnt.
          </p>
        </Chapter>
        <Chapter id="topologies" title="Topologies">
          <p>
            What each circuit is for, drawn and as it runs, how it is told on a board, what is worth taking, what fails:{' '}
            <Link href={routes.topologies()} className="underline decoration-dotted">
              a page for each of twenty
            </Link>
            .
          </p>
        </Chapter>
        <Chapter id="find" title="Asking the drawers">
          <p>The same words search stock and say what a build needs.</p>
          <Lines lines={[...FINDS, ...STOCK_COMMANDS]} />
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
                  {fields.length > 0 &&
                    `${fields.map((field) => `${field.label} (${field.words.join(', ')})`).join('; ')}. `}
                  {precondition}
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
