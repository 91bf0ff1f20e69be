import { DataSource } from 'typeorm';
import { Books, Journal, Members, Users } from './entities.js';
import { FirstTables1764000000000 } from './migrations/1764000000000-first-tables.js';
import { ItemConversions1764100000000 } from './migrations/1764100000000-item-conversions.js';
import { KeptSnapshots1764400000000 } from './migrations/1764400000000-kept-snapshots.js';
import { PlanningPrices1764200000000 } from './migrations/1764200000000-planning-prices.js';
import { PurchasingAndProductionInFull1764300000000 } from './migrations/1764300000000-purchasing-and-production-in-full.js';
import { WasteOnTop1764500000000 } from './migrations/1764500000000-waste-on-top.js';
import { NameKeys1764600000000 } from './migrations/1764600000000-name-keys.js';
import { GuestsAndLimits1764700000000 } from './migrations/1764700000000-guests-and-limits.js';
import { InsideSavedCards1764800000000 } from './migrations/1764800000000-inside-saved-cards.js';
import { Shipments1764900000000 } from './migrations/1764900000000-shipments.js';
import { ChargeRules1765000000000 } from './migrations/1765000000000-charge-rules.js';
import { DutyForms1765100000000 } from './migrations/1765100000000-duty-forms.js';
import { TaxOnPurchases1765200000000 } from './migrations/1765200000000-tax-on-purchases.js';
import { StockLedger1765300000000 } from './migrations/1765300000000-stock-ledger.js';
import { DocumentJobs1765400000000 } from './migrations/1765400000000-document-jobs.js';
import { OrderQuantities1765500000000 } from './migrations/1765500000000-order-quantities.js';
import { OverheadInFull1765600000000 } from './migrations/1765600000000-overhead-in-full.js';
import { FeeRules1765700000000 } from './migrations/1765700000000-fee-rules.js';
import { Selling1765800000000 } from './migrations/1765800000000-selling.js';
import { MixPlansAndDecisions1765900000000 } from './migrations/1765900000000-mix-plans-and-decisions.js';
import { PostedShipments1766000000000 } from './migrations/1766000000000-posted-shipments.js';
import { StockByMonths1766100000000 } from './migrations/1766100000000-stock-by-months.js';
import { DualRates1766200000000 } from './migrations/1766200000000-dual-rates.js';
import { WholeBatches1766300000000 } from './migrations/1766300000000-whole-batches.js';
import { SentQuotes1766400000000 } from './migrations/1766400000000-sent-quotes.js';
import { CostsOfAYear1766500000000 } from './migrations/1766500000000-costs-of-a-year.js';
import { PartsOfDecisions1766600000000 } from './migrations/1766600000000-parts-of-decisions.js';
import { PaidInCash1766700000000 } from './migrations/1766700000000-paid-in-cash.js';
import { OverheadInStock1766800000000 } from './migrations/1766800000000-overhead-in-stock.js';
import { Sheets1766900000000 } from './migrations/1766900000000-sheets.js';
import { LimitsOfMixes1767000000000 } from './migrations/1767000000000-limits-of-mixes.js';
import { PeriodsOfMixes1767100000000 } from './migrations/1767100000000-periods-of-mixes.js';
import { FoundByAllReferences1767200000000 } from './migrations/1767200000000-found-by-all-references.js';
import { JournalInPieces1767300000000 } from './migrations/1767300000000-journal-in-pieces.js';
import { MakersOfDocuments1767400000000 } from './migrations/1767400000000-makers-of-documents.js';
import { RemovedBooks1767500000000 } from './migrations/1767500000000-removed-books.js';
import { RoomOfBooks1767600000000 } from './migrations/1767600000000-room-of-books.js';
import { WhatIfsAndBaselines1767700000000 } from './migrations/1767700000000-what-ifs-and-baselines.js';
import { DaysOfLedgers1767800000000 } from './migrations/1767800000000-days-of-ledgers.js';
import { ROW_TABLES } from './tables.js';

const MIGRATIONS = [
  FirstTables1764000000000,
  ItemConversions1764100000000,
  PlanningPrices1764200000000,
  PurchasingAndProductionInFull1764300000000,
  KeptSnapshots1764400000000,
  WasteOnTop1764500000000,
  NameKeys1764600000000,
  GuestsAndLimits1764700000000,
  InsideSavedCards1764800000000,
  Shipments1764900000000,
  ChargeRules1765000000000,
  DutyForms1765100000000,
  TaxOnPurchases1765200000000,
  StockLedger1765300000000,
  DocumentJobs1765400000000,
  OrderQuantities1765500000000,
  OverheadInFull1765600000000,
  FeeRules1765700000000,
  Selling1765800000000,
  MixPlansAndDecisions1765900000000,
  PostedShipments1766000000000,
  StockByMonths1766100000000,
  DualRates1766200000000,
  WholeBatches1766300000000,
  SentQuotes1766400000000,
  CostsOfAYear1766500000000,
  PartsOfDecisions1766600000000,
  PaidInCash1766700000000,
  OverheadInStock1766800000000,
  Sheets1766900000000,
  LimitsOfMixes1767000000000,
  PeriodsOfMixes1767100000000,
  FoundByAllReferences1767200000000,
  JournalInPieces1767300000000,
  MakersOfDocuments1767400000000,
  RemovedBooks1767500000000,
  RoomOfBooks1767600000000,
  WhatIfsAndBaselines1767700000000,
  DaysOfLedgers1767800000000,
];

/** Names the tables that this code is written for: those after its last migration. */
export const TABLES_LAYOUT = MIGRATIONS.at(-1)?.name ?? '';

/**
 * How long a statement may take, how long one may wait for another's lock, and how long a transaction may stand idle, in
 * milliseconds: whatever hangs gives its connection back.
 */
const TIMEOUTS = {
  statement_timeout: 30_000,
  lock_timeout: 10_000,
  idle_in_transaction_session_timeout: 60_000,
} as const;

/** The connections to PostgreSQL 15 or newer, at most `most` at a time. The tables are laid down by `migrate`. */
export function dataSource(url: string, most = 10): DataSource {
  return new DataSource({
    type: 'postgres',
    url,
    entities: [Users, Books, Members, Journal, ...Object.values(ROW_TABLES)],
    synchronize: false,
    extra: { max: most, connectionTimeoutMillis: 10_000, keepAlive: true, ...TIMEOUTS },
  });
}

/** Any number that no other program uses on this database. */
const MIGRATING = 4_820_000_001;

/**
 * Lays down the tables, or brings those of an older version up to this one. Where several servers start at once, one does
 * it and the others wait. Runs as long as it takes.
 */
export async function migrate(url: string): Promise<void> {
  const database = new DataSource({ type: 'postgres', url, migrations: MIGRATIONS, synchronize: false });
  await database.initialize();
  const runner = database.createQueryRunner();
  try {
    await runner.query('SELECT pg_advisory_lock($1)', [MIGRATING]);
    await database.runMigrations({ transaction: 'each' });
    await runner.query('SELECT pg_advisory_unlock($1)', [MIGRATING]);
  } finally {
    await runner.release();
    await database.destroy();
  }
}
