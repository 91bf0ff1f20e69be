import { XMLParser } from 'fast-xml-parser';
import { ImportRefusal } from './import-refusal.js';

/** The headings under which the lines of an invoice are laid out. */
export const INVOICE_HEADINGS = [
  'Name',
  'Code',
  'Supplier',
  'Pack',
  'Unit',
  'Price',
  'Currency',
  'Valid from',
  'Ordered',
];

/** Unit codes of UN/ECE Recommendation 20, revision 17, as far as goods are invoiced in them. */
const UNIT_CODES: ReadonlyMap<string, string> = new Map(
  Object.entries({
    C62: 'each',
    EA: 'each',
    H87: 'each',
    NAR: 'each',
    PR: 'pair',
    DZN: 'dozen',
    GRO: 'gross',
    MGM: 'mg',
    GRM: 'g',
    KGM: 'kg',
    TNE: 't',
    ONZ: 'oz',
    LBR: 'lb',
    STN: 'US ton',
    LTN: 'imp ton',
    MLT: 'ml',
    CLT: 'cl',
    DLT: 'dl',
    LTR: 'l',
    MTQ: 'm³',
    OZA: 'US fl oz',
    PTL: 'US pt',
    QTL: 'US qt',
    GLL: 'US gal',
    OZI: 'imp fl oz',
    PTI: 'imp pt',
    QTI: 'imp qt',
    GLI: 'imp gal',
    MMT: 'mm',
    CMT: 'cm',
    MTR: 'm',
    INH: 'in',
    FOT: 'ft',
    YRD: 'yd',
    MMK: 'mm²',
    CMK: 'cm²',
    MTK: 'm²',
    HAR: 'ha',
    INK: 'in²',
    FTK: 'ft²',
    YDK: 'yd²',
    MIN: 'min',
    HUR: 'h',
    WHR: 'Wh',
    KWH: 'kWh',
  }),
);

type Node = Readonly<Record<string, unknown>>;

/**
 * Reads the lines of a UBL 2.1 invoice (ISO/IEC 19845): item name, seller's or standard code, net price per base quantity,
 * invoiced quantity, with the supplier's name, the currency and the issue date of the document. Entities are never
 * resolved: a document that declares a type or an entity is refused.
 */
export function linesOfInvoice(xml: string): string[][] {
  if (/<!(DOCTYPE|ENTITY)/i.test(xml))
    throw new ImportRefusal('This document declares entities, which an invoice does not need. It was refused.');
  const document = parsed(xml);
  const invoice = childOf(document, 'Invoice') ?? childOf(document, 'CreditNote');
  if (invoice === undefined || 'CreditNote' in document)
    throw new ImportRefusal('This is not a UBL invoice: it has no Invoice in it.');
  const lines = listOf(invoice.InvoiceLine);
  if (lines.length === 0) throw new ImportRefusal('This invoice has no lines.');
  const party = at(invoice, 'AccountingSupplierParty', 'Party');
  const supplier = textOf(at(party, 'PartyName', 'Name')) || textOf(at(party, 'PartyLegalEntity', 'RegistrationName'));
  const day = textOf(invoice.IssueDate);
  const documentCurrency = textOf(invoice.DocumentCurrencyCode);
  return [INVOICE_HEADINGS, ...lines.map((line) => cellsOf(line, supplier, day, documentCurrency))];
}

function cellsOf(line: Node, supplier: string, day: string, documentCurrency: string): string[] {
  const item = at(line, 'Item');
  const price = at(line, 'Price', 'PriceAmount');
  const base = at(line, 'Price', 'BaseQuantity');
  const quantity = line.InvoicedQuantity;
  const unit = attributeOf(base, 'unitCode') || attributeOf(quantity, 'unitCode');
  const perPack = textOf(base) || '1';
  const invoiced = Number(textOf(quantity));
  return [
    textOf(at(item, 'Name')) || textOf(at(item, 'Description')),
    textOf(at(item, 'SellersItemIdentification', 'ID')) || textOf(at(item, 'StandardItemIdentification', 'ID')),
    supplier,
    perPack,
    UNIT_CODES.get(unit) ?? unit,
    textOf(price),
    attributeOf(price, 'currencyID') || documentCurrency,
    day,
    invoiced > 0 && Number(perPack) > 0 ? String(invoiced / Number(perPack)) : '',
  ];
}

function parsed(xml: string): Node {
  const parser = new XMLParser({
    removeNSPrefix: true,
    ignoreAttributes: false,
    attributeNamePrefix: '@',
    parseTagValue: false,
    parseAttributeValue: false,
    processEntities: true,
  });
  try {
    return parser.parse(xml, true) as Node;
  } catch (error) {
    throw new ImportRefusal(`This XML could not be read: ${error instanceof Error ? error.message : 'it is broken'}`);
  }
}

const isNode = (value: unknown): value is Node => typeof value === 'object' && value !== null && !Array.isArray(value);
const listOf = (value: unknown): Node[] => (Array.isArray(value) ? value : [value]).filter(isNode);
const childOf = (node: Node, name: string): Node | undefined => (isNode(node[name]) ? node[name] : undefined);

/** Follows names down from an element; of several elements of a name the first is taken. */
function at(from: unknown, ...names: readonly string[]): unknown {
  return names.reduce<unknown>((node, name) => {
    const next = isNode(node) ? node[name] : undefined;
    return Array.isArray(next) ? next[0] : next;
  }, from);
}

function textOf(value: unknown): string {
  if (isNode(value)) return textOf(value['#text']);
  return typeof value === 'string' || typeof value === 'number' ? String(value).trim() : '';
}

const attributeOf = (value: unknown, name: string) => (isNode(value) ? textOf(value[`@${name}`]) : '');
