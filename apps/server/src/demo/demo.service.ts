import { quillfernPottery } from '@nuvar/book/demo';
import { Inject, Injectable } from '@nestjs/common';
import { AccountsService } from '../accounts/accounts.service.js';
import { BooksService } from '../book/books.service.js';

export const DEMO_EMAIL = 'demo@quillfern.example';
export const DEMO_PASSWORD = 'quillfern-pottery';

/** The demo book and its sign-in. `NUVAR_DEMO=off` turns both off. */
@Injectable()
export class DemoService {
  readonly isOn = process.env.NUVAR_DEMO !== 'off';

  constructor(
    @Inject(AccountsService) private readonly accounts: AccountsService,
    @Inject(BooksService) private readonly books: BooksService,
  ) {}

  async isOffered(): Promise<boolean> {
    return this.isOn && (await this.accounts.byEmail(DEMO_EMAIL)) !== null;
  }

  /** Loads the demo book into a database that holds no book yet. */
  async loadIfEmpty(): Promise<void> {
    if (!this.isOn || !(await this.books.isEmpty()) || (await this.accounts.byEmail(DEMO_EMAIL)) !== null) return;
    const user = await this.accounts.signUp({ email: DEMO_EMAIL, name: 'Wren Quillfern', password: DEMO_PASSWORD });
    await this.books.takeIn(user.id, quillfernPottery());
  }
}
