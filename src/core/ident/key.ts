const CROCKFORD = '0123456789abcdefghjkmnpqrstvwxyz';
const TIME_CHARACTERS = 10;

/**
 * A 20-character key that sorts by time: ten characters of milliseconds, four of a counter within
 * the process, six of randomness (base 32).
 * @param time milliseconds since 1970
 * @param counter rises by one for each key of a process; wraps after a million
 * @param random in [0, 1)
 */
export function makeKey(time: number, counter: number, random: number): string {
  return encode(time, TIME_CHARACTERS) + encode(counter % 32 ** 4, 4) + encode(Math.floor(random * 32 ** 6), 6);
}

function encode(value: number, length: number): string {
  let rest = value;
  let text = '';
  for (let place = 0; place < length; place += 1) {
    text = (CROCKFORD[rest % 32] ?? '0') + text;
    rest = Math.floor(rest / 32);
  }
  return text;
}
