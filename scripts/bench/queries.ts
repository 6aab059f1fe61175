// Times the list queries of the application against bare SQL that asks for the same rows, in one run.
import { readQuestion } from '../../src/core/stock';
import { openDatabase } from '../../src/db/client';
import { listDonors } from '../../src/db/repositories/donors';
import { searchLots, tightestLots } from '../../src/db/repositories/lotSearch';

const ROUNDS = 15;

async function median(work: () => Promise<unknown>): Promise<number> {
  const times: number[] = [];
  for (let round = 0; round < ROUNDS + 2; round += 1) {
    const began = performance.now();
    await work();
    if (round >= 2) times.push(performance.now() - began);
  }
  return times.sort((a, b) => a - b)[Math.floor(ROUNDS / 2)] ?? 0;
}

const LOT_COLUMNS = `select l.*, b.code as bin, d.code as donor from lots l join bins b on b.id = l.bin_id
  left join donors d on d.id = l.donor_id where l.deleted_ms is null and l.on_hand > 0`;

const CASES: readonly { name: string; find: string; sql: string }[] = [
  { name: 'all lots, first page', find: '', sql: `${LOT_COLUMNS} order by l.id desc limit 50` },
  {
    name: 'nmos >=600V',
    find: 'nmos >=600V',
    sql: `${LOT_COLUMNS} and l.kind = 'nmos' and l.id in (select lot_id from lot_ratings where name = 'vds' and value_si >= 600 and superseded_ms is null) order by l.id desc limit 50`,
  },
  {
    name: 'nmos vds>=600 id>=12 to-220',
    find: 'nmos vds>=600 id>=12 to-220',
    sql: `${LOT_COLUMNS} and l.kind = 'nmos' and l.package = 'TO-220'
      and l.id in (select lot_id from lot_ratings where name = 'vds' and value_si >= 600 and superseded_ms is null)
      and l.id in (select lot_id from lot_ratings where name = 'id' and value_si >= 12 and superseded_ms is null) order by l.id desc limit 50`,
  },
  {
    name: 'cap 1000u..2200u >=25V',
    find: 'cap 1000u..2200u >=25V',
    sql: `${LOT_COLUMNS} and l.kind = 'capacitor'
      and l.id in (select lot_id from lot_ratings where name = 'capacitance' and value_si between 1e-3 and 2.2e-3 and superseded_ms is null)
      and l.id in (select lot_id from lot_ratings where name = 'voltage' and value_si >= 25 and superseded_ms is null) order by l.id desc limit 50`,
  },
];

async function main(url: string) {
  const db = openDatabase(url);
  const rows: { query: string; application: string; 'bare SQL': string; ratio: string }[] = [];
  const add = (query: string, ours: number, bare: number) =>
    rows.push({
      query,
      application: `${ours.toFixed(1)} ms`,
      'bare SQL': `${bare.toFixed(1)} ms`,
      ratio: (ours / bare).toFixed(1),
    });
  for (const { name, find, sql } of CASES) {
    const parsed = readQuestion(find);
    if (!parsed.ok) throw new Error(name);
    const ours = await median(() => searchLots(db.read, parsed.filter, { size: 50 }));
    const bare = await median(async () => {
      const { rows: found } = await db.client.execute(sql);
      const ids = found.map((row) => String(row.id));
      await db.client.execute({
        sql: `select * from lot_ratings where superseded_ms is null and lot_id in (${ids.map(() => '?').join(',')})`,
        args: ids,
      });
      await db.client.execute(
        sql
          .replace(/select l\.\*, b\.code as bin, d\.code as donor/, 'select count(*), sum(l.on_hand)')
          .replace(/order by.*/s, ''),
      );
    });
    add(`${name}, with its facets`, ours, bare);
    if (parsed.filter.demands.length > 0)
      add('its tightest lots, against the same rows', await median(() => tightestLots(db.read, parsed.filter)), bare);
  }
  const ours = await median(() => listDonors(db.read, { page: 0, size: 30 }));
  const bare = await median(async () => {
    await db.client.execute('select * from donors where deleted_ms is null order by created_ms desc limit 30');
    await db.client.execute('select count(*) from donors where deleted_ms is null');
  });
  add('donors, first page (bare: rows only)', ours, bare);
  process.stdout.write(`${JSON.stringify(rows)}\n`);
  db.close();
}

void main(process.argv[2] ?? '');
