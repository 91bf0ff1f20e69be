import type { MigrationInterface, QueryRunner } from 'typeorm';
import { findsBy, pointsTo, ROW } from '../row-sql.js';

const NAMED = `name text NOT NULL CHECK (name <> ''), name_key text NOT NULL,
  CONSTRAINT row_what_if_name UNIQUE (book_id, name_key) DEFERRABLE INITIALLY DEFERRED`;

/** What-ifs as rows of the book, and baselines: books as they were on a day, kept beside it. */
export class WhatIfsAndBaselines1767700000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE row_what_if (${ROW}, ${NAMED}, note text NOT NULL)`);
    await runner.query(
      `CREATE TABLE row_what_if_change (${ROW}, what_if_id uuid NOT NULL, position integer NOT NULL CHECK (position >= 0),
        row_kind text NOT NULL, row_id text NOT NULL, field text NOT NULL,
        how text NOT NULL CHECK (how IN ('set', 'add', 'scale', 'create', 'remove')), value text NOT NULL, was text NOT NULL,
        bulk text NOT NULL, note text NOT NULL, ${pointsTo('what_if_id', 'row_what_if')})`,
    );
    await runner.query(findsBy('what_if_change', 'what_if_id'));
    await runner.query(
      `CREATE TABLE baselines (book_id uuid NOT NULL REFERENCES books (id) ON DELETE CASCADE, id uuid NOT NULL,
        name text NOT NULL CHECK (name <> ''), name_key text NOT NULL, note text NOT NULL, day date NOT NULL,
        revision integer NOT NULL, made_at timestamptz NOT NULL DEFAULT now(),
        made_by uuid REFERENCES users (id) ON DELETE SET NULL, packed bytea NOT NULL,
        PRIMARY KEY (book_id, id), UNIQUE (book_id, name_key))`,
    );
    await runner.query('CREATE INDEX baselines_made_by ON baselines (made_by)');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE baselines');
    await runner.query('DROP TABLE row_what_if_change');
    await runner.query('DROP TABLE row_what_if');
  }
}
