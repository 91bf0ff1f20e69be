import { Module, type DynamicModule } from '@nestjs/common';
import { APP_FILTER, APP_INTERCEPTOR, APP_PIPE } from '@nestjs/core';
import { TypeOrmModule } from '@nestjs/typeorm';
import { AccountsController } from './accounts/accounts.controller.js';
import { AccountsService } from './accounts/accounts.service.js';
import { LIMIT_POINTS, Limits, type LimitPoints } from './accounts/limits.js';
import { SessionPool, Sessions } from './accounts/session.js';
import { BookEvents } from './book/book-events.service.js';
import { BookQueue } from './book/book-queue.js';
import { BaselinesController } from './book/baselines.controller.js';
import { BaselinesService } from './book/baselines.service.js';
import { BooksController } from './book/books.controller.js';
import { EventsController } from './book/events.controller.js';
import { MembersController } from './book/members.controller.js';
import { BooksService } from './book/books.service.js';
import { ChangeService } from './book/change.service.js';
import { FiguresController } from './book/figures.controller.js';
import { JournalService } from './book/journal.service.js';
import { MembershipService } from './book/membership.service.js';
import { SnapshotsService } from './book/snapshots.service.js';
import { WritingService } from './book/writing.service.js';
import { dataSource } from './database/data-source.js';
import { DemoService } from './demo/demo.service.js';
import { RemovalService } from './book/removal.service.js';
import { BodyMemory } from './http/body-memory.js';
import { BodyInterceptor } from './http/body.interceptor.js';
import { Closing } from './http/closing.js';
import { HealthController } from './http/health.controller.js';
import { ProblemFilter } from './http/problem-filter.js';
import { TODAY, type Today } from './http/today.js';
import { validation } from './http/validation.js';
import { ExchangeRatesController } from './stand-ins/exchange-rates.controller.js';
import { LedgersController } from './ledgers/ledgers.controller.js';
import { DocumentsController } from './documents/documents.controller.js';
import { DocumentsService } from './documents/documents.service.js';
import { DATABASE_URL, Workers } from './threads/workers.service.js';

@Module({})
export class AppModule {
  static over(databaseUrl: string, limits: LimitPoints, today: Today): DynamicModule {
    return {
      module: AppModule,
      imports: [TypeOrmModule.forRootAsync({ useFactory: () => dataSource(databaseUrl).options })],
      controllers: [
        HealthController,
        AccountsController,
        BooksController,
        MembersController,
        BaselinesController,
        EventsController,
        FiguresController,
        LedgersController,
        DocumentsController,
        ExchangeRatesController,
      ],
      providers: [
        AccountsService,
        Limits,
        BookEvents,
        BookQueue,
        BooksService,
        JournalService,
        BaselinesService,
        ChangeService,
        MembershipService,
        SnapshotsService,
        DocumentsService,
        WritingService,
        DemoService,
        Closing,
        Workers,
        BodyMemory,
        RemovalService,
        Sessions,
        { provide: DATABASE_URL, useValue: databaseUrl },
        { provide: LIMIT_POINTS, useValue: limits },
        { provide: TODAY, useValue: today },
        { provide: SessionPool, useFactory: () => new SessionPool(databaseUrl) },
        { provide: APP_FILTER, useClass: ProblemFilter },
        { provide: APP_INTERCEPTOR, useClass: BodyInterceptor },
        { provide: APP_PIPE, useValue: validation },
      ],
    };
  }
}
