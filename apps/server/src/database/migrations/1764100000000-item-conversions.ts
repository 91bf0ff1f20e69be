import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Conversions of an item's own: "1 each = 58 g". */
export class ItemConversions1764100000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE row_item_conversion (
      book_id uuid NOT NULL REFERENCES books (id) ON DELETE CASCADE, id uuid NOT NULL, version integer NOT NULL CHECK (version > 0),
      material_id uuid, product_id uuid, quantity numeric NOT NULL CHECK (quantity > 0), unit text NOT NULL,
      equal_quantity numeric CHECK (equal_quantity > 0), equal_unit text NOT NULL,
      PRIMARY KEY (book_id, id), CHECK ((material_id IS NULL) <> (product_id IS NULL)), CHECK (unit <> equal_unit),
      FOREIGN KEY (book_id, material_id) REFERENCES row_material (book_id, id) DEFERRABLE INITIALLY DEFERRED,
      FOREIGN KEY (book_id, product_id) REFERENCES row_product (book_id, id) DEFERRABLE INITIALLY DEFERRED)`);
    for (const column of ['material_id', 'product_id']) {
      await runner.query(`CREATE INDEX row_item_conversion_${column} ON row_item_conversion (book_id, ${column})`);
    }
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE row_item_conversion');
  }
}
