import type { ReactNode } from 'react';

interface FormEntryProps {
  readonly label: string;
  readonly hint?: string | undefined;
  readonly problem: string | undefined;
  readonly children: ReactNode;
}

/** A field of a form with its label above, and what is wrong with it below. */
export function FormEntry({ label, hint, problem, children }: FormEntryProps) {
  const below = problem ?? hint;
  return (
    <label className="fieldset gap-0.5 py-0">
      <span className="text-soft">{label}</span>
      {children}
      {below !== undefined && (
        <span
          className={`text-note ${problem === undefined ? 'text-soft' : 'text-error'}`}
          role={problem === undefined ? undefined : 'alert'}
        >
          {below}
        </span>
      )}
    </label>
  );
}

/** What is wrong with no field in particular. */
export function FormProblem({ children }: { readonly children: string | undefined }) {
  return children === undefined ? null : (
    <p className="text-error" role="alert">
      {children}
    </p>
  );
}
