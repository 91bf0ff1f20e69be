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
    <dialog ref={dialog} className="modal" aria-label={title} onClose={onClose}>
      <div
        className={`modal-box border border-base-content p-4 shadow-none ${wide ? 'max-w-[60rem]' : 'max-w-[34rem]'}`}
      >
        <h2 className="text-lg font-semibold">{title}</h2>
        {children}
      </div>
    </dialog>
  );
}
