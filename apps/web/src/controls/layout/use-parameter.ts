import { useSearchParams } from 'react-router';

/** What is chosen on a screen and stands in its address, so that it can be shared; choosing takes the place of what was chosen before. */
export function useParameter(name: string): readonly [string | null, (value: string) => null] {
  const [parameters, setParameters] = useSearchParams();
  const choose = (value: string) => {
    setParameters(
      (known) => {
        const next = new URLSearchParams(known);
        next.set(name, value);
        return next;
      },
      { replace: true },
    );
    return null;
  };
  return [parameters.get(name), choose];
}
