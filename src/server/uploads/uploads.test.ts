import { answerWithProgress } from '.';

const request = () => new Request('http://127.0.0.1/list', { method: 'POST' });

test('shares come first, then the answer', async () => {
  const response = answerWithProgress(request(), async (pause) => {
    await pause(0.25);
    await pause(1);
    return { ok: true };
  });
  expect(response.headers.get('content-type')).toBe('application/x-ndjson');
  expect(await response.text()).toBe('{"share":0.25}\n{"share":1}\n{"ok":true}\n');
});

test('work that fails breaks its answer off, so that half an answer is none', async () => {
  const response = answerWithProgress(request(), async (pause) => {
    await pause(0.5);
    throw new Error('the disk is full');
  });
  await expect(response.text()).rejects.toThrow('the disk is full');
});

test.each(['the reader leaves', 'the connection breaks'])('it ends at its next pause when %s', async (how) => {
  const connection = new AbortController();
  const ended = new Promise<unknown>((resolve) => {
    const asked = new Request('http://127.0.0.1/list', { method: 'POST', signal: connection.signal });
    const response = answerWithProgress(asked, async (pause) => {
      try {
        for (;;) await pause(0.1);
      } catch (error) {
        resolve(error);
        throw error;
      }
    });
    const reader = response.body?.getReader();
    void reader?.read().then(() => (how === 'the reader leaves' ? reader.cancel() : connection.abort()));
  });
  expect(await ended).toMatchObject({ name: 'AbortError' });
});
