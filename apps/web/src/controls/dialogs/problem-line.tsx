/** What stands against what was asked for, in a sentence; nothing while nothing does. */
export function ProblemLine({ problem }: { readonly problem: string | null | undefined }) {
  if (problem == null) return null;
  return (
    <p className="text-error" role="alert">
      {problem}
    </p>
  );
}
