import { type CalledOf, type Figure, multiplied, quotient, runningSum, stillMadeOf } from '../figure/index.js';
import type { Unit } from '../quantity/index.js';

/** What a calculation made last time it was worked out, in the order of its calls; and how far it has come this time. */
export interface Memory {
  readonly made: (Figure | RememberedList)[];
  next: number;
}

/** A list of last time. The elements are what was given out, and never change; what else is kept of them is written over. */
interface RememberedList {
  common: unknown;
  items: readonly unknown[];
  reads: unknown[];
  elements: readonly unknown[];
  /** What each element remembers of its own operations; sparse, since most ask for none. */
  memories: (Memory | undefined)[];
}

/** A memory that begins with what another one remembers: for the same calculation over other rows. */
export function memoryLike(memory: Memory | null): Memory | null {
  return memory && { made: memory.made.map((made) => (isList(made) ? listLike(made) : made)), next: 0 };
}

function listLike({ reads, memories, ...list }: RememberedList): RememberedList {
  const likewise = (memory: Memory | undefined) => memoryLike(memory ?? null) ?? undefined;
  return { ...list, reads: [...reads], memories: memories.map(likewise) };
}

/**
 * The same as the operations of those names, and as mapping a list: what has not moved since last time is the very figure
 * or element of last time. Last time is told by the place among the calls that a calculation makes.
 */
export interface RememberingOperations {
  sum(called: CalledOf, unit: Unit, parts: readonly Figure[]): Figure;
  multiplied(called: CalledOf, multiplicand: Figure, multiplier: Figure): Figure;
  quotient(called: CalledOf, dividend: Figure, divisor: Figure): Figure;
  /**
   * One element for each item. An element is taken over from last time where its item and all that it reads are the same
   * objects as then: `common` is what all of them read, `reads` gives what one item reads beside that; each is one object
   * or a few in a list. `work` may use nothing else.
   */
  list<Item, Read, Element>(
    items: readonly Item[],
    common: unknown,
    reads: (item: Item) => Read,
    work: (item: Item, read: Read) => Element,
  ): readonly Element[];
}

/** Whose memory is open: that of the calculation, or of the element of a list, that is worked out just now. */
export interface OpenMemory {
  current: { memory: Memory | null } | null;
}

const isList = (made: Figure | RememberedList | undefined): made is RememberedList =>
  made !== undefined && 'elements' in made;

/** The operations, which remember in whatever memory is open while they are called. */
export function rememberingOperations(open: OpenMemory): RememberingOperations {
  const memoryOfCaller = (): Memory => {
    const remembering = open.current;
    if (remembering === null) return { made: [], next: 0 };
    return (remembering.memory ??= { made: [], next: 0 });
  };
  /** What was made last time at the place of this call, if it was a figure of that operation. */
  const before = (memory: Memory, operation: Figure['operation']): Figure | undefined => {
    const made = memory.made[memory.next];
    return made !== undefined && !isList(made) && made.operation === operation ? made : undefined;
  };
  const remember = <Made extends Figure | RememberedList>(memory: Memory, made: Made): Made => {
    memory.made[memory.next] = made;
    memory.next += 1;
    return made;
  };
  return {
    sum(called, unit, parts) {
      const memory = memoryOfCaller();
      return remember(memory, runningSum(called, unit, parts, before(memory, 'sum')));
    },
    multiplied(called, one, other) {
      const memory = memoryOfCaller();
      const known = before(memory, 'product');
      return remember(memory, (known && stillMadeOf(known, called, [one, other])) ?? multiplied(called, one, other));
    },
    quotient(called, one, other) {
      const memory = memoryOfCaller();
      const known = before(memory, 'quotient');
      return remember(memory, (known && stillMadeOf(known, called, [one, other])) ?? quotient(called, one, other));
    },
    list<Item, Read, Element>(
      items: readonly Item[],
      common: unknown,
      reads: (item: Item) => Read,
      work: (item: Item, read: Read) => Element,
    ): readonly Element[] {
      const memory = memoryOfCaller();
      const made = memory.made[memory.next];
      const place = memory.next;
      // Elements that remember do so in memories of their own: this one stands still meanwhile.
      const list = isList(made) && isSame(made.common, common) ? made : newList(common);
      elementsAgain(open, list, items, reads, work as (item: Item, read: unknown) => unknown);
      memory.made[place] = list;
      memory.next = place + 1;
      return list.elements as readonly Element[];
    },
  };
}

const newList = (common: unknown): RememberedList => ({ common, items: [], reads: [], elements: [], memories: [] });

/**
 * Brings a list up to date: what has moved is worked out, all else taken over. Its elements are the very list of last
 * time where none has moved.
 */
function elementsAgain<Item>(
  open: OpenMemory,
  list: RememberedList,
  items: readonly Item[],
  reads: (item: Item) => unknown,
  work: (item: Item, read: unknown) => unknown,
): void {
  if (list.items.length === 0) list.items = items;
  else if (!isSame(list.items, items)) reorder(list, items);
  let elements: unknown[] | null = null;
  for (let index = 0; index < items.length; index += 1) {
    const item = items[index] as Item;
    const read = reads(item);
    if (index in list.reads && isSame(list.reads[index], read)) continue;
    // What was given out last time stays as it is.
    if (elements === null) list.elements = elements = list.elements.slice();
    elements[index] = withMemory(open, list, index, () => work(item, read));
    list.reads[index] = read;
  }
}

/** Works an element out while the memory of its own is open. */
function withMemory(open: OpenMemory, { memories }: RememberedList, index: number, work: () => unknown): unknown {
  const remembering = { memory: memories[index] ?? null };
  if (remembering.memory !== null) remembering.memory.next = 0;
  const outer = open.current;
  open.current = remembering;
  const made = work();
  open.current = outer;
  if (remembering.memory !== null) memories[index] = remembering.memory;
  return made;
}

/** Brings what is remembered into the order of other items; what is new among them has a hole in its place. */
function reorder(list: RememberedList, items: readonly unknown[]): void {
  const placeOf = new Map(list.items.map((item, place) => [item, place]));
  const [reads, elements, memories]: [unknown[], unknown[], (Memory | undefined)[]] = [[], [], []];
  items.forEach((item, index) => {
    const place = placeOf.get(item);
    if (place === undefined) return;
    reads[index] = list.reads[place];
    elements[index] = list.elements[place];
    memories[index] = list.memories[place];
  });
  elements.length = items.length;
  list.items = items;
  list.reads = reads;
  list.elements = elements;
  list.memories = memories;
}

/** What is read is one object, or a few of them in a list: then each has to be the same. */
function isSame(one: unknown, other: unknown): boolean {
  if (one === other) return true;
  if (!Array.isArray(one) || !Array.isArray(other) || one.length !== other.length) return false;
  for (let index = 0; index < one.length; index += 1) if (one[index] !== other[index]) return false;
  return true;
}
