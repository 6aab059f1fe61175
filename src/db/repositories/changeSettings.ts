import type { Edit } from './journal';
import type { ShopSettings } from './settings';

/** Changes settings as part of an edit; those not named stay. */
export async function changeSettings(edit: Edit, changed: Partial<ShopSettings>): Promise<void> {
  for (const [name, value] of Object.entries(changed)) await edit.setting(name, value);
}
