import { isDay, isPlainText, ROLES, type Role } from '@nuvar/book';
import { IsIn, MaxLength, ValidateBy } from 'class-validator';
import { PlainText } from '../http/plain-text.js';

/** Who gets which role. */
export class MemberRequest {
  @PlainText('email')
  email!: string;

  @IsIn(ROLES, { message: `The role must be one of: ${ROLES.join(', ')}.` })
  role!: Role;
}

const isTrue = (name: string, message: string, validate: (value: unknown) => boolean) =>
  ValidateBy({ name, validator: { validate, defaultMessage: () => message } });

/** Under which name a book is frozen, and as of which day. */
export class BaselineRequest {
  @PlainText('name', 120)
  name!: string;

  @isTrue('text', 'The note must be text.', isPlainText)
  @MaxLength(2000, { message: 'The note can have at most 2,000 characters.' })
  note = '';

  @isTrue('day', 'The day must be a day such as 2026-03-31.', (value) => typeof value === 'string' && isDay(value))
  day!: string;
}
