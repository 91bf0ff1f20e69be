import { problem, ProblemError } from '@nuvar/book';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { Members, ROLES, Users, type Role } from '../database/entities.js';

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i;

/** Who belongs to a book, and what they may do there. */
@Injectable()
export class MembershipService {
  constructor(@InjectDataSource() private readonly database: DataSource) {}

  /**
   * The role of a person in a book. Throws `not-found` where they have none, exactly as for a book that does not exist,
   * and `not-allowed` where the role is not among those that may.
   */
  async require(bookId: string, userId: string, may: readonly Role[] = ROLES): Promise<Role> {
    const member = UUID.test(bookId) ? await this.database.getRepository(Members).findOneBy({ bookId, userId }) : null;
    if (member === null) throw new ProblemError([problem('not-found')]);
    if (!may.includes(member.role)) throw new ProblemError([problem('not-allowed', { values: { role: member.role } })]);
    return member.role;
  }

  list(bookId: string): Promise<{ userId: string; name: string; email: string; role: Role }[]> {
    return this.database.query(
      `SELECT user_id AS "userId", name, email, role FROM members JOIN users ON users.id = members.user_id WHERE book_id = $1 ORDER BY name`,
      [bookId],
    );
  }

  /** Gives a person a role, whether or not they had one. */
  async put(bookId: string, email: string, role: string): Promise<void> {
    if (!(ROLES as readonly string[]).includes(role)) {
      throw new ProblemError([
        problem('invalid-field', {
          field: 'role',
          values: { detail: `The role must be one of: ${ROLES.join(', ')}.` },
        }),
      ]);
    }
    const user = await this.database
      .getRepository(Users)
      .createQueryBuilder('user')
      .where('lower(user.email) = lower(:email)', { email })
      .getOne();
    if (user === null) throw new ProblemError([problem('unknown-person', { field: 'email' })]);
    await this.keepingAnOwner(bookId, async (members) => {
      await members.query(
        `INSERT INTO members (book_id, user_id, role) VALUES ($1, $2, $3) ON CONFLICT (book_id, user_id) DO UPDATE SET role = EXCLUDED.role`,
        [bookId, user.id, role],
      );
    });
  }

  async remove(bookId: string, userId: string): Promise<void> {
    await this.keepingAnOwner(bookId, async (members) => {
      await members.query(`DELETE FROM members WHERE book_id = $1 AND user_id::text = $2`, [bookId, userId]);
    });
  }

  private async keepingAnOwner(
    bookId: string,
    act: (members: { query(sql: string, values: unknown[]): Promise<unknown> }) => Promise<void>,
  ): Promise<void> {
    await this.database.transaction(async (manager) => {
      await manager.query(`SELECT 1 FROM books WHERE id = $1 FOR UPDATE`, [bookId]);
      await act(manager);
      const owners = await manager.getRepository(Members).countBy({ bookId, role: 'owner' });
      if (owners === 0) throw new ProblemError([problem('last-owner')]);
    });
  }
}
