import 'server-only';
import type { AppContext } from '../../db/context';
import { offeredWords, type OwnWord, type Slip } from '../../core/benchline';
import { readSettings, readSlips, type ShopSettings } from '../../db/repositories/settings';
import { DEFAULT_ACCURACY, accuracyText } from '../../core/uncertainty';
import { ACCURACY_NAMES, QUANTITY_LABEL } from './schema';

export interface MetersView {
  readonly quantities: readonly { readonly name: string; readonly label: string; readonly usual: string }[];
  readonly meters: readonly { readonly name: string; readonly message: string }[];
}

/** The settings as they stand. */
export function settingsView({ db }: AppContext): Promise<ShopSettings> {
  return readSettings(db.read);
}

/** The shop's meters with their accuracies as a person types them, and what stands in for a blank. */
export async function metersView(app: AppContext): Promise<MetersView> {
  const { meters } = await settingsView(app);
  return {
    quantities: ACCURACY_NAMES.map((name) => ({
      name,
      label: QUANTITY_LABEL[name],
      usual: accuracyText(DEFAULT_ACCURACY[name]),
    })),
    meters: meters.map(({ name, accuracies }) => ({
      name,
      message: ACCURACY_NAMES.flatMap((quantity) => {
        const accuracy = accuracies[quantity];
        return accuracy ? [`${QUANTITY_LABEL[quantity]} ${accuracyText(accuracy)}`] : [];
      }).join(', '),
    })),
  };
}

/** Words of the shop, and slips made so often that they are offered as such. */
export async function wordsView({ db }: AppContext): Promise<WordsView> {
  const [{ ownWords }, slips] = await Promise.all([readSettings(db.read), readSlips(db.read)]);
  return { ownWords, offered: offeredWords(slips, ownWords) };
}

export interface WordsView {
  readonly ownWords: readonly OwnWord[];
  readonly offered: readonly Slip[];
}
