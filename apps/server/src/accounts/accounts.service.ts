import { newId, problem, ProblemError } from '@nuvar/book';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { hash, verify } from '@node-rs/argon2';
import { DataSource } from 'typeorm';
import { Users, type User } from '../database/entities.js';

const EMAIL = /^[^\s@]+@[^\s@]+\.[^\s@]+$/;

/** People and their passwords. Passwords are kept as argon2id hashes only. */
@Injectable()
export class AccountsService {
  constructor(@InjectDataSource() private readonly database: DataSource) {}

  async signUp(given: { email: string; name: string; password: string }): Promise<User> {
    const email = given.email.trim();
    const refuse = (field: string, detail: string) =>
      new ProblemError([problem('invalid-field', { field, values: { detail } })]);
    if (!EMAIL.test(email)) throw refuse('email', 'This does not look like an e-mail address.');
    if (given.password.length < 10) throw refuse('password', 'The password needs at least 10 characters.');
    if (await this.byEmail(email)) throw new ProblemError([problem('email-taken', { field: 'email' })]);
    const user = {
      id: newId(),
      email,
      name: given.name.trim(),
      passwordHash: await hash(given.password),
      createdAt: new Date(),
    };
    await this.database.getRepository(Users).insert(user);
    return user;
  }

  /** The person to whom e-mail address and password belong. An unknown address takes as long as a wrong password. */
  async signIn(email: string, password: string): Promise<User> {
    const user = await this.byEmail(email.trim());
    const matches = await verify(user?.passwordHash ?? (await NOBODY), password);
    if (user === null || !matches) throw new ProblemError([problem('wrong-sign-in')]);
    return user;
  }

  byId(id: string): Promise<User | null> {
    return this.database.getRepository(Users).findOneBy({ id });
  }

  byEmail(email: string): Promise<User | null> {
    return this.database
      .getRepository(Users)
      .createQueryBuilder('user')
      .where('lower(user.email) = lower(:email)', { email })
      .getOne();
  }
}

const NOBODY = hash('the password of nobody');
