import { Link, useSearchParams } from 'react-router';

/** The side of a detail that the address names, or the first. */
export function useSide<Side extends string>(sides: Readonly<Record<Side, string>>): Side {
  const side = useSearchParams()[0].get('side') ?? '';
  return side in sides ? (side as Side) : (Object.keys(sides)[0] as Side);
}

interface SidesProps<Side extends string> {
  /** What the sides are called, the first one first. */
  readonly sides: Readonly<Record<Side, string>>;
  readonly label: string;
}

/** The sides of a detail, one shown at a time. Which one is shown stands in the address, so that it can be shared. */
export function Sides<Side extends string>({ sides, label }: SidesProps<Side>) {
  const shown = useSide(sides);
  const [parameters] = useSearchParams();
  const names = Object.keys(sides) as Side[];
  const addressOf = (side: Side) => {
    const next = new URLSearchParams(parameters);
    next.delete('at');
    if (side === names[0]) next.delete('side');
    else next.set('side', side);
    return `?${next.toString()}`;
  };
  return (
    <nav className="tabs tabs-border gap-x-4 border-b border-base-300" aria-label={label}>
      {names.map((side) => (
        <Link
          key={side}
          to={addressOf(side)}
          className="tab text-soft [--tab-p:0.1rem] hover:text-base-content aria-[current]:text-base-content"
          aria-current={side === shown ? 'page' : undefined}
        >
          {sides[side]}
        </Link>
      ))}
    </nav>
  );
}
