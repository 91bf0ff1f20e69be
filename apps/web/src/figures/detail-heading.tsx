import type { ReactNode } from 'react';

interface DetailHeadingProps {
  readonly as?: 'h2' | 'h3' | 'figcaption';
  readonly children: ReactNode;
}

/** The heading of a part of a detail. */
export function DetailHeading({ as: Tag = 'h3', children }: DetailHeadingProps) {
  return <Tag className="mt-3.5 font-semibold text-soft">{children}</Tag>;
}
