import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * What stock is worth by whole months is kept beside what it is by movement. Of days that were kept before it is not known:
 * the ledger is gone through from its beginning until the next movement keeps it.
 */
export class StockByMonths1766100000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`UPDATE stock_days SET kept = kept || '{"byMonth": ""}'`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`UPDATE stock_days SET kept = kept - 'byMonth'`);
  }
}
