import { Module, type DynamicModule } from '@nestjs/common';
import { APP_FILTER } from '@nestjs/core';
import { ThrottlerModule } from '@nestjs/throttler';
import { TypeOrmModule } from '@nestjs/typeorm';
import { AccountsController } from './accounts/accounts.controller.js';
import { AccountsService } from './accounts/accounts.service.js';
import { SessionPool } from './accounts/session.js';
import { signInLimit } from './accounts/throttling.js';
import { Tries } from './accounts/tries.js';
import { BookEvents } from './book/book-events.service.js';
import { BooksController } from './book/books.controller.js';
import { BooksService } from './book/books.service.js';
import { ChangeService } from './book/change.service.js';
import { FiguresController } from './book/figures.controller.js';
import { MembershipService } from './book/membership.service.js';
import { SnapshotsService } from './book/snapshots.service.js';
import { dataSource } from './database/data-source.js';
import { DemoService } from './demo/demo.service.js';
import { HealthController } from './http/health.controller.js';
import { ProblemFilter } from './http/problem-filter.js';
import { ExchangeRatesController } from './stand-ins/exchange-rates.controller.js';

@Module({ providers: [Tries], exports: [Tries] })
class TriesModule {}

@Module({})
export class AppModule {
  static over(databaseUrl: string): DynamicModule {
    return {
      module: AppModule,
      imports: [
        TypeOrmModule.forRootAsync({ useFactory: () => dataSource(databaseUrl).options }),
        ThrottlerModule.forRootAsync({ imports: [TriesModule], inject: [Tries], useFactory: signInLimit }),
      ],
      controllers: [HealthController, AccountsController, BooksController, FiguresController, ExchangeRatesController],
      providers: [
        AccountsService,
        BooksService,
        ChangeService,
        MembershipService,
        SnapshotsService,
        BookEvents,
        DemoService,
        { provide: SessionPool, useFactory: () => new SessionPool({ connectionString: databaseUrl, max: 5 }) },
        { provide: APP_FILTER, useClass: ProblemFilter },
      ],
    };
  }
}
