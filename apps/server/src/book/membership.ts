import { isRowId, problem, ProblemError, ROLES, type Role } from '@nuvar/book';
import type { EntityManager } from 'typeorm';
import { Members } from '../database/entities.js';

/**
 * The role of a person in a book. Throws `not-found` where they have none, exactly as for a book that does not exist,
 * and `not-allowed` where the role is not among those that may.
 */
export async function membershipIn(
  manager: EntityManager,
  bookId: string,
  userId: string,
  may: readonly Role[] = ROLES,
): Promise<Role> {
  const member = isRowId(bookId) ? await manager.getRepository(Members).findOneBy({ bookId, userId }) : null;
  if (member === null) throw new ProblemError([problem('not-found')]);
  if (!may.includes(member.role)) throw new ProblemError([problem('not-allowed', { values: { role: member.role } })]);
  return member.role;
}
