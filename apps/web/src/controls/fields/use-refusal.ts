import { useState } from 'react';
import { keepRefused, putRight } from '../../book/refused-texts.js';
import type { Refused } from '../../state/book-slice.js';
import { useAppDispatch, useAppSelector } from '../../state/store.js';

export interface Refusal {
  readonly refused: Pick<Refused, 'text' | 'sentence'> | null;
  /** True where the reason is to be said: the field has the focus, or was refused since it was drawn. */
  readonly isSaid: boolean;
  readonly setFocus: (hasFocus: boolean) => void;
  /** Hands a text to whoever takes it; what is refused is kept, and an earlier refusal forgotten. Returns whether it was taken. */
  readonly take: (text: string, commit: (text: string) => string | null) => boolean;
  /** Takes the refused text back. */
  readonly clear: () => void;
}

/**
 * What was refused in a field. It is kept under the place of the field, so that it is there again after scrolling and
 * leaving; a field without a place keeps it for as long as it is drawn.
 */
export function useRefusal(place: string | undefined, label: string): Refusal {
  const kept = useAppSelector(({ book }) => (place === undefined ? undefined : book.refused[place]));
  const [own, setOwn] = useState<Refusal['refused']>(null);
  const [isNew, setIsNew] = useState(false);
  const [hasFocus, setFocus] = useState(false);
  const dispatch = useAppDispatch();
  const clear = () => {
    setOwn(null);
    if (place !== undefined) dispatch(putRight(place));
  };
  const refuse = (text: string, sentence: string) => {
    setIsNew(true);
    if (place === undefined) setOwn({ text, sentence });
    else dispatch(keepRefused({ place, label, text, sentence }));
  };
  return {
    refused: place === undefined ? own : (kept ?? null),
    isSaid: isNew || hasFocus,
    setFocus,
    take: (text, commit) => {
      const sentence = commit(text);
      if (sentence === null) clear();
      else refuse(text, sentence);
      return sentence === null;
    },
    clear,
  };
}
