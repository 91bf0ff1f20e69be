import { BULK_WITHIN, type BulkPart, type BulkTarget, type BulkWay } from '@nuvar/core';
import { useAll } from '../book/use-book.js';

export const TARGET_WORDS: Readonly<Record<BulkTarget, string>> = {
  'material prices': 'Material prices',
  wages: 'Wages',
  'exchange rate': 'Exchange rates',
  'planned volumes': 'Planned volumes',
  'selling prices': 'Selling prices',
  'fees in percent': 'Fees, in percent',
  'fixed fees': 'Fixed fees',
  'running costs': 'Running costs',
};

/** By how much, in words: "+ 8 %", "- 0.50", "+ 2 points". */
export function wayWords(way: BulkWay, typed: string): string {
  const text = typed.replace('%', '').trim();
  const signed = /^[-−]/.test(text) ? text : `+ ${text}`;
  return `${signed}${{ percent: ' %', amount: '', points: ' points' }[way]}`;
}

interface Part {
  readonly value: string;
  readonly label: string;
}

/** What a target can be narrowed to, of what the book has. */
export function useParts(target: BulkTarget): readonly Part[] {
  const suppliers = useAll('supplier');
  const materials = useAll('material');
  const products = useAll('product');
  const channels = useAll('channel');
  const grades = useAll('labourGrade');
  const fees = useAll('feeRule');
  const pools = useAll('costPool');
  const rates = useAll('exchangeRate');
  const named = (part: BulkPart, rows: readonly { readonly id: string; readonly name: string }[]) =>
    rows.map(({ id, name }): Part => ({ value: `${part}/${id}`, label: name }));
  const texts = (part: BulkPart, all: readonly string[]) =>
    [...new Set(all)].filter((each) => each !== '').map((each): Part => ({ value: `${part}/${each}`, label: each }));
  const categories = target === 'selling prices' ? products : materials;
  const parts: Readonly<Record<BulkPart, readonly Part[]>> = {
    category: texts(
      'category',
      categories.map(({ category }) => category),
    ),
    supplier: named('supplier', suppliers),
    grade: named('grade', grades),
    currency: texts(
      'currency',
      rates.map(({ currency }) => currency),
    ),
    channel: named('channel', channels),
    product: named(
      'product',
      products.filter(({ archived, quoted }) => !archived && !quoted),
    ),
    fee: named('fee', fees),
    pool: named('pool', pools),
  };
  return BULK_WITHIN[target].flatMap((part) => parts[part]);
}
