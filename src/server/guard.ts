/** Largest request body in bytes; a photo, a datasheet or a list of types may be larger. */
export const BODY_LIMIT = 1024 * 1024;
const FILE_BODY_LIMIT = 30 * 1024 * 1024;
const FILE_PATHS =
  /^(?:\/donors\/[^/]+\/photos\/(?:upload|prepared)|\/(?:types|stock)\/import|\/types\/[^/]+\/datasheet|\/stock\/[^/]+\/photo)$/;

const LOCAL_NAMES = ['127.0.0.1', 'localhost', '[::1]'];

/**
 * Why a request is refused, if it is: a Host header that names another machine (a web page elsewhere
 * that points its own name at this one), or a body over the limit.
 * @param allowedHosts further names, separated by commas, for a bench that serves a club's network
 */
export function guardRequest(of: {
  host: string | null;
  contentLength: string | null;
  path?: string;
  allowedHosts: string | undefined;
}): { status: number; text: string } | undefined {
  const name = (of.host ?? '').replace(/:\d+$/, '').toLowerCase();
  const allowed = [
    ...LOCAL_NAMES,
    ...(of.allowedHosts ?? '').split(',').map((host) => host.trim().toLowerCase()),
  ].filter((host) => host !== '');
  if (!allowed.includes(name))
    return {
      status: 421,
      text: `Zorvek does not answer for “${name}”. Open it by 127.0.0.1, or name the host in ZORVEK_ALLOWED_HOSTS.`,
    };
  const limit = FILE_PATHS.test(of.path ?? '') ? FILE_BODY_LIMIT : BODY_LIMIT;
  if (Number(of.contentLength ?? 0) > limit)
    return {
      status: 413,
      text: `That is more than ${limit / 1024 / 1024} MB at once. Send it in smaller pieces.`,
    };
  return undefined;
}

/** Headers of every answer. Scripts and style sheets run only from this server or with the answer's nonce. */
export function securityHeaders(nonce: string, development: boolean) {
  const policy = [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${development ? " 'unsafe-eval'" : ''}`,
    // The development overlay writes styles without a nonce, and a nonce beside 'unsafe-inline' would void it.
    development ? "style-src 'self' 'unsafe-inline'" : `style-src 'self' 'nonce-${nonce}'`,
    "style-src-attr 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    `connect-src 'self'${development ? ' ws:' : ''}`,
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ];
  return {
    'content-security-policy': policy.join('; '),
    'x-content-type-options': 'nosniff',
    'x-frame-options': 'DENY',
    'referrer-policy': 'no-referrer',
    'cross-origin-opener-policy': 'same-origin',
    'cross-origin-resource-policy': 'same-origin',
    'permissions-policy': 'camera=(self), microphone=(), geolocation=(), serial=(self)',
  } as const;
}
