import Link from '../../ui/frame/Link';
import { CHIP_FAMILIES, CHIP_ROLES, type ChipRole } from '../../core/chips';
import { Evidence } from '../../ui/frame/Halves';
import { routes } from '../../routes';

/** Every chip family that is remembered, by what it does. */
export function ChipsSheet() {
  const roles = Object.entries(CHIP_ROLES) as [ChipRole, string][];
  return (
    <Evidence>
      <p className="mb-3 max-w-[760px] text-[13.5px]">
        {CHIP_FAMILIES.length} families, all <b className="font-semibold">remembered</b>: check the datasheet of the
        chip in hand before you rely on a pin or a voltage. What is not remembered is left out.
      </p>
      {roles.map(([role, label]) => (
        <section key={role} className="mb-4">
          <h2 className="mb-0.5 text-[15px] font-semibold">
            {label[0]?.toUpperCase()}
            {label.slice(1)}s
          </h2>
          <ul className="dotted max-w-[860px] text-[13px]">
            {CHIP_FAMILIES.filter((family) => family.role === role).map(({ id, function: does, packages }) => (
              <li key={id} className="grid grid-cols-[190px_1fr_150px] gap-x-3 py-1 max-[620px]:grid-cols-1">
                <Link href={routes.chip(id)} className="q">
                  {id}
                </Link>
                <span>{does}</span>
                <span className="text-ink-2">{packages.join(', ')}</span>
              </li>
            ))}
          </ul>
        </section>
      ))}
    </Evidence>
  );
}
