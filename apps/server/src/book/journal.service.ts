import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';

/** Of a change of many rows, the history says the first ones and counts the others. */
const WRITES_TOLD = 10;

/**
 * The journal of a book: who changed what, and when, with what was before and after. PostgreSQL writes it as JSON text,
 * which goes out as it is: an entry may hold tens of thousands of rows, and everybody who has the book open asks for it.
 */
@Injectable()
export class JournalService {
  constructor(@InjectDataSource() private readonly database: DataSource) {}

  /** The changes after a revision, oldest first; at most `most` of them. */
  since(bookId: string, revision: number, most: number): Promise<string> {
    return this.entries(`book_id = $1 AND revision > $2 ORDER BY revision LIMIT $3`, [bookId, revision, most]);
  }

  /** The changes before a revision, newest first, to be told: of each no more than its first writes. */
  before(bookId: string, revision: number, most: number): Promise<string> {
    const where = `book_id = $1 AND revision < $2 ORDER BY revision DESC LIMIT $3`;
    const first = `jsonb_path_query_array(writes, '$[0 to ${WRITES_TOLD - 1}]')`;
    return this.entries(where, [bookId, revision, most], first);
  }

  /** What a person may want to take back: their own changes, newest first, without the making of the book. */
  ownLatest(bookId: string, userId: string, most: number): Promise<string> {
    const where = `book_id = $1 AND user_id = $2 AND revision > 1 ORDER BY revision DESC LIMIT $3`;
    return this.entries(where, [bookId, userId, most]);
  }

  /** What was written to one row, newest first: of each change only that. */
  ofRow(bookId: string, rowId: string, most: number): Promise<string> {
    const where = `book_id = $1 AND writes @> jsonb_build_array(jsonb_build_object('id', $2::text)) ORDER BY revision DESC LIMIT $3`;
    const only = `jsonb_path_query_array(writes, '$[*] ? (@.id == $id)', jsonb_build_object('id', $2::text))`;
    return this.entries(where, [bookId, rowId, most], only);
  }

  private async entries(where: string, values: unknown[], writes = 'writes'): Promise<string> {
    const found: { json: string }[] = await this.database.query(
      `SELECT coalesce(json_agg(entry)::text, '[]') AS json FROM (
         SELECT revision, change_id AS "changeId", user_id AS "userId", users.name AS "userName", at, undoes,
           ${writes} AS writes, jsonb_array_length(writes) AS "writeCount"
         FROM journal JOIN users ON users.id = journal.user_id WHERE ${where}) AS entry`,
      values,
    );
    return found[0]?.json ?? '[]';
  }
}
