import { sendBytes, sendLong } from './sendBytes';

/** A server that answers with these pieces of text, as they come off the line, and may break off behind them. */
function answering(pieces: readonly string[], breaks = false) {
  const encoder = new TextEncoder();
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      for (const piece of pieces) controller.enqueue(encoder.encode(piece));
      if (breaks) controller.error(new Error('gone'));
      else controller.close();
    },
  });
  return jest.spyOn(globalThis, 'fetch').mockResolvedValue(new Response(body));
}
afterEach(() => jest.restoreAllMocks());

const { signal } = new AbortController();

test.each`
  pieces                                           | breaks   | shares      | answer           | why
  ${['{"share":0.2}\n{"share":1}\n{"ok":true}\n']} | ${false} | ${[0.2, 1]} | ${{ ok: true }}  | ${'all at once'}
  ${['{"sha', 're":0.2}\n{"ok"', ':true}\n']}      | ${false} | ${[0.2]}    | ${{ ok: true }}  | ${'lines cut anywhere'}
  ${['{"share":0.2}\n', '{"ok":false}']}           | ${false} | ${[0.2]}    | ${{ ok: false }} | ${'no end of the last line'}
  ${['{"share":0.2}\n']}                           | ${false} | ${[0.2]}    | ${undefined}     | ${'no answer at the end'}
  ${['{"share":0.2}\n', '{"ok":true}\n']}          | ${true}  | ${'any'}    | ${undefined}     | ${'the line breaks'}
  ${['<html>']}                                    | ${false} | ${[]}       | ${undefined}     | ${'no JSON'}
`('a long answer: $why', async ({ pieces, breaks, shares, answer }) => {
  const asked = answering(pieces as string[], breaks as boolean);
  const seen: number[] = [];
  const got = await sendLong('/stock/import?mode=apply', 'kind', { share: (share) => seen.push(share), signal });
  expect(got).toEqual(answer);
  if (shares !== 'any') expect(seen).toEqual(shares);
  // Only a page of this server can send this type.
  expect(asked.mock.calls[0]?.[1]).toMatchObject({
    method: 'POST',
    headers: { 'content-type': 'application/octet-stream' },
  });
});

test('a server that is not there gives no answer, which is no error', async () => {
  jest.spyOn(globalThis, 'fetch').mockRejectedValue(new TypeError('fetch failed'));
  expect(await sendBytes('/types/a/datasheet', 'x')).toBeUndefined();
  expect(await sendLong('/stock/import', 'x', { share: () => undefined, signal })).toBeUndefined();
});
