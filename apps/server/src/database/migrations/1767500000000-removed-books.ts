import type { MigrationInterface, QueryRunner } from 'typeorm';

/** A book that was removed is nobody's at once, and its rows go by pieces after that. */
export class RemovedBooks1767500000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE books ADD removed_at timestamptz');
    await runner.query('CREATE INDEX books_removed ON books (removed_at) WHERE removed_at IS NOT NULL');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE books DROP COLUMN removed_at');
  }
}
