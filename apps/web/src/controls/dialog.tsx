import { useEffect, useRef, type ReactNode } from 'react';

interface DialogProps {
  readonly title: string;
  readonly onClose: () => void;
  readonly children: ReactNode;
  readonly wide?: boolean;
}

/** A question that has to be answered before anything else goes on. Ordinary work needs none. */
export function Dialog({ title, onClose, children, wide = false }: DialogProps) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    const element = dialog.current;
    if (element !== null && !element.open) element.showModal();
  }, []);
  return (
    <dialog ref={dialog} className={`dialog ${wide ? 'dialog-wide' : ''}`} aria-label={title} onClose={onClose}>
      <h2 className="text-lg font-semibold">{title}</h2>
      {children}
    </dialog>
  );
}
