import { BODY_LIMIT, guardRequest, securityHeaders } from './guard';

test.each`
  host                        | length            | allowed           | status       | why
  ${'127.0.0.1:3000'}         | ${null}           | ${undefined}      | ${undefined} | ${'this machine'}
  ${'localhost:3000'}         | ${'100'}          | ${undefined}      | ${undefined} | ${'this machine by name'}
  ${'[::1]:3000'}             | ${null}           | ${undefined}      | ${undefined} | ${'this machine, IPv6'}
  ${'barn.example:3000'}      | ${null}           | ${undefined}      | ${421}       | ${'a foreign name'}
  ${'barn.example:3000'}      | ${null}           | ${'barn.example'} | ${undefined} | ${'a name that was allowed'}
  ${'localhost.evil.example'} | ${null}           | ${undefined}      | ${421}       | ${'a name that begins alike'}
  ${null}                     | ${null}           | ${undefined}      | ${421}       | ${'no name at all'}
  ${'127.0.0.1'}              | ${BODY_LIMIT + 1} | ${undefined}      | ${413}       | ${'too large'}
`('$host with $length bytes: $status ($why)', ({ host, length, allowed, status }) => {
  expect(guardRequest({ host, contentLength: length, allowedHosts: allowed })?.status).toBe(status);
});

test.each`
  path                                 | megabytes | status       | why
  ${'/donors/ABC-DEF/photos/upload'}   | ${12}     | ${undefined} | ${'a photo may be large'}
  ${'/donors/ABC-DEF/photos/upload'}   | ${31}     | ${413}       | ${'but not that large'}
  ${'/donors/ABC-DEF/photos/prepared'} | ${12}     | ${undefined} | ${'nor is one made ready smaller'}
  ${'/donors/ABC-DEF/photos'}          | ${12}     | ${413}       | ${'a form is no photo'}
  ${'/types/import'}                   | ${12}     | ${undefined} | ${'a list of types'}
  ${'/types/01abc/datasheet'}          | ${12}     | ${undefined} | ${'a datasheet'}
  ${'/stock/ABC-DEF/photo'}            | ${12}     | ${undefined} | ${'a photo of a lot'}
  ${'/types/01abc'}                    | ${12}     | ${413}       | ${'a form is no datasheet'}
  ${'/x/donors/A/photos/upload'}       | ${12}     | ${413}       | ${'another path'}
`('$megabytes MB to $path: $status ($why)', ({ path, megabytes, status }) => {
  const contentLength = String(megabytes * 1024 * 1024);
  expect(guardRequest({ host: 'localhost', contentLength, path, allowedHosts: undefined })?.status).toBe(status);
});

test('scripts need the nonce, and nothing may frame the pages', () => {
  const policy = securityHeaders('abc', false)['content-security-policy'];
  expect(policy).toContain("script-src 'self' 'nonce-abc' 'strict-dynamic'");
  expect(policy).not.toContain('unsafe-eval');
  expect(policy).toContain("frame-ancestors 'none'");
});

test('inline styles are let in while developing only', () => {
  const styles = (development: boolean) =>
    securityHeaders('abc', development)
      ['content-security-policy'].split('; ')
      .find((rule) => rule.startsWith('style-src '));
  expect(styles(false)).toBe("style-src 'self' 'nonce-abc'");
  expect(styles(true)).toBe("style-src 'self' 'unsafe-inline'");
});
