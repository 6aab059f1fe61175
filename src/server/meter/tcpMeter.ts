import { connect, type Socket } from 'node:net';
import {
  METER_QUANTITIES,
  parseAnswer,
  parseIdentity,
  type MeterFailure,
  type MeterIdentity,
  type MeterQuantity,
  type MeterReading,
} from '../../core/meter';
import type { MeterAdapter } from './adapter';

/** How many milliseconds an answer may take. A slow meter integrates for a second or so. */
const patient = () => 2500;
/** A line longer than this is no answer of a meter. */
const LONGEST_LINE = 512;

type Answer = { readonly text: string } | MeterFailure;

/**
 * A meter that speaks a line-based instrument protocol over TCP, with the common queries in the
 * style of IEEE 488.2. Queries stand in one queue; the connection is opened at the first, and opened
 * again after it broke. After a late or garbled answer it is dropped, since what comes next would be
 * the answer to an earlier question.
 * @param address `host:port`
 * @param patience milliseconds that an answer may take, asked again at each question
 */
export function openTcpMeter(address: string, patience = patient): MeterAdapter {
  let connection: Connection | undefined;
  let identity: MeterIdentity | undefined;
  let leadsAt: string | undefined;
  let queue: Promise<unknown> = Promise.resolve();

  const drop = () => {
    connection?.close();
    connection = undefined;
    leadsAt = undefined;
  };

  async function ask(line: string, answers = true): Promise<Answer> {
    const opened = connection ?? (await openConnection(address, patience()));
    if (!(opened instanceof Connection)) return opened;
    connection = opened;
    const answer = await opened.ask(line, answers, patience());
    if ('kind' in answer) drop();
    return answer;
  }

  /** One conversation at a time: a question and its answer belong together. */
  function inTurn<T>(work: () => Promise<T>): Promise<T> {
    const turn = queue.then(work);
    queue = turn.catch(() => undefined);
    return turn;
  }

  async function identifyNow(): Promise<MeterIdentity | MeterFailure> {
    const answer = await ask('*IDN?');
    if ('kind' in answer) return answer;
    identity = parseIdentity(answer.text);
    if (identity) return identity;
    drop();
    return { kind: 'garbage', text: answer.text.slice(0, 24) };
  }

  async function readNow(quantity: MeterQuantity, point: string | undefined): Promise<MeterReading | MeterFailure> {
    if (!identity) {
      const found = await identifyNow();
      if ('kind' in found) return found;
    }
    if (identity?.simulated && point !== undefined && point !== leadsAt) {
      const told = await ask(`ROUT:CLOS "${point.replace(/["\r\n]/g, '')}"`, false);
      if ('kind' in told) return told;
      leadsAt = point;
    }
    const answer = await ask(METER_QUANTITIES[quantity].query);
    if ('kind' in answer) return answer;
    const reading = parseAnswer(quantity, answer.text);
    if ('kind' in reading && reading.kind !== 'no-leads') drop();
    return reading;
  }

  return {
    identify: () => inTurn(identifyNow),
    read: (quantity, point) => inTurn(() => readNow(quantity, point)),
    async *stream(quantity, { point, everyMs, signal }) {
      while (!signal.aborted) {
        const reading = await inTurn(() => readNow(quantity, point));
        yield reading;
        if ('kind' in reading) return;
        await pause(everyMs, signal);
      }
    },
    close: drop,
  };
}

function pause(ms: number, signal: AbortSignal): Promise<void> {
  return new Promise((resolve) => {
    const timer = setTimeout(resolve, ms);
    signal.addEventListener('abort', () => (clearTimeout(timer), resolve()), { once: true });
  });
}

function openConnection(address: string, answerMs: number): Promise<Connection | MeterFailure> {
  const [host = '', port = ''] = splitAddress(address);
  return new Promise((resolve) => {
    const socket = connect({ host, port: Number(port) });
    const fail = (failure: MeterFailure) => {
      socket.destroy();
      resolve(failure);
    };
    socket.setTimeout(answerMs, () => fail({ kind: 'no-answer', seconds: answerMs / 1000 }));
    socket.once('error', () => fail({ kind: 'refused', address }));
    socket.once('connect', () => {
      socket.setTimeout(0);
      socket.removeAllListeners('error');
      resolve(new Connection(socket));
    });
  });
}

/** Host and port of `host:port`, an IPv6 host in brackets. */
export function splitAddress(address: string): string[] {
  const found = /^(?:\[([^\]]+)\]|([^:]+)):(\d{1,5})$/.exec(address.trim());
  return found ? [found[1] ?? found[2] ?? '', found[3] ?? ''] : [];
}

class Connection {
  private received = '';
  private waiting: ((answer: Answer) => void) | undefined;
  private gone = false;

  constructor(private readonly socket: Socket) {
    socket.setEncoding('latin1');
    socket.setNoDelay(true);
    socket.on('data', (text: string) => this.take(text));
    socket.on('error', () => this.lose());
    socket.on('close', () => this.lose());
  }

  ask(line: string, answers: boolean, answerMs: number): Promise<Answer> {
    if (this.gone) return Promise.resolve({ kind: 'disconnected' });
    // What lies here unasked belongs to no question.
    this.received = '';
    this.socket.write(`${line}\n`);
    if (!answers) return Promise.resolve({ text: '' });
    return new Promise((resolve) => {
      const timer = setTimeout(() => this.answer({ kind: 'no-answer', seconds: answerMs / 1000 }), answerMs);
      this.waiting = (answer) => {
        clearTimeout(timer);
        resolve(answer);
      };
    });
  }

  close(): void {
    this.gone = true;
    this.socket.destroy();
  }

  private take(text: string): void {
    this.received += text;
    const end = this.received.search(/\r?\n/);
    if (end >= 0) this.answer({ text: this.received.slice(0, end) });
    else if (this.received.length > LONGEST_LINE)
      this.answer({ kind: 'garbage', text: `${this.received.slice(0, 24)}…` });
  }

  private lose(): void {
    this.gone = true;
    this.answer({ kind: 'disconnected' });
  }

  private answer(answer: Answer): void {
    const { waiting } = this;
    this.waiting = undefined;
    waiting?.(answer);
  }
}
