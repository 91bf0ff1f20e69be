import { isDay, problem, ProblemError } from '@nuvar/book';
import { Controller, Get, Query, UseGuards } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { SignedInGuard } from '../accounts/signed-in.guard.js';
import { simulatedRate, SIMULATED_CURRENCIES } from './exchange-rates.js';

interface SimulatedRate {
  readonly simulated: true;
  readonly currency: string;
  readonly base: string;
  readonly day: string;
  readonly rate: string;
}

/** Stands in for a service of exchange rates. Every answer says that it is simulated. */
@ApiTags('stand-ins (simulated)')
@Controller('api/stand-ins/exchange-rates')
@UseGuards(SignedInGuard)
export class ExchangeRatesController {
  @Get()
  @ApiOperation({ summary: 'Simulated: what one unit of a currency is worth in another on a day' })
  rate(@Query('currency') currency = '', @Query('base') base = '', @Query('day') day = ''): SimulatedRate {
    const refuse = (field: string, detail: string) =>
      new ProblemError([problem('invalid-field', { field, values: { detail } })]);
    if (!isDay(day)) throw refuse('day', '"day" must be a day such as 2026-03-31.');
    const rate = simulatedRate(currency, base, day);
    if (rate === null) {
      const known = SIMULATED_CURRENCIES.join(', ');
      throw refuse('currency', `The simulated service knows ${known}. Type the rate of ${currency} by hand.`);
    }
    return { simulated: true, currency, base, day, rate };
  }
}
