// Writes ledger lines one after another and prints each number once its write is acknowledged, until it is killed.
import { createClient } from '@libsql/client';

const [url, lotId] = process.argv.slice(2);
const client = createClient({ url, timeout: 5000 });
for (let number = 1; ; number += 1) {
  await client.batch(
    [
      {
        sql: 'insert into stock_ledger (id, lot_id, at_ms, on_hand_delta, reserved_delta, reason, note) values (?, ?, 0, 1, 0, ?, ?)',
        args: [`crash${number}`, lotId, 'counted', ''],
      },
    ],
    'write',
  );
  process.stdout.write(`${number}\n`);
}
