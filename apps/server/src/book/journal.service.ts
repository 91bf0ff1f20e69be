import { problem, ProblemError } from '@nuvar/book';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';

/** Of a change of many rows, the history says the first ones and counts the others. */
const WRITES_TOLD = 10;

/** An answer ends with the entry, or with the piece of one, that brings it to so many bytes of writes. */
const BYTES_OF_AN_ANSWER = 4 * 1024 * 1024;

/** Of what a person may want to take back, an entry brings its first piece; the rest is asked for when it is taken back. */
const FIRST_PIECE = 0;

/** An entry of the journal as it is found, without what it wrote. */
interface FoundEntry {
  readonly revision: number;
  readonly changeId: string;
  readonly userId: string;
  readonly userName: string;
  readonly at: Date;
  readonly undoes: string | null;
  readonly writeCount: number;
}

/** Which pieces of an entry go into an answer. */
interface FoundPiece {
  readonly revision: number;
  readonly piece: number;
  readonly bytes: number;
}

/**
 * The journal of a book: who changed what, and when, with what was before and after. What a change has written stands in
 * pieces, which go out as PostgreSQL writes them. No answer is longer than its limit and one piece: where an entry does not
 * fit whole, `rest` names the piece with which `piece` goes on, and entries that do not fit are left for the next question.
 */
@Injectable()
export class JournalService {
  constructor(@InjectDataSource() private readonly database: DataSource) {}

  /** The changes after a revision, oldest first; at most `most` of them, and one at least where there is any. */
  async since(bookId: string, revision: number, most: number): Promise<string> {
    const found = await this.found('book_id = $1 AND revision > $2 ORDER BY revision LIMIT $3', [
      bookId,
      revision,
      most,
    ]);
    return this.told(bookId, found, await this.piecesOf(bookId, found));
  }

  /** What a person may want to take back: their own changes, newest first, without the making of the book. */
  async ownLatest(bookId: string, userId: string, most: number): Promise<string> {
    const found = await this.found('book_id = $1 AND user_id = $2 AND revision > 1 ORDER BY revision DESC LIMIT $3', [
      bookId,
      userId,
      most,
    ]);
    const pieces = await this.piecesOf(bookId, found);
    return this.told(bookId, found, pieces, ({ piece }) => piece === FIRST_PIECE);
  }

  /** The changes before a revision, newest first, to be told: of each no more than its first writes. */
  async before(bookId: string, revision: number, most: number): Promise<string> {
    const found = await this.found('book_id = $1 AND revision < $2 ORDER BY revision DESC LIMIT $3', [
      bookId,
      revision,
      most,
    ]);
    const writes: { revision: number; text: string }[] = await this.database.query(
      `SELECT revision, jsonb_path_query_array(writes, '$[0 to ${WRITES_TOLD - 1}]')::text AS text FROM journal_writes
       WHERE book_id = $1 AND revision = ANY($2::integer[]) AND piece = ${FIRST_PIECE}`,
      [bookId, found.map((entry) => entry.revision)],
    );
    return entriesWith(found, new Map(writes.map(({ revision: of, text }) => [of, text])));
  }

  /** What was written to one row, newest first: of each change only that. */
  async ofRow(bookId: string, rowId: string, most: number): Promise<string> {
    const writes: { revision: number; text: string }[] = await this.database.query(
      `SELECT revision, jsonb_path_query_array(writes, '$[*] ? (@.id == $id)', jsonb_build_object('id', $2::text))::text AS text
       FROM journal_writes WHERE book_id = $1 AND row_ids @> ARRAY[$2::uuid] ORDER BY revision DESC LIMIT $3`,
      [bookId, rowId, most],
    );
    const found = await this.found('book_id = $1 AND revision = ANY($2::integer[]) ORDER BY revision DESC', [
      bookId,
      writes.map(({ revision }) => revision),
    ]);
    return entriesWith(found, new Map(writes.map(({ revision, text }) => [revision, text])));
  }

  /** A piece of what a change has written, and the number of the next one. Throws `not-found` where there is none. */
  async piece(bookId: string, revision: number, piece: number): Promise<string> {
    const found: { text: string; last: number }[] = await this.database.query(
      `SELECT writes::text AS text, (SELECT max(piece) FROM journal_writes WHERE book_id = $1 AND revision = $2) AS last
       FROM journal_writes WHERE book_id = $1 AND revision = $2 AND piece = $3`,
      [bookId, revision, piece],
    );
    const [first] = found;
    if (first === undefined) throw new ProblemError([problem('not-found')]);
    return `{"writes":${first.text},"rest":${piece < first.last ? piece + 1 : 'null'}}`;
  }

  private found(where: string, values: unknown[]): Promise<FoundEntry[]> {
    return this.database.query(
      `SELECT revision, change_id AS "changeId", user_id AS "userId", users.name AS "userName", at, undoes,
         write_count AS "writeCount"
       FROM journal JOIN users ON users.id = journal.user_id WHERE ${where}`,
      values,
    );
  }

  /** The pieces of entries, in the order of the entries. */
  private async piecesOf(bookId: string, found: readonly FoundEntry[]): Promise<FoundPiece[]> {
    const pieces: FoundPiece[] = await this.database.query(
      `SELECT revision, piece, bytes FROM journal_writes WHERE book_id = $1 AND revision = ANY($2::integer[]) ORDER BY piece`,
      [bookId, found.map(({ revision }) => revision)],
    );
    return found.flatMap((entry) => pieces.filter(({ revision }) => revision === entry.revision));
  }

  /** Entries with those of their pieces that are wanted, as far as they fit into an answer. */
  private async told(
    bookId: string,
    found: readonly FoundEntry[],
    pieces: readonly FoundPiece[],
    isWanted: (piece: FoundPiece) => boolean = () => true,
  ): Promise<string> {
    let bytes = 0;
    const fitting: FoundPiece[] = [];
    for (const piece of pieces.filter(isWanted)) {
      if (bytes >= BYTES_OF_AN_ANSWER) break;
      bytes += piece.bytes;
      fitting.push(piece);
    }
    const texts: { revision: number; text: string }[] = await this.database.query(
      `SELECT revision, writes::text AS text FROM journal_writes JOIN unnest($2::integer[], $3::integer[]) AS wanted (of, part)
       ON revision = of AND piece = part WHERE book_id = $1 ORDER BY piece`,
      [bookId, fitting.map(({ revision }) => revision), fitting.map(({ piece }) => piece)],
    );
    const writes = new Map<number, string>();
    for (const { revision, text } of texts) writes.set(revision, joined(writes.get(revision), text));
    const last = fitting.at(-1);
    // Entries after the last that fits, in the order of the answer, come with the next question.
    const end = last === undefined ? found.length : found.findIndex(({ revision }) => revision === last.revision) + 1;
    const isCutOff = fitting.length < pieces.filter(isWanted).length;
    const whole = new Map(pieces.map(({ revision, piece }) => [revision, piece + 1]));
    const sent = new Map(fitting.map(({ revision, piece }) => [revision, piece + 1]));
    const restOf = (revision: number) => {
      const from = sent.get(revision) ?? 0;
      return from < (whole.get(revision) ?? 0) ? from : null;
    };
    return entriesWith(isCutOff ? found.slice(0, end) : found, writes, restOf);
  }
}

/** Two JSON lists as one. */
const joined = (one: string | undefined, other: string): string =>
  one === undefined ? other : `${one.slice(0, -1)},${other.slice(1)}`;

/** Entries as JSON, with what each wrote as the text that it is stored as. */
function entriesWith(
  found: readonly FoundEntry[],
  writes: ReadonlyMap<number, string>,
  restOf: (revision: number) => number | null = () => null,
): string {
  const texts = found.map((entry) => {
    const rest = restOf(entry.revision);
    return `${JSON.stringify({ ...entry, rest }).slice(0, -1)},"writes":${writes.get(entry.revision) ?? '[]'}}`;
  });
  return `[${texts.join(',')}]`;
}
