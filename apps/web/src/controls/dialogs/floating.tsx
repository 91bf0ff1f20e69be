import { useLayoutEffect, type ReactNode, type RefObject } from 'react';
import { autoUpdate, flip, offset, shift, size, useFloating, type ReferenceType } from '@floating-ui/react-dom';

/**
 * Where a list or a box goes that belongs to a field: below it, or above where there is no room, over everything else
 * and never cut off by what scrolls. Its height is held within the window.
 */
export function useFloatingBelow() {
  return useFloating({
    strategy: 'fixed',
    placement: 'bottom-start',
    whileElementsMounted: autoUpdate,
    middleware: [
      offset(1),
      flip({ padding: 8 }),
      shift({ padding: 8 }),
      size({
        padding: 8,
        apply: ({ availableHeight, rects, elements }) => {
          elements.floating.style.maxHeight = `${Math.max(80, availableHeight)}px`;
          elements.floating.style.minWidth = `${rects.reference.width}px`;
        },
      }),
    ],
  });
}

interface HintProps {
  readonly id: string;
  /** The field that it is about. */
  readonly field: RefObject<ReferenceType | null>;
  readonly isRefusal: boolean;
  readonly children: ReactNode;
}

/** What is said of a field while it is typed into: how it is read, or why it is refused. */
export function Hint({ id, field, isRefusal, children }: HintProps) {
  const {
    refs: { setReference, setFloating },
    floatingStyles,
  } = useFloatingBelow();
  useLayoutEffect(() => setReference(field.current), [setReference, field]);
  return (
    <span
      id={id}
      ref={setFloating}
      style={floatingStyles}
      className={`z-20 w-max max-w-80 border bg-base-100 px-2 py-0.5 text-left text-note whitespace-normal ${isRefusal ? 'border-error text-error' : 'border-rule'}`}
      role={isRefusal ? 'alert' : undefined}
    >
      {children}
    </span>
  );
}
