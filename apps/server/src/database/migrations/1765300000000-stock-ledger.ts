import type { MigrationInterface, QueryRunner } from 'typeorm';
import { findsBy, pointsTo, ROW } from '../row-sql.js';

/** The stock ledger, what it comes to by material and day, and the method by which a book values its stock. */
export class StockLedger1765300000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE row_stock_movement (${ROW}, material_id uuid NOT NULL, date date NOT NULL, type text NOT NULL,
      quantity numeric CHECK (quantity >= 0), unit text NOT NULL, cost numeric, of_movement_id uuid, line_id uuid,
      of_line numeric CHECK (of_line >= 0), remark text NOT NULL,
      ${pointsTo('material_id', 'row_material')}, ${pointsTo('of_movement_id', 'row_stock_movement')},
      ${pointsTo('line_id', 'row_shipment_line')})`);
    await runner.query('CREATE INDEX row_stock_movement_ledger ON row_stock_movement (book_id, material_id, date)');
    await runner.query(findsBy('stock_movement', 'of_movement_id'));
    await runner.query(
      'CREATE INDEX row_stock_movement_line_id ON row_stock_movement (book_id, line_id) WHERE line_id IS NOT NULL',
    );
    await runner.query(`CREATE TABLE stock_days (book_id uuid NOT NULL REFERENCES books (id) ON DELETE CASCADE, material_id uuid NOT NULL,
      day date NOT NULL, kept jsonb NOT NULL, PRIMARY KEY (book_id, material_id, day))`);
    await runner.query(`ALTER TABLE row_settings ADD COLUMN stock_method text NOT NULL DEFAULT 'moving average'`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE row_settings DROP COLUMN stock_method');
    await runner.query('DROP TABLE stock_days');
    await runner.query('DROP TABLE row_stock_movement');
  }
}
