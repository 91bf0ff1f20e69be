/** How a person has laid out the columns of a grid: widths that were dragged, and what is shown or hidden. */
export interface GridLayout {
  readonly sizes: Readonly<Record<string, number>>;
  readonly visible: Readonly<Record<string, boolean>>;
}

const NONE: GridLayout = { sizes: {}, visible: {} };
const keyOf = (personId: string, grid: string) => `nuvar-grid/${personId}/${grid}`;

/** The layout that a person has given a grid on this machine. */
export function keptLayout(personId: string, grid: string): GridLayout {
  try {
    const kept = JSON.parse(localStorage.getItem(keyOf(personId, grid)) ?? 'null') as Partial<GridLayout> | null;
    return { sizes: kept?.sizes ?? {}, visible: kept?.visible ?? {} };
  } catch {
    return NONE;
  }
}

/** Keeps a layout; one that says nothing is forgotten. */
export function keepLayout(personId: string, grid: string, layout: GridLayout): void {
  const isEmpty = Object.keys(layout.sizes).length + Object.keys(layout.visible).length === 0;
  try {
    if (isEmpty) localStorage.removeItem(keyOf(personId, grid));
    else localStorage.setItem(keyOf(personId, grid), JSON.stringify(layout));
  } catch {
    // A browser that keeps nothing shows the grid as it comes.
  }
}
