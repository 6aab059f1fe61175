import { connect, createServer, type Socket } from 'node:net';
import type { MeterFailure, MeterReading } from '../../core/meter';
import type { MeterAdapter } from './adapter';
import { SCENE } from './scene';
import { startSimulatedMeter, type Fault, type SimulatedMeter } from './simulatedMeter';
import { openTcpMeter, splitAddress } from './tcpMeter';

// Only a meter that says nothing is waited for in vain, so only there is the wait short: a busy machine may be slow.
const PATIENT_MS = 60_000;
const VAIN_MS = 100;
let patience = PATIENT_MS;
let simulated: SimulatedMeter;
let meter: MeterAdapter;
let clock = 0;

beforeEach(async () => {
  clock = 0;
  patience = PATIENT_MS;
  simulated = await startSimulatedMeter({ port: 0, now: () => clock, gaussian: () => 0 });
  meter = openTcpMeter(`127.0.0.1:${simulated.port}`, () => patience);
});
afterEach(async () => {
  meter.close();
  await simulated.close();
});

const value = (reading: MeterReading | MeterFailure) => ('value' in reading ? reading.value : reading.kind);

/** Tells the stand-in to misbehave, over a line of its own, and waits until it did. */
function misbehave(fault: Fault): Promise<void> {
  return new Promise((resolve) => {
    const line = connect(simulated.port, '127.0.0.1', () => line.end(`SIM:FAULT ${fault}\n`));
    line.on('close', () => resolve());
    line.resume();
  });
}

test('it says who it is, and that it is a stand-in', async () => {
  expect(await meter.identify()).toMatchObject({ maker: 'Skerry Instruments', simulated: true });
});

test('a store bleeds while one watches, by its own time constant with the meter across it', async () => {
  // 80 µF through 470 kΩ beside 10 MΩ: 35.9 s, worked by hand; the meter reads 0.2 % high.
  expect(value(await meter.read('volt', 'VK-2402 C3'))).toBeCloseTo(318.6, 1);
  clock = 35_900;
  expect(value(await meter.read('volt', 'VK-2402 C3'))).toBeCloseTo(117.3, 0);
  clock = 360_000;
  expect(value(await meter.read('volt', 'VK-2402 C3'))).toBeLessThan(2);
});

test.each`
  point                  | quantity        | reads     | why
  ${'VK-2402 R12'}       | ${'ohm'}        | ${4.7e3}  | ${'a good resistor'}
  ${'OS-204 Q3'}         | ${'diode'}      | ${0.002}  | ${'a shorted FET'}
  ${'OS-204 Q3'}         | ${'continuity'} | ${0.3}    | ${'it beeps'}
  ${'GT-300S C23'}       | ${'farad'}      | ${3.1e-4} | ${'a dried can'}
  ${'VK-2402 Q1'}        | ${'ohm'}        | ${null}   | ${'over range'}
  ${'VK-2402 R99'}       | ${'ohm'}        | ${null}   | ${'nothing there'}
  ${'VK-2402 T1.1 T1.7'} | ${'continuity'} | ${null}   | ${'two windings'}
  ${'VK-2402 T1.2 D3.K'} | ${'diode'}      | ${0.54}   | ${'a junction, forward'}
  ${'VK-2402 D3.K T1.2'} | ${'diode'}      | ${null}   | ${'and backward'}
`('$point in $quantity: $reads ($why)', async ({ point, quantity, reads }) => {
  const read = value(await meter.read(quantity, point));
  if (reads === null) expect(read).toBeNull();
  else expect(Math.abs(Number(read) / reads - 1)).toBeLessThan(0.01);
});

test.each`
  point            | quantity        | why
  ${'XY-1 C3'}     | ${'volt'}       | ${'a real unit: open leads would read like an empty store'}
  ${'XY-1 R1'}     | ${'ohm'}        | ${'a real unit: open leads would read like no joint'}
  ${'XY-1 Q1'}     | ${'continuity'} | ${'the same'}
  ${'C3'}          | ${'volt'}       | ${'a unit without a model'}
  ${'VK-2402 C99'} | ${'volt'}       | ${'no such store on the demo unit'}
`('the stand-in reads no $quantity at $point: $why', async ({ point, quantity }) => {
  expect(value(await meter.read(quantity, point))).toBe('no-leads');
  // It is no fault of the line: the next reading comes on it.
  expect(Number(value(await meter.read('ohm', 'VK-2402 R12')))).toBeGreaterThan(4000);
});

test.each`
  point                  | ohms    | why
  ${'VK-2402 Q1.D T1.2'} | ${0.12} | ${'one net'}
  ${'VK-2402 C3.+ Q1.D'} | ${1.32} | ${'through the primary'}
`('$point beeps with $ohms Ω ($why)', async ({ point, ohms }) => {
  expect(Math.abs(Number(value(await meter.read('continuity', point))) - ohms)).toBeLessThan(0.15);
});

test.each`
  fault        | kind
  ${'silent'}  | ${'no-answer'}
  ${'garbage'} | ${'garbage'}
  ${'drop'}    | ${'disconnected'}
`('a meter that is $fault is told as $kind, and is read again when it is well', async ({ fault, kind }) => {
  await meter.read('ohm', 'VK-2402 R12');
  await misbehave(fault);
  if (fault === 'silent') patience = VAIN_MS;
  expect(value(await meter.read('ohm', 'VK-2402 R12'))).toBe(kind);
  patience = PATIENT_MS;
  await misbehave('none');
  expect(Number(value(await meter.read('ohm', 'VK-2402 R12')))).toBeGreaterThan(4000);
});

test('over range is a reading, not a failure', async () => {
  await misbehave('overrange');
  expect(value(await meter.read('volt', 'VK-2402 C3'))).toBeNull();
});

test('a stream ends with the failure, or when nobody listens any more', async () => {
  const stop = new AbortController();
  const seen: (number | string | null)[] = [];
  for await (const reading of meter.stream('volt', { point: 'VK-2402 C3', everyMs: 1, signal: stop.signal })) {
    seen.push(value(reading));
    clock += 10_000;
    if (seen.length === 3) await misbehave('drop');
  }
  expect(seen).toHaveLength(4);
  expect(seen.at(-1)).toBe('disconnected');
  expect(Number(seen[0])).toBeGreaterThan(Number(seen[2]));
  await misbehave('none');
  let count = 0;
  for await (const reading of meter.stream('volt', { point: 'VK-2402 C3', everyMs: 1, signal: stop.signal })) {
    expect(value(reading)).not.toBe('disconnected');
    if ((count += 1) === 2) stop.abort();
  }
  expect(count).toBe(2);
});

test('nothing at the address', async () => {
  const { port } = simulated;
  await simulated.close();
  expect(await openTcpMeter(`127.0.0.1:${port}`).read('volt')).toEqual({
    kind: 'refused',
    address: `127.0.0.1:${port}`,
  });
});

test('questions asked at once are answered each with its own', async () => {
  const [ohms, capacitance, identity] = await Promise.all([
    meter.read('ohm', 'VK-2402 R12'),
    meter.read('farad', 'VK-2402 C21'),
    meter.identify(),
  ]);
  expect(Number(value(ohms))).toBeGreaterThan(4000);
  expect(Number(value(capacitance))).toBeLessThan(1e-3);
  expect(identity).toMatchObject({ simulated: true });
});

/** A device of another kind, which says whatever it is told to. */
function device(message: string): Promise<{ close: () => void; address: string }> {
  return new Promise((resolve) => {
    const sockets: Socket[] = [];
    const server = createServer((socket) => {
      sockets.push(socket);
      socket.on('error', () => undefined);
      socket.write(message);
    });
    server.listen(0, '127.0.0.1', () => {
      const at = server.address();
      resolve({
        address: `127.0.0.1:${typeof at === 'object' && at ? at.port : 0}`,
        close: () => {
          for (const socket of sockets) socket.destroy();
          server.close();
        },
      });
    });
  });
}

// A greeting that comes before the question is thrown away, one that comes after is taken for the answer.
test.each`
  message                | kind
  ${''}                  | ${/^no-answer$/}
  ${'hello there\r\n'}   | ${/^(no-answer|garbage)$/}
  ${'x'.repeat(100_000)} | ${/^(no-answer|garbage)$/}
`('a device that is no meter is told as $kind', async ({ message, kind }) => {
  const { close, address } = await device(message);
  const stranger = openTcpMeter(address, () => VAIN_MS);
  expect(value(await stranger.read('volt'))).toMatch(kind);
  stranger.close();
  close();
});

test.each`
  address             | parts
  ${'127.0.0.1:5025'} | ${['127.0.0.1', '5025']}
  ${'[::1]:5025'}     | ${['::1', '5025']}
  ${'bench-meter:55'} | ${['bench-meter', '55']}
  ${'bench-meter'}    | ${[]}
  ${'a:b'}            | ${[]}
`('address $address', ({ address, parts }) => {
  expect(splitAddress(address)).toEqual(parts);
});

test('every point of the scene names a model and a reference', () => {
  for (const name of Object.keys(SCENE)) expect(name).toMatch(/^[A-Z0-9-]+ [A-Z]+\d+$/);
});
