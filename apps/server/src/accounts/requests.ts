import { PlainText } from '../http/plain-text.js';

/** What it takes to make an account. */
export class SignUpRequest {
  @PlainText('name')
  name!: string;

  @PlainText('email')
  email!: string;

  @PlainText('password')
  password!: string;
}

/** What it takes to sign in. */
export class SignInRequest {
  @PlainText('email')
  email!: string;

  @PlainText('password')
  password!: string;
}
