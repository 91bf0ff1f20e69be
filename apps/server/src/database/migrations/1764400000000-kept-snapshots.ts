import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The latest snapshot of a book, packed, so that opening a book does not put it together from its rows each time. */
export class KeptSnapshots1764400000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE kept_snapshots (
      book_id uuid PRIMARY KEY REFERENCES books (id) ON DELETE CASCADE,
      revision integer NOT NULL,
      layout text NOT NULL,
      packed bytea NOT NULL)`);
    // It is packed already: PostgreSQL need not try to make it smaller.
    await runner.query('ALTER TABLE kept_snapshots ALTER COLUMN packed SET STORAGE EXTERNAL');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE kept_snapshots');
  }
}
