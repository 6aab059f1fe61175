import Link from '../../ui/frame/Link';
import { chipFacts, CHIP_ROLES, outlineOf, PIN_FUNCTIONS, type ChipFamily } from '../../core/chips';
import { ChosenPin } from '../../ui/charts/ChosenPin';
import { Halves } from '../../ui/frame/Halves';
import { Judgement } from '../../ui/judgement/Judgement';
import { Caution, Claim, Section } from '../../ui/judgement/parts';
import { routes } from '../../routes';
import { MetIn } from './ArticleSheet';

/** One chip family: its pins and what to expect on each, unpowered, and what is remembered of it. */
export function ChipFamilySheet({
  family,
  met,
  learnt,
}: {
  family: ChipFamily;
  met: readonly string[];
  /** What the shop asked of such chips and settled, with the donor. */
  learnt: readonly { readonly text: string; readonly code: string }[];
}) {
  const { id, function: does, pins, tells, names, memory } = family;
  const top = outlineOf(family, false);
  return (
    <Halves
      judgement={
        <Judgement>
          <Claim label={CHIP_ROLES[family.role]}>{id}</Claim>
          <p className="text-[13.5px]">
            {does[0]?.toUpperCase()}
            {does.slice(1)}.{met.length > 0 && <MetIn codes={met} />}
          </p>
          {pins.length > 0 && (
            <ChosenPin
              label={id}
              style={top.style}
              sides={[
                { name: 'the top', legs: top.legs },
                { name: 'the solder side', legs: outlineOf(family, true).legs },
              ]}
              names={pins.map(({ number, name }) => [number, name] as const)}
              first={tells?.pin ?? pins[0]?.number}
              details={Object.fromEntries(
                pins.map(({ number, name, does: what }) => [
                  number,
                  <p key={number}>
                    <span className="q">
                      {number} {name}
                    </span>{' '}
                    {PIN_FUNCTIONS[what].label}. {PIN_FUNCTIONS[what].next}
                  </p>,
                ]),
              )}
            />
          )}
          {tells && (
            <Section label="The pin that tells most">
              Pin {tells.pin}: {tells.why}.
            </Section>
          )}
          {learnt.length > 0 && (
            <Section label="Settled in this shop">
              <ul className="grid gap-1">
                {learnt.map(({ text, code }) => (
                  <li key={`${code} ${text}`}>
                    {text}{' '}
                    <Link href={routes.donor(code)} className="ref">
                      {code}
                    </Link>
                  </li>
                ))}
              </ul>
            </Section>
          )}
          <Caution>
            Remembered{memory === 'sure' ? '' : ', and not for sure'}: check the datasheet. A pin table helps tracing;
            it never proves what a chip is.
          </Caution>
        </Judgement>
      }
    >
      <dl className="mb-4 grid max-w-[720px] grid-cols-[150px_1fr] gap-x-3 gap-y-1 text-[13.5px]">
        {chipFacts(family).map(({ label, value }) => (
          <div key={label} className="contents">
            <dt className="text-ink-2">{label}</dt>
            <dd>{value}</dd>
          </div>
        ))}
        <dt className="text-ink-2">marked</dt>
        <dd className="font-mono text-[12.5px]">{names.join(' ') || 'by its number pattern'}</dd>
      </dl>
      {pins.length > 0 && (
        <table className="rows plain" aria-label="Pins">
          <thead>
            <tr>
              <th>pin</th>
              <th>does</th>
              <th>diode mode, unpowered</th>
              <th>to ground</th>
              <th>look next</th>
            </tr>
          </thead>
          <tbody>
            {pins.map(({ number, name, does: what }) => {
              const { label, diodeMode, resistance, next } = PIN_FUNCTIONS[what];
              return (
                <tr key={number}>
                  <td className="q">
                    {number} {name}
                  </td>
                  <td>{label}</td>
                  <td>{diodeMode}</td>
                  <td>{resistance}</td>
                  <td className="text-ink-2">{next}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
    </Halves>
  );
}
