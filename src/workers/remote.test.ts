import { expose } from 'comlink';
import { aside } from './remote';

const functions = {
  double: (value: number) => 2 * value,
  refuse: () => {
    throw new Error('That cannot be worked out.');
  },
  never: () => new Promise<number>(() => undefined),
};

/** A worker that lives in this thread: one end of a channel, with the functions at the other. */
function worker() {
  const { port1, port2 } = new MessageChannel();
  const hearers = new Set<(event: { message: string }) => void>();
  expose(functions, port2 as never);
  const fake = {
    postMessage: (message: unknown) => port1.postMessage(message),
    addEventListener: (kind: string, hear: never) => {
      if (kind === 'error') hearers.add(hear);
      else port1.addEventListener(kind as 'message', hear);
    },
    removeEventListener: (kind: string, hear: never) => port1.removeEventListener(kind as 'message', hear),
    terminate: jest.fn(() => {
      port1.close();
      port2.close();
    }),
  };
  port1.start();
  const breaks = (message: string) => hearers.forEach((hear) => hear({ message }));
  return { fake, breaks, ...aside<typeof functions>(fake as unknown as Worker) };
}

test('a function is called as if it were here', async () => {
  const { ask, stop } = worker();
  expect(await ask((call) => call.double(21))).toBe(42);
  stop();
});

test('what a function throws is thrown here', async () => {
  const { ask, stop } = worker();
  await expect(ask((call) => call.refuse())).rejects.toThrow('That cannot be worked out.');
  stop();
});

test('a worker that breaks ends what is asked of it, now and later', async () => {
  const { ask, breaks, stop } = worker();
  const asked = ask((call) => call.never());
  breaks('out of memory');
  await expect(asked).rejects.toThrow('out of memory');
  await expect(ask((call) => call.never())).rejects.toThrow('out of memory');
  stop();
});

test('stopping ends it', () => {
  const { fake, stop } = worker();
  stop();
  expect(fake.terminate).toHaveBeenCalledTimes(1);
});
