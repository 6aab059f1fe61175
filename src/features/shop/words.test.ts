import { shareContext } from '../../db/testing/sharedContext';
import { temporaryContext } from '../../db/testing/temporaryContext';
import { undoStep, valueOf } from '../../services/command';
import { dossierOf } from '../../services/dossier/testing/dossierOf';
import { blamed, formOf } from '../../ui/form/testing/forms';
import { registerDonor } from '../donor/intake/commands';
import { donorForm } from '../donor/intake/schema';
import { recordLine } from '../donor/shared/recordLine';
import { keepOfferedAction, keepOwnWordAction, removeOwnWordAction } from './actions';
import { wordsView } from './view.server';

let fixture: Awaited<ReturnType<typeof temporaryContext>>;
let code: string;
beforeEach(async () => {
  shareContext((fixture = await temporaryContext()).app);
  code = valueOf(await registerDonor(fixture.app, donorForm.parse({ description: 'adapter', nameplate: '' }))).code;
});
afterEach(() => fixture.dispose());

const type = (line: string) => recordLine(fixture.app, { code, station: 'identify', line });
const kinds = async () =>
  (await (await dossierOf(fixture.app, code)).parts()).map(({ part }) => `${part.ref} ${part.kind}`);

test('a word that was kept is understood on the next line, and not once it is deleted', async () => {
  expect((await type('l1 gubbins')).ok && (await kinds())).not.toEqual(['L1 common-mode-choke']);
  expect(await keepOwnWordAction(formOf({ word: 'Gubbins', means: 'common mode choke' }))).toMatchObject({ ok: true });
  await type('l2 gubbins');
  expect(await kinds()).toContain('L2 common-mode-choke');
  const gone = await removeOwnWordAction('gubbins');
  expect((await wordsView(fixture.app)).ownWords).toEqual([]);
  await undoStep(fixture.app, gone.ok ? (gone.undo ?? '') : '');
  expect((await wordsView(fixture.app)).ownWords).toEqual([{ word: 'gubbins', means: 'common mode choke' }]);
});

test('a word that is understood already is refused at its field', async () => {
  expect(blamed(await keepOwnWordAction(formOf({ word: 'diode', means: 'resistor' })))).toEqual(['word']);
  expect(blamed(await keepOwnWordAction(formOf({ word: 'gubbins', means: 'flurbl' })))).toEqual(['means']);
});

test('a slip that was mended three times is offered, and undo of a line still works in between', async () => {
  for (const ref of ['r1', 'r2', 'r3']) expect((await type(`${ref} resitor 4k7`)).ok).toBe(true);
  expect((await wordsView(fixture.app)).offered).toMatchObject([{ typed: 'resitor', read: 'resistor', count: 3 }]);
  expect(await keepOfferedAction({ word: 'resitor', means: 'resistor' })).toMatchObject({ ok: true });
  expect((await wordsView(fixture.app)).offered).toEqual([]);
});
