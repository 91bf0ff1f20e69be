import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The account by which everybody could once sign in to one demo book. */
const FORMER_DEMO_PERSON = 'demo@quillfern.example';

/**
 * Whoever looks at the demo is a guest with a book of their own: somebody without address and password. The former demo
 * person, whose password everybody knew, can no longer sign in; what they own stays. Limits are counted in a table of
 * their own layout.
 */
export class GuestsAndLimits1764700000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE users ALTER COLUMN email DROP NOT NULL, ALTER COLUMN password_hash DROP NOT NULL,
      ADD COLUMN kind text NOT NULL DEFAULT 'person' CHECK (kind IN ('person', 'guest')),
      ADD CONSTRAINT users_guest CHECK ((kind = 'guest') = (email IS NULL))`);
    await runner.query(`UPDATE users SET password_hash = NULL WHERE lower(email) = $1`, [FORMER_DEMO_PERSON]);
    await runner.query(`CREATE INDEX users_guests ON users (created_at) WHERE kind = 'guest'`);
    await runner.query(`CREATE INDEX sessions_person ON sessions ((sess ->> 'userId'))`);
    await runner.query(`CREATE INDEX journal_user ON journal (user_id)`);
    await runner.query('DROP TABLE tries');
    await runner.query(
      `CREATE TABLE limits (key varchar(255) PRIMARY KEY, points integer NOT NULL DEFAULT 0, expire bigint)`,
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE limits');
    await runner.query(
      `CREATE TABLE tries (key text PRIMARY KEY, hits integer NOT NULL, expires_at timestamptz NOT NULL)`,
    );
    await runner.query(
      `DELETE FROM books WHERE id IN (SELECT book_id FROM members JOIN users ON users.id = user_id WHERE kind = 'guest')`,
    );
    await runner.query(`DELETE FROM users WHERE kind = 'guest'`);
    await runner.query(`DROP INDEX sessions_person`);
    await runner.query(`DROP INDEX journal_user`);
    await runner.query(`UPDATE users SET password_hash = '' WHERE password_hash IS NULL`);
    await runner.query(
      `ALTER TABLE users DROP COLUMN kind, ALTER COLUMN email SET NOT NULL, ALTER COLUMN password_hash SET NOT NULL`,
    );
  }
}
