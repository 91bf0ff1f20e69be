import type { BookBuilder } from '../demo-book.js';
import { at, type Ids } from './ids.js';

/** One job that was asked for, with two ways to do it. */
export function addQuote(book: BookBuilder, materials: Ids, grades: Ids, machines: Ids): void {
  const quoteId = book.add('quote', {
    name: 'Plates for the Harbour Room',
    customer: 'The Harbour Room\nQuay Street',
    state: 'sent',
    quotedOn: '2026-11-18',
    validUntil: '2026-12-31',
    contingencyPercent: '5',
    basis: 'margin',
    target: '35',
    opening:
      'Thank you for your enquiry. We are glad to offer plates made for your tables, in the glaze of your choice.',
    closing: 'Half is due with the order, the rest on delivery. Making takes six weeks.',
  });
  const option = (position: number, name: string, note: string, clay: string, minutes: string, sent: object) => {
    const productId = book.add('product', {
      name,
      note,
      quoted: true,
      batchSize: '80',
      yieldPercent: '88',
    });
    const line = (item: string, quantity: string, unit: string, place: number, basis = 'started unit') =>
      book.add('billLine', { productId, position: place, materialId: at(materials, item), quantity, unit, basis });
    line(clay, '620', 'g', 0);
    line('White slip', '40', 'ml', 1);
    line('Kraft paper', '0.4', 'm', 2, 'good unit');
    const step = (stepName: string, grade: string, time: string, place: number, basis = 'minutes per unit') =>
      book.add('labourStep', {
        productId,
        position: place,
        name: stepName,
        gradeId: at(grades, grade),
        timeBasis: basis,
        time,
      });
    step('Throw and turn', 'maker', minutes, 0);
    step('Glaze', 'helper', '3', 1);
    step('Load and empty the kiln', 'owner', '90', 2, 'minutes per batch');
    book.add('equipmentUse', {
      productId,
      position: 0,
      basis: 'space per unit',
      amount: '1.8',
      runId: at(machines, 'bisque'),
    });
    book.add('equipmentUse', {
      productId,
      position: 1,
      basis: 'space per unit',
      amount: '2',
      runId: at(machines, 'glaze'),
    });
    book.add('quoteOption', {
      quoteId,
      productId,
      position,
      units: '80',
      learningPercent: '92',
      sentName: name,
      sentNote: note,
      sentUnit: 'each',
      sentTaxPercent: '20',
      ...sent,
    });
  };
  option(0, 'Dinner plate, speckled', '26 cm, speckled clay, white slip', 'Speckled stoneware clay', '9', {
    sentPrice: '1150.01',
    sentCost: '711.905469141613',
    sentContingency: '35.595273457081',
    sentVariableCost: '517.723707891175',
    sentMaterials: '110.618181818182',
    sentLabour: '288.203543844695',
    sentHours: '12.437185369526',
    sentOther: '118.901982228298',
  });
  option(1, 'Dinner plate, porcelain', '26 cm, porcelain, white slip', 'Porcelain body', '12', {
    sentPrice: '1417.04',
    sentCost: '877.211595145607',
    sentContingency: '43.86057975728',
    sentVariableCost: '638.64543132364',
    sentMaterials: '167.996363636364',
    sentLabour: '351.747085458978',
    sentHours: '15.120345348271',
    sentOther: '118.901982228298',
  });
}
