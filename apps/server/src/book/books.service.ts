import { percentFilled, refuseTooManyBooks } from './room.js';
import {
  STORED_KINDS,
  newId,
  ProblemError,
  readBookFile,
  type BookRows,
  type StoredRow,
  type Write,
  type Role,
} from '@nuvar/book';
import { Inject, Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { Books, Members } from '../database/entities.js';
import { changeOf } from './change-of.js';
import { ChangeService, writesOfNewBook } from './change.service.js';

export interface BookSummary {
  readonly id: string;
  readonly name: string;
  readonly currency: string;
  readonly role: Role;
}

/** Books as wholes: made, listed, taken in from files and removed. Their rows change by changes only. */
@Injectable()
export class BooksService {
  constructor(
    @InjectDataSource() private readonly database: DataSource,
    @Inject(ChangeService) private readonly changes: ChangeService,
  ) {}

  listFor(userId: string): Promise<BookSummary[]> {
    return this.database.query(
      `SELECT book_id AS id, row_settings.name, currency, role FROM members JOIN row_settings USING (book_id) WHERE user_id = $1 ORDER BY lower(row_settings.name)`,
      [userId],
    );
  }

  /** How much of the room of a book is taken, in percent; 0 while it is far from full. */
  percentFilled(bookId: string): Promise<number> {
    return percentFilled(this.database.manager, bookId);
  }

  /** Makes a book with the given settings and nothing else in it. Throws the problems of the settings. */
  make(userId: string, settings: Readonly<Record<string, unknown>>): Promise<string> {
    return this.makeWith(userId, (bookId) => {
      const operations = [{ action: 'create', kind: 'settings', row: { ...settings, id: bookId } }];
      return writesOfNewBook(changeOf({ id: newId(), operations }));
    });
  }

  /** Makes a new book of a book file. Throws the problems of the file, and then nothing is stored. */
  takeIn(userId: string, file: unknown): Promise<string> {
    const read = readBookFile(file);
    if (!read.ok) throw new ProblemError(read.problems);
    return this.makeWith(userId, (bookId) => creationOf(read.rows, bookId));
  }

  private async makeWith(userId: string, writesFor: (bookId: string) => readonly Write[]): Promise<string> {
    const bookId = newId();
    await this.database.transaction(async (manager) => {
      await refuseTooManyBooks(manager, userId);
      await manager.getRepository(Books).insert({ id: bookId, revision: 0 });
      await manager.getRepository(Members).insert({ bookId, userId, role: 'owner' });
      await this.changes.fillNewBook(manager, bookId, userId, writesFor(bookId));
    });
    return bookId;
  }
}

/** The writes that make a new book of rows that were read; its settings get the id of the book. */
function creationOf(rows: BookRows, bookId: string): Write[] {
  return STORED_KINDS.flatMap((kind) =>
    rows.all(kind).map((row): Write => {
      const id = kind === 'settings' ? bookId : row.id;
      return { kind, id, before: null, after: { ...(row as StoredRow), id } };
    }),
  );
}
