const PLAIN = { 'content-type': 'application/octet-stream' };

/** Sends bytes to a route of this server; an answer that is none counts as a refusal. */
export async function sendBytes<T>(url: string, bytes: BodyInit, signal?: AbortSignal): Promise<T | undefined> {
  const response = await fetch(url, {
    method: 'POST',
    body: bytes,
    headers: PLAIN,
    ...(signal ? { signal } : {}),
  }).catch(() => undefined);
  return (await response?.json().catch(() => undefined)) as T | undefined;
}
