import type { AppContext } from '../context';
import { donors } from '../schema';

const AT_ONCE = 500;

/** Puts donors in, each with a label, a size and a year of its own. */
export function manyDonors({ db }: Pick<AppContext, 'db'>, count: number): Promise<void> {
  return db.write(async (tx) => {
    for (let from = 0; from < count; from += AT_ONCE)
      await tx.insert(donors).values(
        Array.from({ length: Math.min(AT_ONCE, count - from) }, (_, place) => {
          const n = from + place;
          return {
            id: `d${n}`,
            code: `T${String(n).padStart(5, '0')}`,
            description: 'adapter',
            nameplate: `INPUT 100-240V~ 1.5A OUTPUT 19V ${(2 + (n % 300) / 100).toFixed(2)}A No ${n}`,
            dateCodes: `${String(n % 20).padStart(2, '0')}10 label`,
            lengthM: 0.1,
            widthM: 0.05,
            heightM: 0.03,
            createdMs: n,
          };
        }),
      );
  });
}
