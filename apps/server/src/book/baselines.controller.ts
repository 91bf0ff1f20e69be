import { Body, Controller, Delete, Get, HttpCode, Inject, Post, Req, Res, UseGuards } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Request, Response } from 'express';
import { SignedIn, type Asker } from '../accounts/asker.js';
import { PersonId, SignedInGuard } from '../accounts/signed-in.guard.js';
import { TakesSmallBody } from '../http/body.interceptor.js';
import { BaselineId, BookId } from '../http/book-id.js';
import { Workers } from '../threads/workers.service.js';
import { BaselinesService, type BaselineSummary } from './baselines.service.js';
import { MembershipService } from './membership.service.js';
import { BaselineRequest } from './requests.js';
import { sendWorkedOut } from './send-worked-out.js';

/** What a book was when somebody froze it: what is compared with later. */
@ApiTags('baselines')
@Controller('api/books/:id/baselines')
@UseGuards(SignedInGuard)
export class BaselinesController {
  constructor(
    @Inject(BaselinesService) private readonly baselines: BaselinesService,
    @Inject(MembershipService) private readonly membership: MembershipService,
    @Inject(Workers) private readonly workers: Workers,
  ) {}

  @Get()
  @ApiOperation({ summary: 'The baselines of a book, the latest first' })
  async list(@BookId() bookId: string, @PersonId() personId: string): Promise<BaselineSummary[]> {
    await this.membership.require(bookId, personId);
    return this.baselines.list(bookId);
  }

  @Post()
  @HttpCode(200)
  @TakesSmallBody()
  @ApiOperation({ summary: 'Freeze the book as it is, under a name and the day of its figures (owners, editors)' })
  async freeze(
    @BookId() bookId: string,
    @Body() request: BaselineRequest,
    @SignedIn() asker: Asker,
  ): Promise<BaselineSummary[]> {
    await this.membership.require(bookId, asker.id, ['owner', 'editor']);
    return this.baselines.freeze(bookId, asker, request);
  }

  @Get(':baselineId')
  @ApiOperation({
    summary: 'All rows of a baseline, by kind the fields once and then the values, and the day of its figures',
  })
  async rows(
    @BookId() bookId: string,
    @BaselineId() id: string,
    @SignedIn() asker: Asker,
    @Req() request: Request,
    @Res() response: Response,
  ): Promise<void> {
    await this.membership.require(bookId, asker.id);
    await sendWorkedOut(this.workers, { job: 'baseline', bookId, id }, asker, request, response);
  }

  @Delete(':baselineId')
  @ApiOperation({ summary: 'Remove a baseline for good (owners, editors)' })
  async remove(
    @BookId() bookId: string,
    @BaselineId() id: string,
    @PersonId() personId: string,
  ): Promise<BaselineSummary[]> {
    await this.membership.require(bookId, personId, ['owner', 'editor']);
    return this.baselines.remove(bookId, id);
  }
}
