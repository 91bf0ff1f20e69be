import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { isLedger, isRowId, type Ledger, type LedgerStates, problem, ProblemError } from '@nuvar/book';
import { Controller, Get, Inject, Param, Query, Res, UseGuards } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { InjectDataSource } from '@nestjs/typeorm';
import type { Response } from 'express';
import { DataSource } from 'typeorm';
import { PersonId, SignedInGuard } from '../accounts/signed-in.guard.js';
import { MembershipService } from '../book/membership.service.js';
import { columnName } from '../database/tables.js';
import { BookId } from '../http/book-id.js';
import { dayOr } from '../http/day-or.js';
import { TODAY, type Today } from '../http/today.js';
import { ledgerAsCsv } from './ledger-csv.js';
import { ledgerOfPeriod, statesAsOf, type LedgerOfPeriod } from './ledger-pages.js';

/** The ledgers of a book, and what they come to. They are written by changes like all else. */
@ApiTags('ledgers')
@Controller('api/books/:id/ledgers')
@UseGuards(SignedInGuard)
export class LedgersController {
  constructor(
    @InjectDataSource() private readonly database: DataSource,
    @Inject(MembershipService) private readonly membership: MembershipService,
    @Inject(TODAY) private readonly today: Today,
  ) {}

  @Get()
  @ApiOperation({ summary: 'What the ledgers have come to on a day (`asOf`): what is in stock, and what it is worth' })
  async states(
    @BookId() bookId: string,
    @PersonId() personId: string,
    @Query('asOf') asOf?: string,
  ): Promise<LedgerStates> {
    await this.membership.require(bookId, personId);
    return statesAsOf(this.database.manager, bookId, dayOr('asOf', asOf, this.today()));
  }

  @Get(':ledger/rows.csv')
  @ApiOperation({ summary: 'A whole ledger as CSV: it is no part of the book file' })
  async file(
    @BookId() bookId: string,
    @PersonId() personId: string,
    @Param('ledger') name: string,
    @Res() response: Response,
  ): Promise<void> {
    await this.membership.require(bookId, personId);
    const ledger = ledgerNamed(name);
    response.type('text/csv').attachment(`${columnName(ledger).replaceAll('_', '-')}.csv`);
    await pipeline(Readable.from(ledgerAsCsv(this.database.manager, bookId, ledger)), response);
  }

  @Get(':ledger/:group')
  @ApiOperation({
    summary: 'The ledger of one group, of stock a material, over a period (`from`, `to`), and what there was before it',
  })
  async ledger(
    @BookId() bookId: string,
    @PersonId() personId: string,
    @Param() { ledger: name = '', group = '' }: Record<string, string>,
    @Query() { from, to }: Record<string, string | undefined>,
  ): Promise<LedgerOfPeriod<Ledger>> {
    await this.membership.require(bookId, personId);
    const ledger = ledgerNamed(name);
    if (!isRowId(group)) throw new ProblemError([problem('not-found')]);
    const period = { from: dayOr('from', from, '0001-01-01'), to: dayOr('to', to, '9999-12-31') };
    return this.database.transaction('REPEATABLE READ', (manager) =>
      ledgerOfPeriod(manager, bookId, ledger, group, period),
    );
  }
}

/** Throws `not-found` where there is no such ledger. */
function ledgerNamed(name: string): Ledger {
  if (!isLedger(name)) throw new ProblemError([problem('not-found')]);
  return name;
}
