import { problem, ProblemError } from '@nuvar/book';
import { Body, Controller, Delete, Get, HttpCode, Inject, Post, Req, UseGuards } from '@nestjs/common';
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger';
import { ThrottlerGuard } from '@nestjs/throttler';
import type { Request } from 'express';
import type { User } from '../database/entities.js';
import { DEMO_EMAIL, DemoService } from '../demo/demo.service.js';
import { readTexts } from '../http/read-body.js';
import { AccountsService } from './accounts.service.js';

const texts = (...names: string[]) => ({
  schema: {
    type: 'object',
    required: names,
    properties: Object.fromEntries(names.map((name) => [name, { type: 'string' }])),
  },
});

interface SessionAnswer {
  readonly user: { readonly id: string; readonly name: string; readonly email: string } | null;
  /** True where the demo book can be opened without an account. */
  readonly demo: boolean;
}

@ApiTags('accounts')
@Controller('api')
export class AccountsController {
  constructor(
    @Inject(AccountsService) private readonly accounts: AccountsService,
    @Inject(DemoService) private readonly demo: DemoService,
  ) {}

  @Get('session')
  @ApiOperation({ summary: 'Who is signed in, and whether the demo is on offer' })
  async who(@Req() request: Request): Promise<SessionAnswer> {
    const user = request.session.userId === undefined ? null : await this.accounts.byId(request.session.userId);
    return this.answer(user);
  }

  @Post('accounts')
  @UseGuards(ThrottlerGuard)
  @ApiOperation({ summary: 'Sign up; the new person is signed in' })
  @ApiBody(texts('name', 'email', 'password'))
  async signUp(@Body() body: unknown, @Req() request: Request): Promise<SessionAnswer> {
    return this.begin(request, await this.accounts.signUp(readTexts(body, ['name', 'email', 'password'])));
  }

  @Post('session')
  @HttpCode(200)
  @UseGuards(ThrottlerGuard)
  @ApiOperation({ summary: 'Sign in' })
  @ApiBody(texts('email', 'password'))
  async signIn(@Body() body: unknown, @Req() request: Request): Promise<SessionAnswer> {
    const { email, password } = readTexts(body, ['email', 'password']);
    if (!this.demo.isOn && email.trim().toLowerCase() === DEMO_EMAIL)
      throw new ProblemError([problem('wrong-sign-in')]);
    return this.begin(request, await this.accounts.signIn(email, password));
  }

  @Post('session/demo')
  @HttpCode(200)
  @ApiOperation({ summary: 'Sign in to the demo book, where the demo is on' })
  async signInToDemo(@Req() request: Request): Promise<SessionAnswer> {
    const user = this.demo.isOn ? await this.accounts.byEmail(DEMO_EMAIL) : null;
    if (user === null) throw new ProblemError([problem('demo-off')]);
    return this.begin(request, user);
  }

  @Delete('session')
  @ApiOperation({ summary: 'Sign out' })
  async signOut(@Req() request: Request): Promise<SessionAnswer> {
    await new Promise<void>((done, fail) => request.session.destroy((error) => (error ? fail(error) : done())));
    return this.answer(null);
  }

  /** A session gets a new id when somebody signs in, so that nobody can be handed one that is known already. */
  private async begin(request: Request, user: User): Promise<SessionAnswer> {
    await new Promise<void>((done, fail) => request.session.regenerate((error) => (error ? fail(error) : done())));
    request.session.userId = user.id;
    return this.answer(user);
  }

  private async answer(user: User | null): Promise<SessionAnswer> {
    return { user: user && { id: user.id, name: user.name, email: user.email }, demo: await this.demo.isOffered() };
  }
}
