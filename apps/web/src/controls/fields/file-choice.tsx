import { FileUp } from 'lucide-react';
import { useRef } from 'react';
import { noticed } from '../../state/notices-slice.js';
import { useAppDispatch } from '../../state/store.js';

interface FileChoiceProps {
  readonly label: string;
  readonly className: string;
  /** Takes the file; what it throws is said. */
  readonly take: (file: File) => Promise<void>;
  readonly hasIcon?: boolean;
}

/** A button that asks for a file. */
export function FileChoice({ label, className, take, hasIcon = false }: FileChoiceProps) {
  const input = useRef<HTMLInputElement>(null);
  const dispatch = useAppDispatch();
  const choose = async (file: File | undefined) => {
    if (input.current !== null) input.current.value = '';
    if (file === undefined) return;
    try {
      await take(file);
    } catch (error) {
      const sentence = error instanceof Error ? error.message : 'The file could not be read.';
      dispatch(noticed({ sentence, tone: 'problem' }));
    }
  };
  return (
    <>
      <button type="button" className={className} onClick={() => input.current?.click()}>
        {hasIcon && <FileUp size={15} aria-hidden="true" />}
        {label}
      </button>
      <input
        ref={input}
        type="file"
        className="hidden"
        aria-label={label}
        accept=".csv,.txt,.xlsx"
        onChange={(event) => void choose(event.target.files?.[0])}
      />
    </>
  );
}
