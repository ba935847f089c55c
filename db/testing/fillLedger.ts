import { sql } from "drizzle-orm";
import type { Executor } from "../client.server";

/** Lays so many lots of one maker on the shelf, with so many movements spread over them. */
export async function fillLedger(
  db: Executor,
  makerId: string,
  { lots, movements }: { readonly lots: number; readonly movements: number },
) {
  await db.execute(sql`
    insert into lots (id, maker_id, material_id, code, pack_grams)
    select gen_random_uuid(), ${makerId}, (array(select id from materials where maker_id is null))[1 + number % 200], 'L-' || number, 1000
    from generate_series(1, ${lots}) as number`);
  for (let from = 1; from <= movements; from += AT_ONCE) await fillSome(db, makerId, lots, [from, Math.min(movements, from + AT_ONCE - 1)]);
  await db.execute(sql`analyze lots, movements`);
}

/** So many rows are written within the time one statement has. */
const AT_ONCE = 100_000;

async function fillSome(db: Executor, makerId: string, lots: number, [from, to]: readonly [number, number]): Promise<void> {
  await db.execute(sql`
    insert into movements (id, maker_id, lot_id, kind, grams)
    select gen_random_uuid(), ${makerId}, (array(select id from lots where maker_id = ${makerId}))[1 + number % ${lots}::int],
      case number % 3 when 0 then 'receive' else 'use' end, case number % 3 when 0 then 30 else -10 end
    from generate_series(${from}::int, ${to}::int) as number`);
}
