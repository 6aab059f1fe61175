/** Fields of a form as an object: what the names nest, the schema meets nested. */
export type Nested = string | Nested[] | { [name: string]: Nested };

/** No list of a form is longer; a name with a larger place is no field of it. */
const MOST_ROWS = 500;

/**
 * The text fields of a form by what their names say: `outputs[2].volts` is a row of a list, `counts.LA-12` an entry of an
 * object, `ways[]` each choice of several that is ticked. Of a plain name that comes twice the last counts.
 */
export function nestFields(data: Iterable<readonly [string, unknown]>): { [name: string]: Nested } {
  const root: { [name: string]: Nested } = Object.create(null) as { [name: string]: Nested };
  for (const [name, value] of data) {
    // What begins with ~ is what the form knew and was answered, not a field of it.
    if (typeof value !== 'string' || name.startsWith('~')) continue;
    const path = stepsOf(name);
    let place: Nested = root;
    path.forEach((step, index) => {
      const next = index === path.length - 1 ? undefined : path[index + 1];
      const child = (): Nested => (typeof next === 'number' || next === 'each' ? [] : Object.create(null));
      if (Array.isArray(place)) {
        const at = step === 'each' ? place.length : Number(step);
        place = place[at] = next === undefined ? value : (place[at] ?? child());
      } else if (typeof place === 'object') {
        place = place[String(step)] = next === undefined ? value : (place[String(step)] ?? child());
      }
    });
  }
  return root;
}

/** The name of the field that a problem is about, by its path in the values. */
export function fieldName(path: readonly PropertyKey[]): string {
  return path.reduce<string>(
    (name, step) =>
      typeof step === 'number' ? `${name}[${step}]` : name === '' ? String(step) : `${name}.${String(step)}`,
    '',
  );
}

/** A name in steps: names of entries, places of rows, and `each` for one more of a list. */
function stepsOf(name: string): (string | number)[] {
  const [, head = name, tail = ''] = /^([^.[\]]+)((?:\[\d*\]|\.[^.[\]]+)*)$/.exec(name) ?? [];
  const steps = [...tail.matchAll(/\[(\d*)\]|\.([^.[\]]+)/g)].map(([, place, entry]) =>
    entry !== undefined ? entry : place === '' ? 'each' : Number(place),
  );
  return steps.some((step) => typeof step === 'number' && step >= MOST_ROWS) ? [name] : [head, ...steps];
}
