import type { ReactNode } from 'react';

interface FieldsProps {
  /** Side by side where there is room for two. */
  readonly inTwo?: boolean;
  readonly className?: string;
  /** Names the fields as a group to those who hear them. */
  readonly label?: string;
  readonly children: ReactNode;
}

/** Fields below each other, each with its label beside it. */
export function Fields({ inTwo = false, className = '', label, children }: FieldsProps) {
  return (
    <div
      className={`mt-1.5 grid gap-x-7 gap-y-0.5 ${inTwo ? 'desk:grid-cols-2' : ''} ${className}`}
      role={label === undefined ? undefined : 'group'}
      aria-label={label}
    >
      {children}
    </div>
  );
}

interface FieldProps {
  readonly label: string;
  readonly children: ReactNode;
}

/** One field: its label, which the control repeats to those who hear it, and the control with what belongs to it. */
export function Field({ label, children }: FieldProps) {
  return (
    <div className="grid min-h-8 grid-cols-[minmax(6.5rem,42%)_minmax(0,1fr)] items-center gap-2">
      <span className="text-soft" aria-hidden="true">
        {label}
      </span>
      <span className="flex min-w-0 flex-wrap items-center gap-1.5 [&>:is(.input,.select,.flex)]:min-w-18 [&>:is(.input,.select,.flex)]:flex-[1_1_4.5rem]">
        {children}
      </span>
    </div>
  );
}

/** Says that a field is only tried, and what the book holds. */
export function TrialMark({ children }: { readonly children: ReactNode }) {
  return <span className="w-full text-note font-semibold text-primary">{children}</span>;
}
