import { isPlainText } from '@nuvar/book';
import { ValidateBy } from 'class-validator';

/** A text of a request that has to be there, of at most so many characters. */
export function PlainText(label: string, most = 200): PropertyDecorator {
  const check = (name: string, message: string, validate: (value: unknown) => boolean) =>
    ValidateBy({ name, validator: { validate, defaultMessage: () => message } });
  const checks = [
    check('text', `The ${label} must be text.`, isPlainText),
    check('notEmpty', `The ${label} cannot be empty.`, (value) => typeof value !== 'string' || value.trim() !== ''),
    check(
      'length',
      `The ${label} can have at most ${most} characters.`,
      (value) => typeof value !== 'string' || value.length <= most,
    ),
  ];
  return (target, property) => checks.forEach((each) => each(target, property));
}
