import Link from '../../ui/frame/Link';
import { CIRCUITS, type PowerCircuit } from '../../core/whatif';
import { routes } from '../../routes';
import { Evidence } from '../../ui/frame/Halves';

const GROUPS: readonly { readonly title: string; readonly has: (circuit: PowerCircuit) => boolean }[] = [
  { title: 'Without a transformer', has: ({ id }) => ['buck', 'boost', 'inverting', 'sepic', 'cuk'].includes(id) },
  { title: 'At the line', has: ({ drive, id }) => drive.kind === 'free' || drive.kind === 'once' || id === 'pfc' },
  { title: 'With a transformer', has: () => true },
];

/** Every circuit that can be asked what if. @param hrefOf where a circuit leads; its what if unless given */
export function WhatIfList({ hrefOf = routes.whatIf }: { hrefOf?: (id: string) => string }) {
  const groups = GROUPS.map(({ title, has }, index) => ({
    title,
    circuits: CIRCUITS.filter((one) => has(one) && !GROUPS.slice(0, index).some((before) => before.has(one))),
  }));
  return (
    <Evidence>
      <div className="grid gap-x-10 gap-y-7 min-[900px]:grid-cols-3">
        {groups.map(({ title, circuits }) => (
          <section key={title} aria-label={title}>
            <h2 className="mb-1 text-[16px] font-semibold">{title}</h2>
            <ul className="dotted">
              {circuits.map(({ id, name, message }) => (
                <li key={id}>
                  <Link href={hrefOf(id)} className="block py-2">
                    <b className="font-semibold">{name}</b>
                    <span className="block text-[12.5px] text-ink-2">{message}</span>
                  </Link>
                </li>
              ))}
            </ul>
          </section>
        ))}
      </div>
    </Evidence>
  );
}
