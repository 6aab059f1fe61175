import { aShop } from '../testing/aShop';
import { temporaryBench } from '../testing/temporaryBench';
import { heldPieces } from './harvest';

test('pieces are summed by what makes parts alike; numbers that nobody asked for are one', async () => {
  const { bench, dispose } = await temporaryBench();
  await aShop(bench, {
    lots: [
      { code: 'L-1', kind: 'nmos', marking: '12N60', package: 'TO-220', pieces: 2 },
      { code: 'L-2', kind: 'nmos', marking: '12N60', package: 'TO-220', pieces: 3, bin: 'B2' },
      { code: 'L-3', kind: 'nmos', marking: '13N60', package: 'TO-220', pieces: 4 },
      { code: 'L-4', kind: 'nmos', marking: '14N60', package: 'TO-220', pieces: 5 },
      { code: 'L-5', kind: 'nmos', package: 'TO-220', pieces: 6 },
      { code: 'L-6', kind: 'resistor', ratings: { resistance: [4700, 'decoded'] }, pieces: 7 },
      { code: 'L-7', kind: 'fan', pieces: 8 },
    ],
  });
  const held = await heldPieces(bench.db.read, { kinds: ['nmos', 'resistor'], markings: ['12N60'] });
  expect(held.map(({ kind, marking, value, pieces }) => `${kind} ${marking} ${value ?? ''} ${pieces}`).sort()).toEqual([
    'nmos   6',
    'nmos 12N60  5',
    'nmos ?  9',
    'resistor  4700 7',
  ]);
  expect(await heldPieces(bench.db.read, { kinds: [], markings: [] })).toEqual([]);
  dispose();
});
