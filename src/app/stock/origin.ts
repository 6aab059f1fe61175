import { headers } from 'next/headers';

/** The address under which the person reached this server, for codes that lead back to it. */
export async function originOf(): Promise<string> {
  const host = (await headers()).get('host') ?? '127.0.0.1';
  return `http://${host}`;
}
