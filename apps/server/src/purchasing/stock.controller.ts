import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { isRowId, problem, ProblemError, type StoredRow } from '@nuvar/book';
import { Controller, Get, Inject, Param, Query, Res, UseGuards } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { InjectDataSource } from '@nestjs/typeorm';
import type { Response } from 'express';
import { DataSource } from 'typeorm';
import { PersonId, SignedInGuard } from '../accounts/signed-in.guard.js';
import { MembershipService } from '../book/membership.service.js';
import { dayOr } from '../http/day-or.js';
import { TODAY, type Today } from '../http/today.js';
import { BookId } from '../http/book-id.js';
import { ledgerAsCsv } from './ledger-csv.js';
import { ledgerOfPeriod, positionsAsOf, type LedgerOfPeriod } from './stock-ledger.js';

/** The stock of a book: what there is of each material, and the ledger behind it. It is written by changes like all else. */
@ApiTags('stock')
@Controller('api/books/:id/stock')
@UseGuards(SignedInGuard)
export class StockController {
  constructor(
    @InjectDataSource() private readonly database: DataSource,
    @Inject(MembershipService) private readonly membership: MembershipService,
    @Inject(TODAY) private readonly today: Today,
  ) {}

  @Get()
  @ApiOperation({ summary: 'What is in stock of each material on a day (`asOf`), and what it is worth' })
  async positions(
    @BookId() bookId: string,
    @PersonId() personId: string,
    @Query('asOf') asOf?: string,
  ): Promise<StoredRow<'stockPosition'>[]> {
    await this.membership.require(bookId, personId);
    return positionsAsOf(this.database.manager, bookId, dayOr('asOf', asOf, this.today()));
  }

  @Get('movements.csv')
  @ApiOperation({ summary: 'The whole stock ledger as CSV: it is no part of the book file' })
  async file(@BookId() bookId: string, @PersonId() personId: string, @Res() response: Response): Promise<void> {
    await this.membership.require(bookId, personId);
    response.type('text/csv').attachment('stock-ledger.csv');
    await pipeline(Readable.from(ledgerAsCsv(this.database.manager, bookId)), response);
  }

  @Get(':materialId')
  @ApiOperation({
    summary: 'The stock ledger of a material over a period (`from`, `to`), and what there was before it',
  })
  async ledger(
    @BookId() bookId: string,
    @PersonId() personId: string,
    @Param('materialId') materialId: string,
    @Query('from') from?: string,
    @Query('to') to?: string,
  ): Promise<LedgerOfPeriod> {
    await this.membership.require(bookId, personId);
    if (!isRowId(materialId)) throw new ProblemError([problem('not-found')]);
    const [first, last] = [dayOr('from', from, '0001-01-01'), dayOr('to', to, '9999-12-31')];
    return this.database.transaction('REPEATABLE READ', (manager) =>
      ledgerOfPeriod(manager, bookId, materialId, first, last),
    );
  }
}
