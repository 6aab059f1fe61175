const PLAIN = { 'content-type': 'application/octet-stream' };

const post = (url: string, bytes: BodyInit, signal?: AbortSignal): Promise<Response | undefined> =>
  fetch(url, { method: 'POST', body: bytes, headers: PLAIN, ...(signal ? { signal } : {}) }).catch(() => undefined);

/** Sends bytes to a route of this server; an answer that is none counts as a refusal. */
export async function sendBytes<T>(url: string, bytes: BodyInit): Promise<T | undefined> {
  const response = await post(url, bytes);
  return (await response?.json().catch(() => undefined)) as T | undefined;
}

/**
 * Sends bytes to a route that answers with its progress: lines of JSON, the last of which is the answer.
 * @param on.share called with the share that is done, 0 to 1
 * @returns undefined when the answer broke off, or was stopped
 */
export async function sendLong<T extends object>(
  url: string,
  bytes: BodyInit,
  on: { share: (share: number) => void; signal: AbortSignal },
): Promise<T | undefined> {
  const response = await post(url, bytes, on.signal);
  if (!response?.body) return undefined;
  let rest = '';
  let answer: T | undefined;
  try {
    const reader = response.body.pipeThrough(new TextDecoderStream()).getReader();
    for (let piece = await reader.read(); !piece.done; piece = await reader.read()) {
      const lines = (rest + piece.value).split('\n');
      rest = lines.pop() ?? '';
      for (const line of lines) take(JSON.parse(line) as T | { share: number });
    }
    if (rest !== '') take(JSON.parse(rest) as T);
  } catch {
    return undefined;
  }
  return answer;

  function take(line: T | { share: number }): void {
    if ('share' in line) on.share(line.share);
    else answer = line;
  }
}
