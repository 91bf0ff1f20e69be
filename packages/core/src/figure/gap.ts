import type { Kind } from '@nuvar/book';

/** What is to be known of a gap beside where it is: its sentence, in which `{name}` stands for a value, and whether it asks. */
export interface GapDefinition<Code extends string = string> {
  readonly code: Code;
  readonly sentence: string;
  /** True where the sentence is a result in itself: nothing has to be filled in. */
  readonly stated: boolean;
}

/** The gaps of a room by their code. */
export type GapDefinitions<Code extends string = string> = Readonly<Record<Code, GapDefinition<Code>>>;

/** Defines the gaps of a room: what still asks for something, and what is a result stated in words. */
export function defineGaps<Asking extends string, Stated extends string = never>(sentences: {
  readonly asking: Readonly<Record<Asking, string>>;
  readonly stated: Readonly<Record<Stated, string>>;
}): GapDefinitions<Asking | Stated> {
  const defined = (of: Readonly<Record<string, string>>, stated: boolean) =>
    Object.entries(of).map(([code, sentence]) => [code, { code, sentence, stated }] as const);
  return Object.fromEntries([
    ...defined(sentences.asking, false),
    ...defined(sentences.stated, true),
  ]) as unknown as GapDefinitions<Asking | Stated>;
}

/** Gives what makes the gaps of a room. */
export function gapMaker<Code extends string>(
  definitions: GapDefinitions<Code>,
): (code: Code, place: Place | null, values?: Readonly<Record<string, string>>) => Gap {
  return (code, place, values = {}) => ({ ...definitions[code], place, values });
}

/** The place that would settle a gap. */
export interface Place {
  readonly kind: Kind;
  readonly id: string;
  readonly field: string;
}

/** What a figure still lacks, or a result that is stated in words because no number says it. */
export interface Gap extends GapDefinition {
  readonly place: Place | null;
  readonly values: Readonly<Record<string, string>>;
}

/** The sentence of a gap with its values, made last. */
export function gapSentence(each: Gap): string {
  return each.sentence.replace(/\{(\w+)\}/g, (_all, name: string) => each.values[name] ?? '?');
}

const identity = (each: Gap) => `${each.code}|${each.place?.id ?? ''}|${each.place?.field ?? ''}`;

export const NO_GAPS: readonly Gap[] = [];

/** All gaps of the parts, each once, in the order in which they were met. Mostly there are none, or those of one part. */
export function unitedGaps(parts: readonly { readonly gaps: readonly Gap[] }[]): readonly Gap[] {
  let first = NO_GAPS;
  let all: Gap[] | null = null;
  for (const { gaps } of parts) {
    if (gaps.length === 0 || gaps === first) continue;
    if (first.length === 0) first = gaps;
    else if (all === null) all = [...first, ...gaps];
    else all.push(...gaps);
  }
  return all === null ? first : each(all);
}

const each = (gaps: readonly Gap[]) => [...new Map(gaps.map((one) => [identity(one), one])).values()];
