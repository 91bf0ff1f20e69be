import { Controller, Inject, Req, Sse, UseGuards, type MessageEvent } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Request } from 'express';
import type { Observable } from 'rxjs';
import { PersonId, SignedInGuard } from '../accounts/signed-in.guard.js';
import { BookEvents } from './book-events.service.js';

/** News of all books of a person, in one stream. */
@ApiTags('events')
@Controller('api/events')
@UseGuards(SignedInGuard)
export class EventsController {
  constructor(@Inject(BookEvents) private readonly events: BookEvents) {}

  @Sse()
  @ApiOperation({
    summary: 'Tells which revisions the books of the signed-in person have come to, at first and whenever one changes',
  })
  changed(@PersonId() personId: string, @Req() request: Request): Observable<MessageEvent> {
    return this.events.listen(personId, request.sessionID);
  }
}
