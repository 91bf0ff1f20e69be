import { ROLES, type Role } from '@nuvar/book';
import { IsIn } from 'class-validator';
import { PlainText } from '../http/plain-text.js';

/** Who gets which role. */
export class MemberRequest {
  @PlainText('email')
  email!: string;

  @IsIn(ROLES, { message: `The role must be one of: ${ROLES.join(', ')}.` })
  role!: Role;
}
