import { isEmail, LEAST_PASSWORD, ROLES, type Role } from '@nuvar/book';
import { IsIn, IsNotEmpty, Matches, MinLength, ValidateBy } from 'class-validator';
import { AsField } from '../controls/fields/as-field.js';

const Email = (): PropertyDecorator =>
  ValidateBy({
    name: 'email',
    validator: {
      validate: (value) => typeof value === 'string' && isEmail(value),
      defaultMessage: () => 'This does not look like an e-mail address.',
    },
  });

/** What it takes to sign in. */
export class SignInForm {
  @IsNotEmpty({ message: 'Type your e-mail address.' })
  email!: string;

  @IsNotEmpty({ message: 'Type your password.' })
  password!: string;
}

/** What it takes to make an account. */
export class SignUpForm {
  @Matches(/\S/, { message: 'Type your name.' })
  name!: string;

  @Email()
  email!: string;

  @MinLength(LEAST_PASSWORD, { message: `The password needs at least ${LEAST_PASSWORD} characters.` })
  password!: string;
}

/** What a new book starts with. */
export class NewBookForm {
  @AsField('settings', 'name')
  name!: string;

  @AsField('settings', 'currency')
  currency!: string;

  @AsField('settings', 'locale')
  locale!: string;
}

/** Who is let into a book. */
export class AddMemberForm {
  @Email()
  email!: string;

  @IsIn(ROLES, { message: 'Choose a role.' })
  role!: Role;
}
