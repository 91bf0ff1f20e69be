import { isEmail, LEAST_PASSWORD, newId, problem, ProblemError } from '@nuvar/book';
import { isCommonPassword } from './common-passwords.js';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { hash, verify } from '@node-rs/argon2';
import { DataSource } from 'typeorm';
import { isUniqueViolation } from '../database/database-error.js';
import { Users, type User } from '../database/entities.js';
import type { SignUpRequest } from './requests.js';

/** People and their passwords. Passwords are kept as argon2id hashes only. */
@Injectable()
export class AccountsService {
  constructor(@InjectDataSource() private readonly database: DataSource) {}

  /** Makes an account; that of a guest becomes one, with all that is theirs. */
  async signUp(given: SignUpRequest, guestId: string | null = null): Promise<User> {
    const email = given.email.trim();
    const refuse = (field: string, detail: string) =>
      new ProblemError([problem('invalid-field', { field, values: { detail } })]);
    if (!isEmail(email)) throw refuse('email', 'This does not look like an e-mail address.');
    if (given.password.length < LEAST_PASSWORD)
      throw refuse('password', `The password needs at least ${LEAST_PASSWORD} characters.`);
    if (isCommonPassword(given.password))
      throw refuse('password', 'This password is one of the first that somebody else would try. Choose another.');
    const user: User = {
      id: guestId ?? newId(),
      kind: 'person',
      email,
      name: given.name.trim(),
      passwordHash: await hash(given.password),
      createdAt: new Date(),
    };
    const users = this.database.getRepository(Users);
    try {
      await (guestId === null ? users.insert(user) : users.update({ id: guestId, kind: 'guest' }, user));
    } catch (error) {
      throw isUniqueViolation(error) ? new ProblemError([problem('email-taken', { field: 'email' })]) : error;
    }
    return user;
  }

  /** The person to whom e-mail address and password belong. An unknown address takes as long as a wrong password. */
  async signIn(email: string, password: string): Promise<User> {
    const user = await this.byEmail(email);
    const matches = await verify(user?.passwordHash ?? (await NOBODY), password);
    if (user === null || user.passwordHash === null || !matches) throw new ProblemError([problem('wrong-sign-in')]);
    return user;
  }

  /** Somebody who looks at the demo, without address and password. */
  async makeGuest(): Promise<User> {
    const guest: User = {
      id: newId(),
      kind: 'guest',
      email: null,
      name: 'Guest',
      passwordHash: null,
      createdAt: new Date(),
    };
    await this.database.getRepository(Users).insert(guest);
    return guest;
  }

  byId(id: string): Promise<User | null> {
    return this.database.getRepository(Users).findOneBy({ id });
  }

  /** The person with that address, spaces around it and capitals left aside. */
  byEmail(email: string): Promise<User | null> {
    return this.database
      .getRepository(Users)
      .createQueryBuilder('user')
      .where('lower(user.email) = lower(:email)', { email: email.trim() })
      .getOne();
  }
}

const NOBODY = hash('the password of nobody');
