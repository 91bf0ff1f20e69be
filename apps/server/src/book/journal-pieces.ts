import type { Write } from '@nuvar/book';
import type { EntityManager } from 'typeorm';

/** What a change has written is kept in pieces of about so many bytes: no more of it is read at once than is asked for. */
const PIECE = 256 * 1024;

/** Pieces that go into one statement. */
const PIECES_AT_ONCE = 16;

/** Some of the writes of a change. */
export interface Piece {
  readonly rowIds: readonly string[];
  /** The writes as JSON text, and its length. */
  readonly text: string;
  readonly bytes: number;
}

/** The writes of a change as pieces, in their order. A piece ends with the write that makes it large enough. */
export function* piecesOf(writes: readonly Write[]): Generator<Piece> {
  let rowIds: string[] = [];
  let texts: string[] = [];
  let length = 0;
  for (const write of writes) {
    const text = JSON.stringify(write);
    rowIds.push(write.id);
    texts.push(text);
    length += text.length;
    if (length < PIECE) continue;
    yield pieceOf(rowIds, texts);
    rowIds = [];
    texts = [];
    length = 0;
  }
  if (texts.length > 0) yield pieceOf(rowIds, texts);
}

function pieceOf(rowIds: readonly string[], texts: readonly string[]): Piece {
  const text = `[${texts.join(',')}]`;
  return { rowIds, text, bytes: Buffer.byteLength(text) };
}

/** Keeps the pieces of a journal entry that stands already. */
export async function keepPieces(
  manager: EntityManager,
  bookId: string,
  revision: number,
  pieces: readonly Piece[],
): Promise<void> {
  for (let start = 0; start < pieces.length; start += PIECES_AT_ONCE) {
    const some = pieces.slice(start, start + PIECES_AT_ONCE);
    const rows = some.map((_piece, index) => {
      const at = 2 + index * 3;
      return `($1, $2, ${start + index}, $${at + 1}::uuid[], $${at + 2}, $${at + 3}::jsonb)`;
    });
    await manager.query(
      `INSERT INTO journal_writes (book_id, revision, piece, row_ids, bytes, writes) VALUES ${rows.join(', ')}`,
      [bookId, revision, ...some.flatMap(({ rowIds, text, bytes }) => [rowIds, bytes, text])],
    );
  }
}
