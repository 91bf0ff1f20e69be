import type { Role } from '@nuvar/book';
import { EntitySchema } from 'typeorm';

export interface User {
  id: string;
  /** A guest looks at the demo: somebody without address and password, whose book goes some time after its last use. */
  kind: 'person' | 'guest';
  email: string | null;
  name: string;
  /** Null where nobody can sign in with a password. */
  passwordHash: string | null;
  createdAt: Date;
}

export const Users = new EntitySchema<User>({
  name: 'user',
  tableName: 'users',
  columns: {
    id: { type: 'uuid', primary: true },
    kind: { type: 'text' },
    email: { type: 'text', nullable: true },
    name: { type: 'text' },
    passwordHash: { type: 'text', name: 'password_hash', nullable: true },
    createdAt: { type: 'timestamptz', name: 'created_at', createDate: true },
  },
});

export interface BookRecord {
  id: string;
  revision: number;
  createdAt: Date;
}

export const Books = new EntitySchema<BookRecord>({
  name: 'book',
  tableName: 'books',
  columns: {
    id: { type: 'uuid', primary: true },
    revision: { type: 'integer' },
    createdAt: { type: 'timestamptz', name: 'created_at', createDate: true },
  },
});

export interface Member {
  bookId: string;
  userId: string;
  role: Role;
}

export const Members = new EntitySchema<Member>({
  name: 'member',
  tableName: 'members',
  columns: {
    bookId: { type: 'uuid', primary: true, name: 'book_id' },
    userId: { type: 'uuid', primary: true, name: 'user_id' },
    role: { type: 'text' },
  },
});

/** The format in which the writes of a journal entry are kept. */
export const JOURNAL_FORMAT = 2;

export interface JournalEntry {
  bookId: string;
  revision: number;
  changeId: string;
  userId: string;
  at: Date;
  undoes: string | null;
  format: number;
  /** SHA-256 of the operations as they were sent: the same id with other operations is refused. */
  digest: string;
  /** How many rows it wrote; what it wrote stands in pieces (`journal_writes`). */
  writeCount: number;
}

export const Journal = new EntitySchema<JournalEntry>({
  name: 'journal',
  tableName: 'journal',
  columns: {
    bookId: { type: 'uuid', primary: true, name: 'book_id' },
    revision: { type: 'integer', primary: true },
    changeId: { type: 'uuid', name: 'change_id' },
    userId: { type: 'uuid', name: 'user_id' },
    at: { type: 'timestamptz', createDate: true },
    undoes: { type: 'uuid', nullable: true },
    format: { type: 'integer' },
    digest: { type: 'text' },
    writeCount: { type: 'integer', name: 'write_count' },
  },
});
