import { createServer, type Server, type Socket } from 'node:net';
import { METER_QUANTITIES, NO_LEADS, simulateAnswer, storeVoltage, type MeterQuantity } from '../../core/meter';
import { boardReading } from './boardReading';
import { SCENE, type ScenePoint } from './scene';
import { SCENE_BOARDS } from './sceneBoards';

/** How the stand-in misbehaves when told to, as meters do. */
export type Fault = 'none' | 'silent' | 'garbage' | 'drop' | 'overrange';
const FAULTS: readonly Fault[] = ['none', 'silent', 'garbage', 'drop', 'overrange'];

const IDENTITY = 'Skerry Instruments,Bench meter (simulated),S-6000,1.0';

export interface SimulatedMeter {
  readonly port: number;
  close(): Promise<void>;
}

/**
 * A stand-in for a bench meter: a 6,000-count one that answers the usual queries line by line. It has
 * no leads, so `ROUT:CLOS "model ref"` says where they are; a store begins to bleed when it is first
 * touched, and `*RST` charges all of them again. `SIM:FAULT silent|garbage|drop|overrange|none` makes it
 * misbehave.
 * @param now milliseconds; @param gaussian draws from the standard normal distribution
 */
export async function startSimulatedMeter(of: {
  port: number;
  host?: string;
  now?: () => number;
  gaussian?: () => number;
}): Promise<SimulatedMeter> {
  const { host = '127.0.0.1', now = Date.now, gaussian = drawGaussian } = of;
  const touched = new Map<string, number>();
  let fault: Fault = 'none';
  const sockets = new Set<Socket>();

  const server = createServer((socket) => {
    sockets.add(socket);
    let point = '';
    let buffer = '';
    socket.setEncoding('latin1');
    socket.on('close', () => sockets.delete(socket));
    socket.on('error', () => undefined);
    socket.on('data', (text: string) => {
      buffer += text;
      const lines = buffer.split(/\r?\n/);
      buffer = lines.pop() ?? '';
      for (const line of lines) take(line.trim());
    });

    function take(line: string): void {
      if (line === '') return;
      const upper = line.toUpperCase();
      const leads = /^ROUT(?:E)?:CLOS(?:E)?\s+"([^"]*)"$/i.exec(line);
      const wanted = /^SIM:FAULT\s+(\w+)$/i.exec(line)?.[1]?.toLowerCase();
      if (leads) point = leads[1] ?? '';
      else if (wanted) fault = FAULTS.find((known) => known === wanted) ?? fault;
      else if (upper === '*RST') touched.clear();
      else if (upper === '*CLS') return;
      else if (fault === 'drop') socket.destroy();
      else if (fault === 'silent') return;
      else if (fault === 'garbage') socket.write('~#?!\n');
      else if (upper === '*IDN?') socket.write(`${IDENTITY}\n`);
      else if (upper === 'SYST:ERR?') socket.write('0,"No error"\n');
      else socket.write(`${measure(upper)}\n`);
    }

    function measure(query: string): string {
      const quantity = (Object.keys(METER_QUANTITIES) as MeterQuantity[]).find(
        (name) => METER_QUANTITIES[name].query === query,
      );
      if (!quantity) return '-113,"Undefined header"';
      if (fault === 'overrange') return simulateAnswer(quantity, Infinity, gaussian);
      const found = truth(quantity, point);
      return found === undefined ? NO_LEADS : simulateAnswer(quantity, found, gaussian);
    }
  });

  /** What the leads find; nothing where they are on nothing, since volts read off nothing look like an empty store. */
  function truth(quantity: MeterQuantity, point: string): number | undefined {
    const between = boardReading(point, quantity);
    if (between !== undefined) return between;
    const found: ScenePoint | undefined = SCENE[point];
    const isOpen = quantity !== 'volt' && isOfScene(point);
    if (found?.kind === 'part') return found.reads[quantity] ?? (isOpen ? Infinity : undefined);
    if (!found || quantity !== 'volt') return isOpen ? Infinity : undefined;
    if (!touched.has(point)) touched.set(point, now());
    return storeVoltage(found.store, (now() - (touched.get(point) ?? now())) / 1000);
  }

  await listen(server, of.port, host);
  const address = server.address();
  return {
    port: typeof address === 'object' && address ? address.port : of.port,
    close: () =>
      new Promise((resolve) => {
        for (const socket of sockets) socket.destroy();
        server.close(() => resolve());
      }),
  };
}

/** Whether a point is on a unit of the demo. */
const isOfScene = (point: string) => SCENE_MODELS.some((model) => point.startsWith(`${model} `));
const SCENE_MODELS = [
  ...Object.keys(SCENE).map((known) => known.slice(0, known.lastIndexOf(' '))),
  ...SCENE_BOARDS.map(({ model }) => model),
];

function listen(server: Server, port: number, host: string): Promise<void> {
  return new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, host, () => resolve());
  });
}

/** Method: Box and Muller. */
function drawGaussian(): number {
  return Math.sqrt(-2 * Math.log(1 - Math.random())) * Math.cos(2 * Math.PI * Math.random());
}
