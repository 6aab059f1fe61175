import { analyse } from '../../../core/topology';
import { shareContext } from '../../../db/testing/sharedContext';
import { temporaryContext } from '../../../db/testing/temporaryContext';
import { tracedBoard } from '../../../services/board';
import { valueOf } from '../../../services/command';
import { dossierOf } from '../../../services/dossier/testing/dossierOf';
import { listDonors } from '../../../db/repositories/donors';
import { undoStep } from '../../../services/command';
import { addSample, removeSample } from './commands';

let fixture: Awaited<ReturnType<typeof temporaryContext>>;
beforeAll(async () => shareContext((fixture = await temporaryContext()).app));
afterAll(() => fixture.dispose());

test('the made-up unit goes in line by line, is read as what it was drawn as, and goes out in one step', async () => {
  const { code } = valueOf(await addSample(fixture.app));
  const dossier = await dossierOf(fixture.app, code);
  const { stages } = analyse(await tracedBoard(dossier, false));
  expect(stages.map(({ topology }) => topology)).toEqual(['flyback']);
  const { facts, liveStores } = await dossier.overview();
  expect(facts).toMatchObject({ ratedPower: 24, stores: { total: 2, dead: 2 }, openQuestions: 1 });
  expect(facts.parts.tested).toBe(5);
  expect(liveStores).toEqual([]);

  const total = async () => (await listDonors(fixture.app.db.read, { page: 0, size: 5 })).total;
  expect(await total()).toBe(1);
  const removed = await removeSample(fixture.app, code);
  expect(await total()).toBe(0);
  await undoStep(fixture.app, removed.ok ? (removed.undo ?? '') : '');
  expect(await total()).toBe(1);
});
