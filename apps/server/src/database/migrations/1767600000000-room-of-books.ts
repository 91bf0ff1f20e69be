import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Each book knows how many rows it holds and how long its journal is, so that it is told when it becomes too large. */
export class RoomOfBooks1767600000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      'ALTER TABLE books ADD row_count integer NOT NULL DEFAULT 0, ADD journal_bytes bigint NOT NULL DEFAULT 0',
    );
    const tables: { name: string }[] = await runner.query(
      `SELECT tablename AS name FROM pg_tables WHERE schemaname = current_schema() AND tablename LIKE 'row\\_%'`,
    );
    const rows = tables.map(({ name }) => `SELECT book_id FROM ${name}`).join(' UNION ALL ');
    await runner.query(
      `UPDATE books SET row_count = counted.rows FROM (SELECT book_id, count(*) AS rows FROM (${rows}) AS every GROUP BY 1) AS counted
       WHERE counted.book_id = books.id`,
    );
    await runner.query(
      `UPDATE books SET journal_bytes = counted.bytes FROM (SELECT book_id, sum(bytes) AS bytes FROM journal_writes GROUP BY 1) AS counted
       WHERE counted.book_id = books.id`,
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE books DROP COLUMN row_count, DROP COLUMN journal_bytes');
  }
}
