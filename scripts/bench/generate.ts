// Fills a fresh database with a large shop: 1,000 donors and 100,000 lots, the same each time.
import { openDatabase } from '../../src/db/client';
import { migrate } from '../../src/db/migrate';
import { makeCode, makeKey, type CodeOwner } from '../../src/core/ident';

const DONORS = 1000;
const LOTS = 100_000;
const PARTS_PER_DONOR = 12;
const BINS = 400;
const CHUNK = 500;

type Statement = { sql: string; args: (string | number | null)[] };

let state = 7;
const random = () => (state = (state * 48271) % 2147483647) / 2147483647;
let counter = 0;
let clock = Date.UTC(2025, 0, 1);
const key = () => makeKey(clock, (counter += 1), random());
const used = new Set<string>();
function code(owner: CodeOwner): string {
  for (;;) {
    const made = makeCode(owner, [random(), random(), random(), random(), random()]);
    if (used.has(made)) continue;
    used.add(made);
    return made;
  }
}
const pick = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)] as T;

const insert = (table: string, row: Record<string, string | number | null>): Statement => ({
  sql: `insert into ${table} (${Object.keys(row).join(', ')}) values (${Object.keys(row)
    .map(() => '?')
    .join(', ')})`,
  args: Object.values(row),
});

const KINDS = [
  { kind: 'nmos', ratings: () => ({ vds: pick([60, 100, 200, 500, 600, 650, 800]), id: pick([2, 4, 8, 12, 20]) }) },
  { kind: 'dual-diode', ratings: () => ({ vrrm: pick([45, 60, 100, 150, 200]), ifav: pick([10, 16, 20, 30]) }) },
  {
    kind: 'capacitor',
    ratings: () => ({ capacitance: pick([47e-6, 100e-6, 470e-6, 1e-3]), voltage: pick([16, 25, 35, 50, 400]) }),
  },
  { kind: 'resistor', ratings: () => ({ resistance: pick([0.22, 47, 4700, 100e3]) }) },
] as const;

function* shop(): Generator<Statement> {
  const bins = Array.from({ length: BINS }, (_, index) => ({ id: key(), code: `B${index}` }));
  for (const bin of bins) yield insert('bins', { ...bin, created_ms: clock });
  const donors: string[] = [];
  for (let index = 0; index < DONORS; index += 1) {
    clock += 3_600_000;
    const id = key();
    donors.push(id);
    yield insert('donors', {
      id,
      code: code('donor'),
      description: pick(['adapter', 'charger', 'PC supply', 'lamp driver']),
      maker: pick(['Velkin', 'Orrin', 'Hesk', 'Marlo', 'Tarn']),
      model: `M-${index}`,
      nameplate: `INPUT 100-240V~ 1.5A OUTPUT ${pick([5, 12, 19, 24])}V ${pick([1, 2, 3])}A`,
      created_ms: clock,
    });
    const store = key();
    yield insert('stores', {
      id: store,
      donor_id: id,
      name: 'C1',
      role: 'bulk',
      capacitance_f: 82e-6,
      rated_v: 400,
      created_ms: clock,
    });
    yield insert('store_readings', {
      id: key(),
      store_id: store,
      run: 1,
      elapsed_s: 0,
      voltage_v: random() < 0.1 ? 200 : 0.4,
      resolution_v: 0.1,
      taken_ms: clock,
    });
    for (let part = 0; part < PARTS_PER_DONOR; part += 1) {
      const { kind, ratings } = pick(KINDS);
      const partId = key();
      yield insert('parts', {
        id: partId,
        donor_id: id,
        ref: `Q${part}`,
        kind,
        damage: '[]',
        state: 'on-board',
        created_ms: clock,
      });
      for (const [name, value] of Object.entries(ratings()))
        yield insert('part_ratings', {
          id: key(),
          part_id: partId,
          name,
          value_si: value,
          source: 'decoded',
          recorded_ms: clock,
        });
    }
  }
  for (let index = 0; index < LOTS; index += 1) {
    clock += 60_000;
    const { kind, ratings } = pick(KINDS);
    const id = key();
    yield insert('lots', {
      id,
      code: code('lot'),
      kind,
      marking: `${kind.slice(0, 2).toUpperCase()}${index}`,
      package: pick(['TO-220', 'TO-247', 'radial', null]),
      grade: pick(['A', 'B', 'C']),
      bin_id: pick(bins).id,
      donor_id: pick(donors),
      created_ms: clock,
    });
    for (const [name, value] of Object.entries(ratings()))
      yield insert('lot_ratings', {
        id: key(),
        lot_id: id,
        name,
        value_si: value,
        source: 'decoded',
        recorded_ms: clock,
      });
    yield insert('stock_ledger', {
      id: key(),
      lot_id: id,
      at_ms: clock,
      on_hand_delta: pick([1, 2, 5]),
      reserved_delta: 0,
      reason: 'harvested',
    });
  }
}

async function main(url: string) {
  await migrate(url, 'src/db/migrations');
  const db = openDatabase(url);
  let chunk: Statement[] = [];
  for (const statement of shop()) {
    chunk.push(statement);
    if (chunk.length < CHUNK) continue;
    await db.client.batch(chunk, 'write');
    chunk = [];
  }
  if (chunk.length > 0) await db.client.batch(chunk, 'write');
  db.close();
}

void main(process.argv[2] ?? '');
