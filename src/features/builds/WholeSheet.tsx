import Link from '../../ui/frame/Link';
import { MOUNTING_NAMES, MOUNTINGS, PLUG_NAMES, PLUGS } from '../../core/module';
import { EmptyState } from '../../ui/feedback/EmptyState';
import { Halves } from '../../ui/frame/Halves';
import { Judgement } from '../../ui/judgement/Judgement';
import { Caution, Claim, Next, Section } from '../../ui/judgement/parts';
import type { WholeView } from './whole.server';
import { routes } from '../../routes';

const ANY = { value: '', label: 'any' };
const PLUG_CHOICES = [ANY, ...PLUG_NAMES.map((value) => ({ value, label: PLUGS[value].label }))];
const MOUNTING_CHOICES = [ANY, ...MOUNTING_NAMES.map((value) => ({ value, label: MOUNTINGS[value].label }))];

const WORD = { good: 'fits', limits: 'with limits', no: 'no' } as const;

/** Supplies that lie here in one piece, alone or stacked, for a load. */
export function WholeSheet(view: WholeView) {
  const { query, problem, asked, rows, stacks, fans } = view;
  return (
    <Halves judgement={<Thought view={view} />}>
      <form method="get" aria-label="What is wanted" className="flex flex-wrap items-end gap-3">
        {(
          [
            ['volts', 'volts', '12V'],
            ['amps', 'at', '5A'],
            ['ripple', 'ripple under', '100mV'],
            ['fan', 'a fan of', '12V'],
          ] as const
        ).map(([name, label, placeholder]) => (
          <label key={name} className="field w-[112px]" data-mono="">
            <span className="text-[12px] text-ink-2">{label}</span>
            <input name={name} defaultValue={query[name]} placeholder={placeholder} autoComplete="off" />
          </label>
        ))}
        {(
          [
            ['plug', 'plug', PLUG_CHOICES],
            ['mounting', 'mounting', MOUNTING_CHOICES],
          ] as const
        ).map(([name, label, choices]) => (
          <label key={name} className="field w-[172px]">
            <span className="text-[12px] text-ink-2">{label}</span>
            <select name={name} defaultValue={query[name]}>
              {choices.map(({ value, label: text }) => (
                <option key={value} value={value}>
                  {text}
                </option>
              ))}
            </select>
          </label>
        ))}
        <label className="mb-2.5 flex items-center gap-2 text-[13px]">
          <input type="checkbox" name="isolated" value="yes" defaultChecked={query.isolated !== ''} /> isolated from the
          mains
        </label>
        <label className="mb-2.5 flex items-center gap-2 text-[13px]">
          <input type="checkbox" name="quiet" value="yes" defaultChecked={query.quiet !== ''} /> no fan heard
        </label>
        <button type="submit" className="btn mb-1" data-tone="next">
          Look for supplies
        </button>
      </form>
      {problem !== undefined && (
        <p role="alert" className="mt-3 text-[13.5px] font-semibold text-stop">
          {problem}
        </p>
      )}
      {problem === undefined && asked === undefined && fans.length === 0 && (
        <EmptyState title="What is it to feed?">
          Volts and amperes: supplies nothing was taken out of are held against them, alone, in series and side by side.
        </EmptyState>
      )}
      {rows.length > 0 && (
        <table className="rows plain mt-4" aria-label="Supplies">
          <thead>
            <tr>
              <th>unit</th>
              <th>what it is</th>
              <th>gives</th>
              <th>match</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ key, code, href, title, gives, verdict, checks }) => (
              <tr key={key}>
                <td>
                  <Link href={href} className="ref">
                    {code}
                  </Link>
                </td>
                <td>{title}</td>
                <td className="q whitespace-nowrap">{gives}</td>
                <td>
                  <span className="font-semibold">{WORD[verdict]}</span>
                  <Checks checks={checks} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {stacks.length > 0 && (
        <section aria-label="Stacks" className="mt-6">
          <h2 className="label mb-1">Stacked</h2>
          <ol className="grid">
            {stacks.map(({ key, way, of, verdict, checks, wants }) => (
              <li key={key} className="border-t border-rule py-2.5 text-[13px]">
                <p className="flex flex-wrap items-baseline gap-x-3">
                  <b>{way}</b>
                  <span>
                    {of.map(({ code, href, count }, place) => (
                      <span key={`${code} ${place}`}>
                        {place > 0 && ' + '}
                        {count > 1 && `${count} × `}
                        <Link href={href} className="ref">
                          {code}
                        </Link>
                      </span>
                    ))}
                  </span>
                  <span className="ml-auto font-semibold">{WORD[verdict]}</span>
                </p>
                <Checks checks={checks} />
                <ul className="mt-1 list-disc pl-5 text-[12.5px]">
                  {wants.map((text) => (
                    <li key={text}>{text}</li>
                  ))}
                </ul>
              </li>
            ))}
          </ol>
        </section>
      )}
      {fans.length > 0 && (
        <section aria-label="For the fan" className="mt-6">
          <h2 className="label mb-1">For the fan</h2>
          <ul>
            {fans.map(({ key, title, href, level, message }) => (
              <li key={key} className="border-t border-rule py-2 text-[13px]">
                <Link href={href} className="font-semibold underline decoration-dotted">
                  {title}
                </Link>{' '}
                <span className="text-ink-2">
                  {WORD[level]}: {message}
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </Halves>
  );
}

function Checks({ checks }: { checks: readonly { readonly text: string; readonly isBad: boolean }[] }) {
  return (
    <span className="block text-[11.5px] leading-snug text-ink-2">
      {checks.map(({ text, isBad }, place) => (
        <span key={text} className={isBad ? 'text-ink' : undefined}>
          {place > 0 && '; '}
          {isBad && '△ '}
          {text}
        </span>
      ))}
    </span>
  );
}

function Thought({ view: { asked, rows, stacks } }: { view: WholeView }) {
  const [best] = rows;
  const [stack] = stacks;
  return (
    <Judgement>
      <Claim label={asked === undefined ? 'Whole supplies' : `For ${asked}`} rule={routes.article('whole')}>
        {asked === undefined
          ? 'Nothing is asked yet'
          : best && best.verdict !== 'no'
            ? `${best.title}, ${best.gives}: ${WORD[best.verdict]}`
            : stack
              ? `No one unit; ${stack.way.toLowerCase()}: ${WORD[stack.verdict]}`
              : rows.length > 0
                ? 'Nothing here does it; these come nearest'
                : 'Nothing here does it in one piece'}
      </Claim>
      {asked !== undefined && (
        <Next>
          {best && best.verdict !== 'no'
            ? 'Run it under this load for an hour first, and read its volts and its case.'
            : stack
              ? 'Read the warnings of the stack before a wire is joined; a unit that floats by its plate is measured all the same.'
              : 'Look among the donors for one more, or design it from the drawers where it stays under 60 V.'}
        </Next>
      )}
      <Section label="Why whole">
        A finished supply brings its isolation, its fuse and its test with it. What is taken apart loses them.
      </Section>
      <Caution>
        By what their plates say. Outputs in series are dangerous above 60 V DC; insulation, creepage and earth are
        judged by the standard of the appliance, local codes apply, and a licensed person where they ask for one.
      </Caution>
    </Judgement>
  );
}
