import { noteSecurityEvent } from '../http/security-log.js';
import { isRowId, problem, ProblemError } from '@nuvar/book';
import {
  Body,
  Controller,
  Delete,
  Get,
  Header,
  HttpCode,
  Inject,
  Param,
  Post,
  Query,
  Req,
  Res,
  UseGuards,
} from '@nestjs/common';
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Request, Response } from 'express';
import { SignedIn, type Asker } from '../accounts/asker.js';
import { PersonId, SignedInGuard } from '../accounts/signed-in.guard.js';
import { TakesBytes, TakesSmallBody } from '../http/body.interceptor.js';
import { BookId } from '../http/book-id.js';
import { sendPacked } from '../http/send-packed.js';
import { Workers } from '../threads/workers.service.js';
import { BooksService, type BookSummary } from './books.service.js';
import { JournalService } from './journal.service.js';
import { MembershipService } from './membership.service.js';
import { SnapshotsService } from './snapshots.service.js';
import { RemovalService } from './removal.service.js';
import { sendWorkedOut } from './send-worked-out.js';
import { WritingService } from './writing.service.js';

const MOST_ENTRIES = 200;
const LATEST_ENTRIES = 50;

const wholeNumber = (text: string | undefined, otherwise: number) =>
  text !== undefined && /^\d{1,9}$/.test(text) ? Number(text) : otherwise;

@ApiTags('books')
@Controller('api')
@UseGuards(SignedInGuard)
export class BooksController {
  constructor(
    @Inject(BooksService) private readonly books: BooksService,
    @Inject(WritingService) private readonly writing: WritingService,
    @Inject(JournalService) private readonly journal: JournalService,
    @Inject(Workers) private readonly workers: Workers,
    @Inject(MembershipService) private readonly membership: MembershipService,
    @Inject(SnapshotsService) private readonly snapshots: SnapshotsService,
    @Inject(RemovalService) private readonly removal: RemovalService,
  ) {}

  @Get('books')
  @ApiOperation({ summary: 'The books of which the signed-in person is a member' })
  list(@PersonId() personId: string): Promise<BookSummary[]> {
    return this.books.listFor(personId);
  }

  @Post('books')
  @TakesSmallBody()
  @ApiOperation({ summary: 'Create a book' })
  @ApiBody({ schema: { $ref: '#/components/schemas/Settings' } })
  async make(@Body() settings: object, @PersonId() personId: string): Promise<{ id: string }> {
    if (Array.isArray(settings)) {
      throw new ProblemError([problem('malformed-request', { values: { detail: 'it holds no settings' } })]);
    }
    return { id: await this.books.make(personId, settings as Record<string, unknown>) };
  }

  @Post('book-files')
  @TakesBytes(40)
  @ApiOperation({ summary: 'Make a new book of a book file' })
  @ApiBody({ schema: { type: 'object', description: 'A book file: see docs/book-file.schema.json' } })
  async takeIn(@Body() file: Buffer, @PersonId() personId: string): Promise<{ id: string }> {
    return { id: await this.writing.bookFile(personId, file) };
  }

  @Get('books/:id')
  @ApiOperation({
    summary:
      'The snapshot of a book: all its rows, by kind the fields once and then the values, and their revision. The header Book-Role says in which role it is read',
  })
  async snapshot(
    @BookId() id: string,
    @PersonId() personId: string,
    @Req() request: Request,
    @Res() response: Response,
  ): Promise<void> {
    response.set('Book-Filled', String(await this.books.percentFilled(id)));
    response.set('Book-Role', await this.membership.require(id, personId));
    await sendPacked(request, response, await this.snapshots.packed(id));
  }

  @Delete('books/:id')
  @HttpCode(204)
  @ApiOperation({ summary: 'Remove a book for good (owners)' })
  async remove(@BookId() id: string, @PersonId() personId: string): Promise<void> {
    await this.membership.require(id, personId, ['owner']);
    await this.removal.remove([id]);
    noteSecurityEvent('book removed', { bookId: id, userId: personId });
  }

  @Get('books/:id/file')
  @Header('Content-Disposition', 'attachment; filename="book.nuvar.json"')
  @ApiOperation({ summary: 'The book as a book file' })
  async file(
    @BookId() bookId: string,
    @SignedIn() asker: Asker,
    @Req() request: Request,
    @Res() response: Response,
  ): Promise<void> {
    await this.membership.require(bookId, asker.id);
    noteSecurityEvent('book exported', { bookId, userId: asker.id });
    await sendWorkedOut(this.workers, { job: 'book file', bookId }, asker, request, response);
  }

  @Post('books/:id/changes')
  @HttpCode(200)
  @TakesBytes(16)
  @ApiOperation({ summary: 'Apply a change, whole or not at all: the one write path of a book' })
  @ApiBody({ schema: { $ref: '#/components/schemas/Change' } })
  async change(
    @BookId() id: string,
    @Body() body: Buffer,
    @PersonId() personId: string,
  ): Promise<{ revision: number }> {
    // Who may not change the book is told before anything is made of what they sent; the role is read again with the change.
    await this.membership.require(id, personId, ['owner', 'editor']);
    return { revision: await this.writing.change(id, personId, body) };
  }

  @Get('books/:id/changes')
  @Header('Content-Type', 'application/json')
  @ApiOperation({
    summary:
      "What came after a revision (`since`), before one (`before`: of each the first writes, and how many there are), or one's own latest (`own`), or what was written to one row (`row`), with who and when. Where an entry has a `rest`, the others of its writes are asked for from that piece on",
  })
  async history(
    @BookId() id: string,
    @PersonId() personId: string,
    @Query('since') since?: string,
    @Query('before') before?: string,
    @Query('own') own?: string,
    @Query('row') row?: string,
  ): Promise<string> {
    await this.membership.require(id, personId);
    if (row !== undefined) {
      if (!isRowId(row)) throw new ProblemError([problem('not-found')]);
      return this.journal.ofRow(id, row, LATEST_ENTRIES);
    }
    if (since !== undefined) return this.journal.since(id, wholeNumber(since, 0), MOST_ENTRIES);
    if (own === 'true') return this.journal.ownLatest(id, personId, LATEST_ENTRIES);
    return this.journal.before(id, wholeNumber(before, 1_000_000_000), LATEST_ENTRIES);
  }

  @Get('books/:id/changes/:revision/writes')
  @Header('Content-Type', 'application/json')
  @ApiOperation({
    summary: 'A piece of what a change of many rows has written (`piece`: the `rest` of its entry), and the next one',
  })
  async writes(
    @BookId() id: string,
    @PersonId() personId: string,
    @Param('revision') revision: string,
    @Query('piece') piece?: string,
  ): Promise<string> {
    await this.membership.require(id, personId);
    return this.journal.piece(id, wholeNumber(revision, 0), wholeNumber(piece, 0));
  }
}
