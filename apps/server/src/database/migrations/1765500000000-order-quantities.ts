import type { MigrationInterface, QueryRunner } from 'typeorm';
import { findsBy, pointsTo, ROW } from '../row-sql.js';

/** Price breaks, and what it takes to say how much to order and when. */
export class OrderQuantities1765500000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE row_price_break (${ROW}, price_id uuid NOT NULL, from_packs numeric NOT NULL CHECK (from_packs > 0),
      price numeric CHECK (price >= 0), ${pointsTo('price_id', 'row_supplier_price')})`);
    await runner.query(findsBy('price_break', 'price_id'));
    await runner.query(`ALTER TABLE row_material ADD COLUMN reorder_level numeric CHECK (reorder_level >= 0),
      ADD COLUMN yearly_need numeric CHECK (yearly_need > 0)`);
    await runner.query(`ALTER TABLE row_settings ADD COLUMN cost_per_order numeric NOT NULL DEFAULT 0 CHECK (cost_per_order >= 0),
      ADD COLUMN holding_percent numeric NOT NULL DEFAULT 0 CHECK (holding_percent >= 0)`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE row_settings DROP COLUMN cost_per_order, DROP COLUMN holding_percent');
    await runner.query('ALTER TABLE row_material DROP COLUMN reorder_level, DROP COLUMN yearly_need');
    await runner.query('DROP TABLE row_price_break');
  }
}
