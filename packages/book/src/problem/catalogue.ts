/**
 * Every problem that a request can meet: its code, the HTTP status that goes with it, and the sentence that a person
 * can act on. `{name}` stands for a value of the problem. docs/problems.md lists them; a test keeps the two in step.
 */
export const PROBLEMS = {
  'malformed-request': [400, 'This request could not be read: {detail}.'],
  'malformed-change': [400, 'This change could not be read: {detail}.'],
  'too-large': [413, 'That is more than fits in one request ({limit} at most).'],
  'invalid-field': [422, '{detail}'],
  'unknown-field': [422, 'A {kind} has no field called "{field}".'],
  'unknown-kind': [422, 'There is no kind of row called "{kind}".'],
  'unknown-row': [422, 'This {kind} is not in the book (any more).'],
  'row-exists': [422, 'A {kind} with this id is in the book already.'],
  'unknown-reference': [422, '{label} points to a {target} that is not in this book.'],
  'still-used': [422, '{name} cannot be removed: it is still used in {user}.'],
  'name-taken': [422, 'There is already a {kind} called "{name}".'],
  'line-needs-one-item': [422, 'A bill line needs either a material or a component, and not both.'],
  'conversion-needs-one-item': [422, 'A conversion belongs to either a material or a product, and not to both.'],
  'conversion-has-a-fixed-way': [
    422,
    'There is a fixed way from {unit} to {equalUnit} already: no conversion of its own is needed.',
  ],
  'component-loop': [422, 'A product cannot contain itself: {loop}.'],
  'yield-over-100': [422, 'The yield of pieces cannot be over 100 %: more good pieces than were started.'],
  'price-exists': [422, 'This product has a price in this channel already.'],
  'settings-stay': [422, 'The settings of a book can be changed, but neither added nor removed.'],
  'changed-meanwhile': [409, 'Somebody else has changed {label} meanwhile: it is now {theirs}.'],
  'row-moved-on': [409, 'Somebody else has changed this {kind} meanwhile.'],
  'change-id-reused': [409, 'This change was sent before with another content.'],
  'not-signed-in': [401, 'Please sign in first.'],
  'wrong-sign-in': [401, 'E-mail address and password do not fit together.'],
  'too-many-tries': [429, 'Too many tries. Wait a minute and try again.'],
  'cross-site': [403, 'This request came from another site and was refused.'],
  'not-allowed': [403, 'Your role in this book ({role}) does not allow this.'],
  'not-found': [404, 'There is nothing here that you can see.'],
  'email-taken': [422, 'There is already an account with this e-mail address.'],
  'unknown-person': [422, 'Nobody with this e-mail address has an account yet. Ask them to sign up first.'],
  'last-owner': [422, 'A book needs at least one owner.'],
  'demo-off': [404, 'The demo is not on offer here.'],
  'not-a-book-file': [422, 'This is not a book file: {detail}.'],
  'newer-book-file': [422, 'This book file was written by a newer version of Nuvar (format {version}).'],
  'server-error': [500, 'Something went wrong on the server. Nothing of this request was stored.'],
} as const satisfies Record<string, readonly [status: number, sentence: string]>;

export type ProblemCode = keyof typeof PROBLEMS;
