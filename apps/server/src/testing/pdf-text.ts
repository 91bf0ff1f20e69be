import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

/** What a PDF says, page by page, with single spaces. */
export async function pdfText(pdf: Uint8Array): Promise<string> {
  const document = await getDocument({ data: new Uint8Array(pdf), verbosity: 0 }).promise;
  const pages: string[] = [];
  for (let page = 1; page <= document.numPages; page += 1) {
    const { items } = await (await document.getPage(page)).getTextContent();
    pages.push(items.map((item) => ('str' in item ? item.str : '')).join(' '));
  }
  return pages.join('\n').replace(/\s+/g, ' ');
}
