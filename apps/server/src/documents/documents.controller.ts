import { isRowId, problem, ProblemError } from '@nuvar/book';
import { Body, Controller, Delete, Get, HttpCode, Inject, Param, Post, Query, Res, UseGuards } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Response } from 'express';
import { SignedIn, type Asker } from '../accounts/asker.js';
import { PersonId, SignedInGuard } from '../accounts/signed-in.guard.js';
import { dayOr } from '../http/day-or.js';
import { TODAY, type Today } from '../http/today.js';
import { MembershipService } from '../book/membership.service.js';
import { TakesSmallBody } from '../http/body.interceptor.js';
import { BookId } from '../http/book-id.js';
import { DocumentsService, type DocumentJob } from './documents.service.js';
import { DocumentRequest } from './requests.js';

/** Documents of a book as PDF and XLSX: begun, followed while they are made, and fetched. */
@ApiTags('documents')
@Controller('api/books/:id/documents')
@UseGuards(SignedInGuard)
export class DocumentsController {
  constructor(
    @Inject(DocumentsService) private readonly documents: DocumentsService,
    @Inject(MembershipService) private readonly membership: MembershipService,
    @Inject(TODAY) private readonly today: Today,
  ) {}

  @Post()
  @HttpCode(200)
  @TakesSmallBody()
  @ApiOperation({ summary: 'Begin a document: which, of what, as pdf or xlsx' })
  async begin(
    @BookId() bookId: string,
    @Body() request: DocumentRequest,
    @SignedIn() asker: Asker,
    @Query('asOf') asOf?: string,
  ): Promise<DocumentJob> {
    await this.membership.require(bookId, asker.id);
    return this.documents.begin(bookId, asker, request, dayOr('asOf', asOf, this.today()));
  }

  @Get(':jobId')
  @ApiOperation({ summary: 'How far a document has come' })
  async job(
    @BookId() bookId: string,
    @PersonId() personId: string,
    @Param('jobId') jobId: string,
  ): Promise<DocumentJob> {
    await this.membership.require(bookId, personId);
    return this.documents.job(bookId, jobIdOf(jobId));
  }

  @Get(':jobId/file')
  @ApiOperation({ summary: 'The document, once it is ready' })
  async file(
    @BookId() bookId: string,
    @PersonId() personId: string,
    @Param('jobId') jobId: string,
    @Res() response: Response,
  ): Promise<void> {
    await this.membership.require(bookId, personId);
    const { name, type, file } = await this.documents.file(bookId, jobIdOf(jobId));
    response.type(type).attachment(name).send(file);
  }

  @Delete(':jobId')
  @ApiOperation({ summary: 'Give a document up: one of one’s own, or as editor or owner any' })
  async cancel(
    @BookId() bookId: string,
    @PersonId() personId: string,
    @Param('jobId') jobId: string,
  ): Promise<DocumentJob> {
    const role = await this.membership.require(bookId, personId);
    return this.documents.cancel(bookId, jobIdOf(jobId), role === 'reader' ? personId : null);
  }
}

function jobIdOf(text: string): string {
  if (isRowId(text)) return text;
  throw new ProblemError([problem('not-found')]);
}
