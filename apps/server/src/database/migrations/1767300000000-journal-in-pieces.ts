import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Writes of a piece of what was in the journal before it came in pieces. */
const AT_ONCE = 500;

/**
 * What a change has written stands in pieces of a bounded size, so that no answer has to hold a change of many rows whole;
 * the history of a row is found by an index.
 */
export class JournalInPieces1767300000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `CREATE TABLE journal_writes (book_id uuid NOT NULL, revision integer NOT NULL, piece integer NOT NULL,
         row_ids uuid[] NOT NULL, bytes integer NOT NULL, writes jsonb NOT NULL, PRIMARY KEY (book_id, revision, piece),
         FOREIGN KEY (book_id, revision) REFERENCES journal (book_id, revision) ON DELETE CASCADE)`,
    );
    await runner.query(
      `INSERT INTO journal_writes (book_id, revision, piece, row_ids, bytes, writes)
       SELECT book_id, revision, (place - 1) / ${AT_ONCE}, array_agg((written ->> 'id')::uuid ORDER BY place),
         sum(octet_length(written::text)), jsonb_agg(written ORDER BY place)
       FROM journal, jsonb_array_elements(writes) WITH ORDINALITY AS each (written, place) GROUP BY 1, 2, 3`,
    );
    await runner.query('CREATE INDEX journal_writes_rows ON journal_writes USING gin (row_ids)');
    await runner.query('ALTER TABLE journal ADD write_count integer NOT NULL DEFAULT 0');
    await runner.query('UPDATE journal SET write_count = jsonb_array_length(writes)');
    await runner.query('ALTER TABLE journal DROP COLUMN writes, ALTER write_count DROP DEFAULT');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE journal ADD writes jsonb NOT NULL DEFAULT '[]'`);
    await runner.query(
      `UPDATE journal SET writes = whole.writes FROM (
         SELECT book_id, revision, jsonb_agg(written ORDER BY piece, place) AS writes
         FROM journal_writes, jsonb_array_elements(writes) WITH ORDINALITY AS each (written, place) GROUP BY 1, 2) AS whole
       WHERE whole.book_id = journal.book_id AND whole.revision = journal.revision`,
    );
    await runner.query('ALTER TABLE journal ALTER writes DROP DEFAULT, DROP COLUMN write_count');
    await runner.query('DROP TABLE journal_writes');
  }
}
