// Fills a fresh database with a large shop: 1,000 donors, one of them with a board of 150 parts, and 100,000 lots, the
// same each time.
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

const LARGE = { parts: 150, joins: 200, stores: 5, notes: 12 };

/** One donor with a full record: parts with ratings and measurements, joins, stores with readings, notes. */
function* largeDonor(): Generator<Statement> {
  clock += 3_600_000;
  const id = key();
  const donor_id = id;
  yield insert('donors', {
    id,
    code: code('donor'),
    description: 'large board',
    maker: 'Velkin',
    model: 'M-large',
    nameplate: 'INPUT 100-240V~ 6A OUTPUT 12V 30A, 5V 20A',
    created_ms: clock,
  });
  for (let index = 0; index < LARGE.stores; index += 1) {
    const store_id = key();
    yield insert('stores', {
      id: store_id,
      donor_id,
      name: `C${900 + index}`,
      role: 'bulk',
      capacitance_f: 220e-6,
      rated_v: 400,
      created_ms: clock,
    });
    for (const [run, voltage_v] of [310, 120, 0.4].entries())
      yield insert('store_readings', {
        id: key(),
        store_id,
        run: 1,
        elapsed_s: run * 60,
        voltage_v,
        resolution_v: 0.1,
        taken_ms: clock + run * 60_000,
      });
  }
  for (let index = 0; index < LARGE.parts; index += 1) {
    const { kind, ratings } = KINDS[index % KINDS.length] as (typeof KINDS)[number];
    const part_id = key();
    yield insert('parts', {
      id: part_id,
      donor_id,
      // Every fourth part is a switch: Q7 is among them.
      ref: `${{ nmos: 'Q', 'dual-diode': 'D', capacitor: 'C', resistor: 'R' }[kind]}${kind === 'nmos' ? index + 3 : index}`,
      kind,
      marking: kind === 'nmos' ? '12N65' : null,
      package: kind === 'resistor' ? null : 'TO-220',
      damage: '[]',
      state: 'on-board',
      created_ms: clock,
    });
    for (const [name, value] of Object.entries(ratings()))
      yield insert('part_ratings', {
        id: key(),
        part_id,
        name,
        value_si: value,
        source: 'decoded',
        recorded_ms: clock,
      });
    if (index % 3 === 0)
      yield insert('measurements', {
        id: key(),
        part_id,
        test: kind === 'nmos' ? 'mosfet' : kind,
        measured: '{}',
        in_circuit: 0,
        taken_ms: clock,
      });
  }
  for (let index = 0; index < LARGE.joins; index += 1)
    yield insert('board_facts', {
      id: key(),
      donor_id,
      relation: 'joined',
      a: `R${(index % 37) * 4 + 3}.${(index % 2) + 1}`,
      b: `R${((index + 5) % 37) * 4 + 3}.${(index % 2) + 1}`,
      created_ms: clock,
    });
  for (let index = 0; index < LARGE.notes; index += 1)
    yield insert('notes', {
      id: key(),
      donor_id,
      station: 'trace',
      text: `note ${index}`,
      question: index % 2,
      created_ms: clock,
    });
}

function* everything(): Generator<Statement> {
  yield* shop();
  yield* largeDonor();
}

async function main(url: string) {
  await migrate(url, 'src/db/migrations');
  const db = openDatabase(url);
  let chunk: Statement[] = [];
  for (const statement of everything()) {
    chunk.push(statement);
    if (chunk.length < CHUNK) continue;
    await db.client.batch(chunk, 'write');
    chunk = [];
  }
  if (chunk.length > 0) await db.client.batch(chunk, 'write');
  db.close();
}

void main(process.argv[2] ?? '');
