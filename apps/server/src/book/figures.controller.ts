import { isPlainText, problem, ProblemError } from '@nuvar/book';
import { Controller, Get, Inject, Param, Query, Req, Res, UseGuards } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Request, Response } from 'express';
import { SignedIn, type Asker } from '../accounts/asker.js';
import { SignedInGuard } from '../accounts/signed-in.guard.js';
import { dayOr } from '../http/day-or.js';
import { TODAY, type Today } from '../http/today.js';
import { BookId } from '../http/book-id.js';
import { Workers } from '../threads/workers.service.js';
import { MembershipService } from './membership.service.js';
import { sendWorkedOut } from './send-worked-out.js';

/** The figures of a book for scripts and spreadsheets: the same code as in the browser, over the stored rows. */
@ApiTags('figures')
@Controller('api/books/:id/figures')
@UseGuards(SignedInGuard)
export class FiguresController {
  constructor(
    @Inject(Workers) private readonly workers: Workers,
    @Inject(MembershipService) private readonly membership: MembershipService,
    @Inject(TODAY) private readonly today: Today,
  ) {}

  @Get()
  @ApiOperation({ summary: "Every product's card, prices and break-even, with gaps" })
  async report(
    @BookId() bookId: string,
    @SignedIn() asker: Asker,
    @Req() request: Request,
    @Res() response: Response,
    @Query('asOf') asOf?: string,
  ): Promise<void> {
    await this.membership.require(bookId, asker.id);
    const job = { job: 'figures', bookId, day: dayOr('asOf', asOf, this.today()), view: null, of: 'all' } as const;
    await sendWorkedOut(this.workers, job, asker, request, response);
  }

  @Get(':view/:of')
  @ApiOperation({
    summary: 'One view: overview, looseEnds, overhead, material, card, price, candidate, working and others',
  })
  async view(
    @BookId() bookId: string,
    @Param('view') view: string,
    @Param('of') of: string,
    @SignedIn() asker: Asker,
    @Req() request: Request,
    @Res() response: Response,
    @Query('asOf') asOf?: string,
  ): Promise<void> {
    await this.membership.require(bookId, asker.id);
    if (!isPlainText(of)) throw new ProblemError([problem('not-found')]);
    await sendWorkedOut(
      this.workers,
      { job: 'figures', bookId, day: dayOr('asOf', asOf, this.today()), view, of },
      asker,
      request,
      response,
    );
  }
}
