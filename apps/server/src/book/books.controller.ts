import { pipeline } from 'node:stream/promises';
import { createGunzip } from 'node:zlib';
import { problem, ProblemError, readChange } from '@nuvar/book';
import {
  Body,
  Controller,
  Delete,
  Get,
  Header,
  HttpCode,
  Inject,
  MessageEvent,
  Param,
  Post,
  Put,
  Query,
  Req,
  Res,
  Sse,
  UseGuards,
} from '@nestjs/common';
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Request, Response } from 'express';
import { finalize, interval, map, merge, type Observable } from 'rxjs';
import { PersonId, SignedInGuard } from '../accounts/signed-in.guard.js';
import { readTexts } from '../http/read-body.js';
import { BookEvents } from './book-events.service.js';
import { BooksService, type BookSummary, type HistoryEntry } from './books.service.js';
import { ChangeService } from './change.service.js';
import { MembershipService } from './membership.service.js';
import { SnapshotsService } from './snapshots.service.js';

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
    @Inject(ChangeService) private readonly changes: ChangeService,
    @Inject(MembershipService) private readonly membership: MembershipService,
    @Inject(BookEvents) private readonly events: BookEvents,
    @Inject(SnapshotsService) private readonly snapshots: SnapshotsService,
  ) {}

  @Get('books')
  @ApiOperation({ summary: 'The books of which the signed-in person is a member' })
  list(@PersonId() personId: string): Promise<BookSummary[]> {
    return this.books.listFor(personId);
  }

  @Post('books')
  @ApiOperation({ summary: 'Make a book' })
  @ApiBody({ schema: { $ref: '#/components/schemas/Settings' } })
  async make(@Body() settings: unknown, @PersonId() personId: string): Promise<{ id: string }> {
    if (typeof settings !== 'object' || settings === null || Array.isArray(settings)) {
      throw new ProblemError([problem('malformed-request', { values: { detail: 'it holds no settings' } })]);
    }
    return { id: await this.books.make(personId, settings as Record<string, unknown>) };
  }

  @Post('book-files')
  @ApiOperation({ summary: 'Make a new book of a book file' })
  async takeIn(@Body() file: unknown, @PersonId() personId: string): Promise<{ id: string }> {
    return { id: await this.books.takeIn(personId, file) };
  }

  @Get('books/:id')
  @ApiOperation({
    summary:
      'The snapshot of a book: all its rows, by kind the fields once and then the values, and their revision. The header Book-Role says in which role it is read',
  })
  async snapshot(
    @Param('id') id: string,
    @PersonId() personId: string,
    @Req() request: Request,
    @Res() response: Response,
  ): Promise<void> {
    response.set('Book-Role', await this.membership.require(id, personId));
    const packed = await this.snapshots.packed(id);
    response.type('application/json');
    if (request.acceptsEncodings('gzip') === false) return pipeline(packed, createGunzip(), response);
    response.set('Content-Encoding', 'gzip');
    await pipeline(packed, response);
  }

  @Delete('books/:id')
  @HttpCode(204)
  @ApiOperation({ summary: 'Remove a book for good (owners)' })
  async remove(@Param('id') id: string, @PersonId() personId: string): Promise<void> {
    await this.membership.require(id, personId, ['owner']);
    await this.books.remove(id);
  }

  @Get('books/:id/file')
  @Header('Content-Disposition', 'attachment; filename="book.nuvar.json"')
  @ApiOperation({ summary: 'The book as a book file' })
  async file(@Param('id') id: string, @PersonId() personId: string): Promise<object> {
    await this.membership.require(id, personId);
    return this.books.file(id);
  }

  @Post('books/:id/changes')
  @HttpCode(200)
  @ApiOperation({ summary: 'Apply a change, whole or not at all: the one write path of a book' })
  @ApiBody({ schema: { $ref: '#/components/schemas/Change' } })
  async change(
    @Param('id') id: string,
    @Body() body: unknown,
    @PersonId() personId: string,
  ): Promise<{ revision: number }> {
    await this.membership.require(id, personId, ['owner', 'editor']);
    const change = readChange(body);
    if (Array.isArray(change)) throw new ProblemError(change);
    return { revision: await this.changes.apply(id, personId, change) };
  }

  @Get('books/:id/changes')
  @ApiOperation({
    summary:
      "What came after a revision (`since`), before one (`before`: of each the first writes, and how many there are), or one's own latest (`own`), with who and when",
  })
  async history(
    @Param('id') id: string,
    @PersonId() personId: string,
    @Query('since') since?: string,
    @Query('before') before?: string,
    @Query('own') own?: string,
  ): Promise<HistoryEntry[]> {
    await this.membership.require(id, personId);
    if (since !== undefined) return this.books.since(id, wholeNumber(since, 0), MOST_ENTRIES);
    if (own === 'true') return this.books.ownLatest(id, personId, LATEST_ENTRIES);
    return this.books.before(id, wholeNumber(before, 1_000_000_000), LATEST_ENTRIES);
  }

  @Sse('books/:id/events')
  @ApiOperation({ summary: 'Tells of every new revision while the connection lasts' })
  async changed(@Param('id') id: string, @PersonId() personId: string): Promise<Observable<MessageEvent>> {
    await this.membership.require(id, personId);
    // A word every half minute keeps proxies from closing a quiet connection.
    const heartbeat = interval(30_000).pipe(map(() => ({ type: 'heartbeat', data: '' })));
    return merge(this.events.of(id), heartbeat).pipe(finalize(() => this.snapshots.renewSoon(id)));
  }

  @Get('books/:id/members')
  @ApiOperation({ summary: 'The people of a book and their roles' })
  async members(@Param('id') id: string, @PersonId() personId: string) {
    await this.membership.require(id, personId);
    return this.membership.list(id);
  }

  @Put('books/:id/members')
  @ApiOperation({ summary: 'Give a person a role in the book (owners)' })
  @ApiBody({
    schema: {
      type: 'object',
      required: ['email', 'role'],
      properties: { email: { type: 'string' }, role: { enum: ['owner', 'editor', 'reader'] } },
    },
  })
  async putMember(@Param('id') id: string, @Body() body: unknown, @PersonId() personId: string) {
    await this.membership.require(id, personId, ['owner']);
    const { email, role } = readTexts(body, ['email', 'role']);
    await this.membership.put(id, email.trim(), role);
    return this.membership.list(id);
  }

  @Delete('books/:id/members/:userId')
  @ApiOperation({ summary: 'Take a person out of the book (owners; everybody may take out themselves)' })
  async removeMember(@Param('id') id: string, @Param('userId') userId: string, @PersonId() personId: string) {
    await this.membership.require(id, personId, userId === personId ? undefined : ['owner']);
    await this.membership.remove(id, userId);
    return { removed: true };
  }
}
