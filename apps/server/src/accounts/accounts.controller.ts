import { ProblemError } from '@nuvar/book';
import { Body, Controller, Delete, Get, HttpCode, Inject, Post, Req } from '@nestjs/common';
import { noteSecurityEvent } from '../http/security-log.js';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Request } from 'express';
import type { User } from '../database/entities.js';
import { DemoService } from '../demo/demo.service.js';
import { TakesSmallBody } from '../http/body.interceptor.js';
import { AccountsService } from './accounts.service.js';
import { Limits } from './limits.js';
import { networkOf } from './network.js';
import { SignInRequest, SignUpRequest } from './requests.js';
import { beginSession, endSession, Sessions } from './session.js';

interface SessionAnswer {
  readonly user: {
    readonly id: string;
    readonly name: string;
    readonly email: string | null;
    readonly isGuest: boolean;
  } | null;
  /** True where the demo book can be opened without an account. */
  readonly demo: boolean;
}

@ApiTags('accounts')
@Controller('api')
export class AccountsController {
  constructor(
    @Inject(AccountsService) private readonly accounts: AccountsService,
    @Inject(DemoService) private readonly demo: DemoService,
    @Inject(Limits) private readonly limits: Limits,
    @Inject(Sessions) private readonly sessions: Sessions,
  ) {}

  @Get('session')
  @ApiOperation({ summary: 'Who is signed in, and whether the demo is on offer' })
  async who(@Req() request: Request): Promise<SessionAnswer> {
    return this.answer(await this.signedIn(request));
  }

  @Post('accounts')
  @TakesSmallBody()
  @ApiOperation({ summary: 'Sign up; the new person is signed in. A guest keeps their books' })
  async signUp(@Body() given: SignUpRequest, @Req() request: Request): Promise<SessionAnswer> {
    await this.limits.count('signUp', networkOf(request.ip));
    const present = await this.signedIn(request);
    const guestId = present?.kind === 'guest' ? present.id : null;
    const user = await this.accounts.signUp(given, guestId);
    noteSecurityEvent('signed up', { userId: user.id, network: networkOf(request.ip) });
    return this.begin(request, user);
  }

  @Post('session')
  @HttpCode(200)
  @TakesSmallBody()
  @ApiOperation({ summary: 'Sign in' })
  async signIn(@Body() { email, password }: SignInRequest, @Req() request: Request): Promise<SessionAnswer> {
    const network = networkOf(request.ip);
    const user = await this.limits
      .signIn(email, network, () => this.accounts.signIn(email, password))
      .catch((error: unknown) => {
        const code = error instanceof ProblemError ? error.problems[0]?.code : undefined;
        if (code === 'wrong-sign-in') noteSecurityEvent('wrong sign-in', { network });
        if (code === 'too-many-tries') noteSecurityEvent('too many tries', { network });
        throw error;
      });
    await this.limits.count('signInRight', user.id);
    noteSecurityEvent('signed in', { userId: user.id, network });
    await this.sessions.keepLatest(user.id);
    return this.begin(request, user);
  }

  @Post('session/demo')
  @HttpCode(200)
  @ApiOperation({ summary: 'Become a guest with a demo book of their own, where the demo is on' })
  async signInAsGuest(@Req() request: Request): Promise<SessionAnswer> {
    // Who is there already, and presses twice, is the same guest.
    const present = await this.signedIn(request);
    if (present?.kind === 'guest') return this.answer(present);
    return this.begin(request, await this.demo.newGuest(networkOf(request.ip)));
  }

  @Delete('session')
  @ApiOperation({ summary: 'Sign out' })
  async signOut(@Req() request: Request): Promise<SessionAnswer> {
    if (request.session.userId !== undefined) noteSecurityEvent('signed out', { userId: request.session.userId });
    await endSession(request);
    return this.answer(null);
  }

  private async signedIn({ session }: Request): Promise<User | null> {
    return session.userId === undefined ? null : this.accounts.byId(session.userId);
  }

  private async begin(request: Request, user: User): Promise<SessionAnswer> {
    await beginSession(request, user);
    return this.answer(user);
  }

  private answer(user: User | null): SessionAnswer {
    return {
      user: user && { id: user.id, name: user.name, email: user.email, isGuest: user.kind === 'guest' },
      demo: this.demo.isOn,
    };
  }
}
