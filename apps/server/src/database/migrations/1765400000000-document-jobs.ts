import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Documents that are being made, or wait to be fetched for an hour. */
export class DocumentJobs1765400000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE document_jobs (book_id uuid NOT NULL REFERENCES books (id) ON DELETE CASCADE, id uuid NOT NULL,
      begun_at timestamptz NOT NULL DEFAULT now(), state text NOT NULL, progress integer NOT NULL, name text NOT NULL, type text NOT NULL,
      problem text, file bytea, PRIMARY KEY (book_id, id))`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE document_jobs');
  }
}
