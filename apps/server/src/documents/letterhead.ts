import type { Content } from 'pdfmake/interfaces.js';

/** What stands at the head of a document that goes out of the house: the text of the book's own letterhead, its first line larger. */
export function letterhead(text: string): Content[] {
  const [first = '', ...rest] = text.split('\n').map((line) => line.trim());
  if (text.trim() === '') return [];
  return [
    { text: first, bold: true, fontSize: 11 },
    ...(rest.length === 0 ? [] : [{ text: rest.join('\n'), style: 'soft' }]),
    { text: '', margin: [0, 0, 0, 14] },
  ];
}
