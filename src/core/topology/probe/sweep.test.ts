import { netsOf } from '../../board';
import { BOARD_SETS } from '../fixtures/leftOut';
import { tracedSoFar } from '../tracing/order';
import { areJoined, nextProbes, withAnswer } from './nextProbes';

const BOARDS = BOARD_SETS.other.slice(0, 4);

test.each(BOARDS)(
  '$name: the lead is kept on a pin of the probe, and what is touched is open and told apart',
  (entry) => {
    let board = tracedSoFar(entry.board, []);
    for (let round = 0; round < 4; round += 1) {
      const [probe] = nextProbes(board, 1).probes;
      if (!probe) return;
      const { hold, pins } = probe.sweep;
      expect([probe.a, probe.b]).toContain(hold);
      expect([probe.a, probe.b]).toContain(pins[0]);
      expect(pins.length).toBeLessThanOrEqual(6);
      const nets = netsOf(board);
      expect(new Set([hold, ...pins].map((pin) => nets.of(pin))).size).toBe(pins.length + 1);
      for (const pin of pins) expect(nets.relation(nets.of(hold), nets.of(pin))).toBe('unknown');
      for (const pin of pins) board = withAnswer(board, hold, pin, areJoined(entry.board, hold, pin));
    }
  },
);

test('a drain is held while the pins of the transformer are touched', () => {
  const board = BOARD_SETS.reference.find(({ name }) => name === 'router-adapter-12v')?.board;
  if (!board) throw new Error('the board is missing');
  const [probe] = nextProbes(tracedSoFar(board, []), 1).probes;
  const { hold, pins } = probe?.sweep ?? { hold: '', pins: [] };
  expect(hold).toMatch(/\.[DC]$|^U\d/);
  expect(pins.filter((pin) => pin.startsWith('T')).length).toBeGreaterThanOrEqual(3);
});
