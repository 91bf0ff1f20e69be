import { evaluate, isViewName, reportOf, VIEWS, WHOLE_BOOK, type Evaluation } from '@nuvar/core';
import { isDay, problem, ProblemError } from '@nuvar/book';
import { Controller, Get, Inject, Param, Query, UseGuards } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { PersonId, SignedInGuard } from '../accounts/signed-in.guard.js';
import { MembershipService } from './membership.service.js';
import { SnapshotsService } from './snapshots.service.js';

/** The figures of a book for scripts and spreadsheets: the same code as in the browser, over the stored rows. */
@ApiTags('figures')
@Controller('api/books/:id/figures')
@UseGuards(SignedInGuard)
export class FiguresController {
  constructor(
    @Inject(SnapshotsService) private readonly snapshots: SnapshotsService,
    @Inject(MembershipService) private readonly membership: MembershipService,
  ) {}

  @Get()
  @ApiOperation({ summary: "Every product's card, prices and break-even, with gaps" })
  async report(@Param('id') id: string, @PersonId() personId: string, @Query('asOf') asOf?: string): Promise<object> {
    return reportOf(await this.evaluation(id, personId, asOf));
  }

  @Get(':view/:of')
  @ApiOperation({
    summary: 'One view: overview, looseEnds, overhead, material, card, price, candidate, working and others',
  })
  async view(
    @Param('id') id: string,
    @Param('view') view: string,
    @Param('of') of: string,
    @PersonId() personId: string,
    @Query('asOf') asOf?: string,
  ): Promise<object | null> {
    const evaluation = await this.evaluation(id, personId, asOf);
    if (!isViewName(view)) throw new ProblemError([problem('not-found')]);
    return VIEWS[view](evaluation, of === 'all' ? WHOLE_BOOK : of);
  }

  private async evaluation(id: string, personId: string, asOf: string | undefined): Promise<Evaluation> {
    await this.membership.require(id, personId);
    const day = asOf ?? new Date().toISOString().slice(0, 10);
    if (!isDay(day)) {
      throw new ProblemError([
        problem('invalid-field', { field: 'asOf', values: { detail: '"asOf" must be a day such as 2026-03-31.' } }),
      ]);
    }
    return evaluate(await this.snapshots.rowsOf(id), day);
  }
}
