import 'server-only';
import { limitText } from '../../../core/measure';
import { kindRule, RATINGS, type RatingName } from '../../../core/part';
import { formatQuantity } from '../../../core/quantity';
import { lotTitle } from '../../../core/stock';
import type { AppContext } from '../../../db/context';
import { findLots } from '../../../db/repositories/lotSearch';
import { routes } from '../../../routes';
import { labelSvg, type LabelText } from './label';
import { labelsPdf } from './labelPdf';
import { labelSize } from './labelSizes';

/** What stands on the labels of lots, each with the address of its page on the server that was asked. */
async function labelTexts({ db }: AppContext, codes: readonly string[], origin: string): Promise<LabelText[]> {
  const rows = await findLots(db.read, codes.map((code) => code.trim().toUpperCase()).slice(0, 200));
  return rows.map(({ lot, bin, donorCode, partRef, ratings }) => {
    const known = kindRule(lot.kind).ratings.filter((name) => ratings[name]);
    const [main] = known;
    const isMeasured = (name: RatingName) => name !== main && ratings[name]?.source === 'measured';
    // What it is, then what was found out about it, then what is printed on it.
    const values = known
      .toSorted((a, b) => Number(b === main) - Number(a === main) || Number(isMeasured(b)) - Number(isMeasured(a)))
      .slice(0, 3)
      .map((name) => {
        const value = formatQuantity(ratings[name]?.value ?? 0, RATINGS[name].unit);
        return isMeasured(name) ? `${RATINGS[name].label} ${value}` : value;
      });
    return {
      code: lot.code,
      title: lotTitle({ ...lot, ratings }),
      lines: [
        [`bin ${bin}`, lot.grade && `grade ${lot.grade}`].filter(Boolean).join(', '),
        [...values, lot.package].filter(Boolean).join('  '),
        lot.limits.length > 0
          ? lot.limits.map(limitText).join(', ')
          : donorCode === null
            ? ''
            : `from ${donorCode} ${partRef ?? ''}`,
      ],
      url: `${origin}${routes.lot(lot.code)}`,
    };
  });
}

/** Labels of lots as SVG. */
export async function lotLabels(
  app: AppContext,
  codes: readonly string[],
  origin: string,
  size?: string,
): Promise<{ code: string; svg: string }[]> {
  return (await labelTexts(app, codes, origin)).map((label) => ({
    code: label.code,
    svg: labelSvg(label, labelSize(size)),
  }));
}

/** Labels of lots as a PDF for a sheet or a roll. */
export async function lotLabelsPdf(
  app: AppContext,
  codes: readonly string[],
  origin: string,
  of: { size: string | undefined; skip: number },
): Promise<Uint8Array> {
  return labelsPdf(await labelTexts(app, codes, origin), labelSize(of.size), of.skip);
}
