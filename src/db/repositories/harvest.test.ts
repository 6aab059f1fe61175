import { likenessOf } from '../../core/stock';
import { aShop } from '../testing/aShop';
import { temporaryContext } from '../testing/temporaryContext';
import { heldLike } from './harvest';

const resistance = (value: number) => ({ resistance: { value, source: 'decoded' as const } });

test('pieces are alike by their main value, else by their number, else by their case', async () => {
  const { app, dispose } = await temporaryContext();
  await aShop(app, {
    lots: [
      { code: 'L-1', kind: 'nmos', marking: '12N60', package: 'TO-220', pieces: 2 },
      { code: 'L-2', kind: 'nmos', marking: '12N60', package: 'TO-220', pieces: 3, bin: 'B2' },
      { code: 'L-3', kind: 'nmos', marking: '13N60', package: 'TO-220', pieces: 4 },
      { code: 'L-4', kind: 'nmos', package: 'TO-220', pieces: 6 },
      { code: 'L-5', kind: 'nmos', pieces: 10 },
      { code: 'L-6', kind: 'resistor', ratings: { resistance: [4700, 'decoded'] }, pieces: 7 },
      { code: 'L-7', kind: 'resistor', marking: '472', ratings: { resistance: [4800, 'measured'] }, pieces: 1 },
      { code: 'L-8', kind: 'resistor', ratings: { resistance: [5100, 'decoded'] }, pieces: 20 },
      { code: 'L-9', kind: 'thermistor', ratings: { resistance: [4700, 'decoded'] }, pieces: 40 },
    ],
  });
  const likes = [
    { kind: 'nmos' as const, marking: '12N60', package: 'TO-220', ratings: {} },
    { kind: 'nmos' as const, marking: '99N99', package: 'TO-220', ratings: {} },
    { kind: 'nmos' as const, marking: '', package: 'TO-220', ratings: {} },
    { kind: 'nmos' as const, ratings: {} },
    { kind: 'resistor' as const, marking: '472', ratings: resistance(4700) },
    { kind: 'nmos' as const, marking: '12N60', package: 'TO-220', ratings: {} },
  ].map(likenessOf);
  expect(await heldLike(app.db.read, likes)).toEqual([5, 0, 15, 10, 8, 5]);
  expect(await heldLike(app.db.read, [])).toEqual([]);
  dispose();
});
