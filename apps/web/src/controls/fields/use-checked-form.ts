import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import { useForm, type DefaultValues, type FieldValues, type Path, type UseFormReturn } from 'react-hook-form';
import { problemsOf } from '../../state/api.js';

type FormClass<Values extends FieldValues> = new () => Values;

interface CheckedForm<Values extends FieldValues> extends UseFormReturn<Values> {
  /** What is wrong with a field, in a sentence. */
  readonly problemOf: (field: Path<Values>) => string | undefined;
  /** What is wrong with no field in particular. */
  readonly generalProblem: string | undefined;
  /** Puts what the server refused beside the fields that it is about. */
  readonly refuse: (error: unknown) => void;
}

/**
 * A form whose rules stand in a class, as those of rows and requests do. The fields of the server's refusals are told
 * from the others by their names.
 */
export function useCheckedForm<Values extends FieldValues>(
  rules: FormClass<Values>,
  defaultValues: DefaultValues<Values>,
): CheckedForm<Values> {
  const form = useForm<Values>({
    resolver: classValidatorResolver(rules, {}, { raw: true }),
    defaultValues,
  });
  const { errors } = form.formState;
  const refuse = (error: unknown) => {
    for (const { field, sentence } of problemsOf(error)) {
      const isOwn = field !== undefined && Object.hasOwn(defaultValues, field);
      form.setError(isOwn ? (field as Path<Values>) : 'root', { message: sentence });
    }
  };
  return {
    ...form,
    problemOf: (field) => errors[field]?.message as string | undefined,
    generalProblem: errors.root?.message,
    refuse,
  };
}
