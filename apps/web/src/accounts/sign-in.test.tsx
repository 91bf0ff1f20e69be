// @vitest-environment jsdom
import { screen } from '@testing-library/react';
import userEvent, { type UserEvent } from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { api } from '../state/api.js';
import { store } from '../state/store.js';
import { draw, leaveBook } from '../testing/in-book.js';
import { SignIn } from './sign-in.js';

const asked: { path: string; body: unknown }[] = [];
let answer: () => Response;
let user: UserEvent;

/** Requests of the page have no host of their own here. */
class LocalRequest extends Request {
  constructor(input: string, init?: RequestInit) {
    super(new URL(input, 'http://nuvar.test').href, init);
  }
}

beforeEach(() => {
  user = userEvent.setup();
  asked.length = 0;
  answer = () => Response.json({ user: null, demo: false });
  vi.stubGlobal('Request', LocalRequest);
  vi.stubGlobal('fetch', async (request: Request) => {
    if (request.method === 'GET') return Response.json({ user: null, demo: false });
    asked.push({ path: new URL(request.url).pathname, body: await request.json() });
    return answer();
  });
  store.dispatch(api.util.resetApiState());
  draw(<SignIn />);
});
afterEach(() => {
  store.dispatch(api.util.resetApiState());
  leaveBook();
});

const refused =
  (status: number, ...problems: object[]) =>
  () =>
    Response.json({ problems }, { status });
const said = () => screen.queryAllByRole('alert').map(({ textContent }) => textContent);

describe('signing in', () => {
  it('says what is missing without asking the server', async () => {
    await user.click(await screen.findByRole('button', { name: 'Sign in' }));
    await vi.waitFor(() => expect(said()).toEqual(['Type your e-mail address.', 'Type your password.']));
    expect(document.activeElement).toBe(screen.getByLabelText(/^E-mail address/));
    expect(asked).toEqual([]);
  });

  it('says what the server says of no field in particular, and keeps what was typed', async () => {
    answer = refused(401, { code: 'wrong-sign-in', sentence: 'E-mail or password is incorrect.' });
    await user.type(await screen.findByLabelText('E-mail address'), 'wren@quillfern.example');
    await user.type(screen.getByLabelText('Password'), 'a wrong password{Enter}');
    await vi.waitFor(() => expect(said()).toEqual(['E-mail or password is incorrect.']));
    expect(asked).toEqual([
      { path: '/api/session', body: { email: 'wren@quillfern.example', password: 'a wrong password' } },
    ]);
    expect(screen.getByLabelText<HTMLInputElement>('E-mail address').value).toBe('wren@quillfern.example');
  });
});

describe('making an account', () => {
  const fill = async (name: string, email: string, password: string) => {
    await user.click(await screen.findByRole('button', { name: 'I am new here' }));
    await user.type(screen.getByLabelText('Your name'), name);
    await user.type(screen.getByLabelText('E-mail address'), email);
    await user.type(screen.getByLabelText(/^Password/), `${password}{Enter}`);
  };

  it('holds address and password against its rules first', async () => {
    await fill('Wren', 'wren at home', 'short');
    await vi.waitFor(() =>
      expect(said()).toEqual([
        'This does not look like an e-mail address.',
        'The password needs at least 10 characters.',
      ]),
    );
    expect(asked).toEqual([]);
  });

  it('shows what the server refuses beside its field', async () => {
    const sentence = 'There is already an account with this e-mail address.';
    answer = refused(422, { code: 'email-taken', field: 'email', sentence });
    await fill('Wren', 'wren@quillfern.example', 'a long enough password');
    await vi.waitFor(() => expect(said()).toEqual([sentence]));
    expect(screen.getByLabelText(/^E-mail address/).closest('label')?.textContent).toContain(sentence);
    expect(asked).toEqual([
      {
        path: '/api/accounts',
        body: { name: 'Wren', email: 'wren@quillfern.example', password: 'a long enough password' },
      },
    ]);
  });
});
