import { Body, Controller, Delete, Get, Inject, Put, UseGuards } from '@nestjs/common';
import { noteSecurityEvent } from '../http/security-log.js';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { PersonId, SignedInGuard } from '../accounts/signed-in.guard.js';
import { TakesSmallBody } from '../http/body.interceptor.js';
import { BookId, MemberId } from '../http/book-id.js';
import { MembershipService, type Member } from './membership.service.js';
import { MemberRequest } from './requests.js';

/** Who belongs to a book. */
@ApiTags('members')
@Controller('api/books/:id/members')
@UseGuards(SignedInGuard)
export class MembersController {
  constructor(@Inject(MembershipService) private readonly membership: MembershipService) {}

  @Get()
  @ApiOperation({ summary: 'The people of a book and their roles' })
  async list(@BookId() bookId: string, @PersonId() personId: string): Promise<Member[]> {
    await this.membership.require(bookId, personId);
    return this.membership.list(bookId);
  }

  @Put()
  @TakesSmallBody()
  @ApiOperation({ summary: 'Give a person a role in the book (owners)' })
  async put(@BookId() bookId: string, @Body() member: MemberRequest, @PersonId() personId: string): Promise<Member[]> {
    await this.membership.put(bookId, personId, member);
    return this.membership.list(bookId);
  }

  @Delete(':userId')
  @ApiOperation({ summary: 'Take a person out of the book (owners; everybody may take out themselves)' })
  async remove(
    @BookId() bookId: string,
    @MemberId() userId: string,
    @PersonId() personId: string,
  ): Promise<{ removed: true }> {
    await this.membership.remove(bookId, personId, userId);
    noteSecurityEvent('member taken out', { bookId, byId: personId, userId });
    return { removed: true };
  }
}
