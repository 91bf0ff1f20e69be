import { Link } from 'react-router';
import { useBookPath } from '../book/use-book.js';

interface BackLinkProps {
  /** The screen of the book to which it leads: "make". */
  readonly to: string;
  readonly children: string;
}

/** Leads from a screen beside a list back to the list. */
export function BackLink({ to, children }: BackLinkProps) {
  const path = useBookPath();
  return (
    <p>
      <Link className="link" to={`${path}/${to}`}>
        {children}
      </Link>
    </p>
  );
}
