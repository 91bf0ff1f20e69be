import { problem, ProblemError } from '@nuvar/book';
import { ValidationPipe, type ValidationError } from '@nestjs/common';

/** Holds the body of a request against its class, and says what is wrong as problems of the catalogue. */
export const validation = new ValidationPipe({
  whitelist: true,
  forbidNonWhitelisted: true,
  transform: true,
  exceptionFactory: (errors) => new ProblemError(errors.map(problemOf)),
});

function problemOf({ property, constraints = {} }: ValidationError) {
  const field = property.slice(0, 60);
  if ('whitelistValidation' in constraints)
    return problem('unknown-field', { field, values: { kind: 'request', field } });
  // The first decorator of a property is checked first and is told last.
  const detail = Object.values(constraints).at(-1) ?? `${field} is not right.`;
  return problem('invalid-field', { field, values: { detail } });
}
