import { netsOf, type Board, type BoardPart, type PinPair } from '../../board';
import { analyse } from '../analyse';
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

test('once the circuit is known, what leads nowhere yet on the way of the power is asked for', () => {
  const [supply, drain] = [['J1.+', 'C1.+'], 'Q1.D'];
  const part = (ref: string, kind: BoardPart['kind'], pins: string, more: Partial<BoardPart> = {}): BoardPart => ({
    ref,
    kind,
    pins: Object.fromEntries(pins.split(' ').map((pin) => [pin, null])),
    ...more,
  });
  const can = { subtype: 'electrolytic', value: { capacitance: 1e-4, voltage: 35 } };
  const nets = ['J1.- C1.- D1.A C2.- J2.-', 'Q1.S D1.K L1.1', 'L1.2 C2.+ J2.+', 'J1.+ C1.+'].map((net) =>
    net.split(' '),
  );
  const board: Board = {
    nameplate: { input: { kind: 'dc', vMin: 24, vMax: 24 }, outputs: [{ v: 5, i: 2 }] },
    parts: [
      part('J1', 'connector', '+ -', { role: 'dc-input' }),
      part('J2', 'connector', '+ -', { role: 'output' }),
      part('C1', 'capacitor', '+ -', can),
      part('C2', 'capacitor', '+ -', can),
      part('L1', 'inductor', '1 2', { value: { inductance: 4.7e-5 } }),
      part('D1', 'diode', 'A K', { subtype: 'schottky' }),
      part('Q1', 'nmos', 'G D S'),
    ],
    joined: nets.flatMap(([first = '', ...others]) => others.map((pin): PinPair => [first, pin])),
  };
  expect(analyse(board).likeliest).toEqual(['buck']);
  let known = board;
  const asked: string[] = [];
  for (let [probe] = nextProbes(known, 1).probes; probe && asked.length < 6; [probe] = nextProbes(known, 1).probes) {
    const { hold, pins } = probe.sweep;
    asked.push(hold);
    for (const pin of pins)
      known = withAnswer(
        known,
        hold,
        pin,
        [hold, pin].every((one) => [...supply, drain].includes(one)),
      );
  }
  expect(asked).toContain(drain);
  expect(asked.length).toBeLessThan(6);
  const found = netsOf(known);
  expect(found.relation(found.of(drain), found.of('C1.+'))).toBe('joined');
});
