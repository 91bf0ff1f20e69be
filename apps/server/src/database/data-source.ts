import { DataSource } from 'typeorm';
import { Books, Journal, Members, Users } from './entities.js';
import { FirstTables1764000000000 } from './migrations/1764000000000-first-tables.js';
import { ItemConversions1764100000000 } from './migrations/1764100000000-item-conversions.js';
import { KeptSnapshots1764400000000 } from './migrations/1764400000000-kept-snapshots.js';
import { PlanningPrices1764200000000 } from './migrations/1764200000000-planning-prices.js';
import { PurchasingAndProductionInFull1764300000000 } from './migrations/1764300000000-purchasing-and-production-in-full.js';
import { WasteOnTop1764500000000 } from './migrations/1764500000000-waste-on-top.js';
import { ROW_TABLES } from './tables.js';

const MIGRATIONS = [
  FirstTables1764000000000,
  ItemConversions1764100000000,
  PlanningPrices1764200000000,
  PurchasingAndProductionInFull1764300000000,
  KeptSnapshots1764400000000,
  WasteOnTop1764500000000,
];

/** Names the tables that this code is written for: those after its last migration. */
export const TABLES_LAYOUT = MIGRATIONS.at(-1)?.name ?? '';

/** The connection to PostgreSQL 15 or newer. Tables are laid down by migrations, never synchronised. */
export function dataSource(url: string): DataSource {
  return new DataSource({
    type: 'postgres',
    url,
    entities: [Users, Books, Members, Journal, ...Object.values(ROW_TABLES)],
    migrations: MIGRATIONS,
    migrationsRun: true,
    synchronize: false,
    extra: { max: 10 },
  });
}
