import { problem, ProblemError, type Role } from '@nuvar/book';
import { noteSecurityEvent } from '../http/security-log.js';
import { Inject, Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type EntityManager } from 'typeorm';
import { AccountsService } from '../accounts/accounts.service.js';
import { Limits } from '../accounts/limits.js';
import { Members } from '../database/entities.js';
import { membershipIn } from './membership.js';
import type { MemberRequest } from './requests.js';

export interface Member {
  readonly userId: string;
  readonly name: string;
  readonly email: string | null;
  readonly role: Role;
}

/** Who belongs to a book, and what they may do there. */
@Injectable()
export class MembershipService {
  constructor(
    @InjectDataSource() private readonly database: DataSource,
    @Inject(AccountsService) private readonly accounts: AccountsService,
    @Inject(Limits) private readonly limits: Limits,
  ) {}

  /** The role of a person in a book, as `membershipIn` says. */
  require(bookId: string, userId: string, may?: readonly Role[]): Promise<Role> {
    return membershipIn(this.database.manager, bookId, userId, may);
  }

  list(bookId: string): Promise<Member[]> {
    return this.database.query(
      `SELECT user_id AS "userId", name, email, role FROM members JOIN users ON users.id = members.user_id WHERE book_id = $1 ORDER BY name`,
      [bookId],
    );
  }

  /** Gives a person a role, whether or not they had one. Owners do so, and guests do not. */
  async put(bookId: string, ownerId: string, { email, role }: MemberRequest): Promise<void> {
    await this.require(bookId, ownerId, ['owner']);
    const owner = await this.accounts.byId(ownerId);
    if (owner?.kind !== 'person') throw new ProblemError([problem('not-as-a-guest')]);
    await this.limits.count('lookUp', ownerId);
    const user = await this.accounts.byEmail(email);
    if (user === null) throw new ProblemError([problem('unknown-person', { field: 'email' })]);
    await this.keepingAnOwner(bookId, async (members) => {
      await membershipIn(members, bookId, ownerId, ['owner']);
      await members.query(
        `INSERT INTO members (book_id, user_id, role) VALUES ($1, $2, $3) ON CONFLICT (book_id, user_id) DO UPDATE SET role = EXCLUDED.role`,
        [bookId, user.id, role],
      );
    });
    noteSecurityEvent('role given', { bookId, byId: ownerId, userId: user.id, role });
  }

  /** Takes a person out of a book: owners whom they will, everybody else themselves. */
  async remove(bookId: string, byId: string, userId: string): Promise<void> {
    await this.keepingAnOwner(bookId, async (members) => {
      await membershipIn(members, bookId, byId, userId === byId ? undefined : ['owner']);
      const { affected } = await members.getRepository(Members).delete({ bookId, userId });
      if (affected === 0) throw new ProblemError([problem('unknown-member')]);
    });
  }

  /** Changes the members of a book while no other change of the book is made. */
  private async keepingAnOwner(bookId: string, act: (members: EntityManager) => Promise<void>): Promise<void> {
    await this.database.transaction(async (manager) => {
      await manager.query('SELECT 1 FROM books WHERE id = $1 FOR NO KEY UPDATE', [bookId]);
      await act(manager);
      const owners = await manager.getRepository(Members).countBy({ bookId, role: 'owner' });
      if (owners === 0) throw new ProblemError([problem('last-owner')]);
    });
  }
}
