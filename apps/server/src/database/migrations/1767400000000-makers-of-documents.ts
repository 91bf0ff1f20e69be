import type { MigrationInterface, QueryRunner } from 'typeorm';

/** A document that is under way is known by who makes it: nobody else who only reads the book ends it. */
export class MakersOfDocuments1767400000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    // What was made before is gone within the hour, and belongs to nobody.
    await runner.query('ALTER TABLE document_jobs ADD user_id uuid REFERENCES users (id) ON DELETE CASCADE');
    await runner.query('CREATE INDEX document_jobs_user ON document_jobs (user_id)');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE document_jobs DROP COLUMN user_id');
  }
}
