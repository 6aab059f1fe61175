import fc from 'fast-check';
import { shareContext } from '../../../db/testing/sharedContext';
import { temporaryContext } from '../../../db/testing/temporaryContext';
import { valueOf } from '../../../services/command';
import { dossierOf } from '../../../services/dossier/testing/dossierOf';
import { registerDonor } from '../intake/commands';
import { donorForm } from '../intake/schema';
import { recordLine } from '../shared/recordLine';

/** What each line does to the one store that is watched, C3. */
const LINES: Readonly<Record<string, 'empties' | 'charges' | 'powers' | 'unplugs' | 'is taken' | 'is refused'>> = {
  'c3 0.0V': 'empties',
  'c3 0.25V @ 60s': 'empties',
  'c3 -0.1V': 'empties',
  'c3 212V @ 5s': 'charges',
  'c3 4.8V': 'charges',
  'c3 0V': 'charges',
  'power on': 'powers',
  'soak 42W 31C': 'powers',
  unplugged: 'unplugs',
  'meter checked': 'is taken',
  'tool on c3 2k2': 'is taken',
  'tool off c3': 'is taken',
  'cx1 0.0V': 'is taken',
  '# c3 0.0V': 'is taken',
  'c3 0.4mV': 'is refused',
  'c3 0.1VAC': 'is refused',
  'c3 0.0A': 'is taken',
};

let fixture: Awaited<ReturnType<typeof temporaryContext>>;
beforeEach(async () => shareContext((fixture = await temporaryContext()).app));
afterEach(() => fixture.dispose());

/**
 * Whatever is recorded in whatever order: C3 is measured dead when its last DC reading since power last came or went was
 * empty within the meter's doubt, and never otherwise. A reading of 0 V to the volt may be 2 V: it is not empty.
 */
test('no sequence of records makes a store seem dead', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.constantFrom(...Object.keys(LINES)), { minLength: 1, maxLength: 7 }),
      async (lines) => {
        const { app } = fixture;
        const form = donorForm.parse({ description: 'adapter', nameplate: '' });
        const { code } = valueOf(await registerDonor(app, form));
        const type = (line: string) => recordLine(app, { code, station: 'make-safe', line });
        for (const line of ['store c3 82u 400V', 'store cx1 220n 275V']) await type(line);
        let isEmpty = false;
        let isOn = false;
        for (const line of lines) {
          const does = LINES[line];
          expect((await type(line)).ok).toBe(does !== 'is refused');
          if (does === 'powers') isOn = true;
          if (does === 'unplugs') isOn = false;
          if (does === 'empties') isEmpty = !isOn;
          if (does === 'charges' || does === 'powers' || does === 'unplugs') isEmpty = false;
          const { liveStores } = await (await dossierOf(app, code)).overview();
          expect(liveStores.some(({ name }) => name === 'C3')).toBe(!isEmpty);
        }
      },
    ),
    { seed: 16, numRuns: 25 },
  );
});
