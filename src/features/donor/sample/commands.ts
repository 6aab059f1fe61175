import type { AppContext } from '../../../db/context';
import type { Outcome } from '../../../services/command';
import { routes } from '../../../routes';
import { archiveDonor, registerDonor } from '../intake/commands';
import { donorForm } from '../intake/schema';
import { recordLine } from '../shared/recordLine';
import { SAMPLE_LINES, SAMPLE_UNIT } from './sampleLines';

/** Puts a made-up unit into the shop, traced and tested line by line as a person would, to look round in. */
export async function addSample(app: AppContext): Promise<Outcome<{ code: string }>> {
  const registered = await registerDonor(app, donorForm.parse(SAMPLE_UNIT));
  if (!registered.ok) return registered;
  const { code } = registered.value;
  for (const [station, line] of SAMPLE_LINES) {
    const outcome = await recordLine(app, { code, station, line });
    if (!outcome.ok) return outcome;
  }
  return {
    ok: true,
    message: `${code} is made up: look round in it, and remove it when you like.`,
    value: { code },
    goto: routes.station(code, 'trace'),
  };
}

/** Takes the made-up unit out of the shop. */
export function removeSample(app: AppContext, code: string): Promise<Outcome> {
  return archiveDonor(app, code);
}
