import { randomUUID } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { BOOK_FILE_VERSION, newId, rowsOfColumns } from '@nuvar/book';
import { chromium } from '@playwright/test';
import { CHROMIUM } from '../setup/chromium.mjs';
import { ROOT } from '../setup/paths.mjs';
import { median } from './measure.mjs';

const EDITS = 15;
const LONG_LIST = 5000;
const DRAGS = 31;
/** Pixels of one event of the wheel, of which there are sixty a second: three notches at once. */
const WHEEL = 360;

/** The built application in Debian's Chromium: first load, opening the bench book, and edits that ripple; part by part. */
export async function benchBrowser(report, server, id, cookie) {
  const browser = await chromium.launch({
    executablePath: CHROMIUM,
    args: ['--no-sandbox', '--disable-dev-shm-usage', '--disable-gpu'],
  });
  const [name, value] = cookie.split('=');
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  await context.addCookies([{ name, value, url: server }]);
  const page = await context.newPage();
  await report.part('first script', async () => {
    const { files, kilobytes } = await firstScripts(page, server);
    return [[`script before the first screen, gzipped (${files} files)`, kilobytes, '250 kB', 'kB']];
  });
  await report.part('edits in the browser', () => editedRows(page, server, id, cookie));
  await report.part('a long list', async () => {
    const list = await longList(server, id, cookie);
    const { p95, missing } = await scrolled(page, `${server}/books/${list}/buy`);
    const named = `${LONG_LIST.toLocaleString('en')} materials under a fast wheel: 95 % of frames are shorter than`;
    return [
      [named, p95, '34 ms'],
      ['the same: rows in sight whose figure is not there yet', missing, '', '%'],
    ];
  });
  await report.part('the price board', async () => {
    const { p95 } = await scrolled(page, `${server}/books/${id}/sell/board`, () =>
      page.getByLabel('Profit', { exact: true }).click(),
    );
    return [['the price board of 1,100 products in 12 channels under the same: 95 % of frames', p95, '50 ms']];
  });
  for (const [products, reach] of [
    [200, '50 ms'],
    [2000, '100 ms'],
  ])
    await report.part('a dragged quantity', async () => {
      const dragged = await draggedQuantity(page, server, cookie, { products, resources: 60 });
      const what = `a quantity of a mix of ${products.toLocaleString('en')} x 60 dragged, seen in the goal`;
      return [[`${what} (median of ${DRAGS})`, dragged, reach]];
    });
  await browser.close();
}

async function editedRows(page, server, id, cookie) {
  const product = await withDearerMaterials(server, id, cookie);
  const opening = await median(5, () => open(page, `${server}/books/${id}/make/${product}`));
  // As in a session at work: what is worked out ahead after opening is through.
  await page.waitForTimeout(5000);
  const price = await median(EDITS, () => taken(page));
  const quantity = await median(EDITS, (run) => rippled(page, run));
  return [
    ['opening the bench book in the browser, to first figures (median of 5)', opening, '2,500 ms'],
    [`one material's price changes: seen on the product screen (median of ${EDITS})`, price, '100 ms'],
    [`one quantity changes: seen on the product screen (median of ${EDITS})`, quantity, '100 ms'],
  ];
}

/** Opens an address and returns after how many milliseconds, counted inside the page, the cost of the product is there. */
async function open(page, address) {
  await page.goto('about:blank');
  await page.goto(address, { waitUntil: 'commit' });
  const there = await page.waitForFunction(() => {
    const figure = document.querySelector('section[aria-label="Cost card"] .figure');
    return /\d/.test(figure?.textContent ?? '') && performance.now();
  });
  return there.jsonValue();
}

/** Makes materials of the last product dearer, one change each, so that the changes can be taken back while it is looked at. */
async function withDearerMaterials(server, id, cookie) {
  const snapshot = await (await fetch(`${server}/api/books/${id}`, { headers: { cookie } })).json();
  const rows = rowsOfColumns(snapshot.rows);
  const product = rows.product.at(-1).id;
  const materials = rows.billLine.filter((line) => line.productId === product).map(({ materialId }) => materialId);
  const prices = rows.supplierPrice.filter(({ materialId }) => materials.includes(materialId)).slice(0, EDITS);
  for (const { id: priceId, price } of prices) {
    const edit = { action: 'update', kind: 'supplierPrice', id: priceId };
    const operations = [{ ...edit, before: { price }, after: { price: `9${price}` } }];
    const answer = await fetch(`${server}/api/books/${id}/changes`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', cookie },
      body: JSON.stringify({ id: randomUUID(), operations }),
    });
    if (!answer.ok) throw new Error(await answer.text());
  }
  return product;
}

/** Takes a change of a price back by its keys and waits, inside the page, until the cost card shows another figure. */
function taken(page) {
  return page.evaluate(async () => {
    const figure = () => document.querySelector('section[aria-label="Cost card"] .figure')?.textContent;
    const before = figure();
    const begun = performance.now();
    document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 'z', ctrlKey: true, bubbles: true }));
    while (figure() === before) await new Promise((done) => requestAnimationFrame(done));
    return performance.now() - begun;
  });
}

/** Types another quantity of a material and waits, inside the page, until the cost card shows another figure. */
function rippled(page, run) {
  return page.evaluate(
    async (quantity) => {
      const figure = () => document.querySelector('section[aria-label="Cost card"] .figure')?.textContent;
      const input = document.querySelector('[data-column="quantity"] input');
      const before = figure();
      input.focus();
      Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(input, String(quantity));
      input.dispatchEvent(new Event('input', { bubbles: true }));
      const begun = performance.now();
      input.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
      while (figure() === before) await new Promise((done) => requestAnimationFrame(done));
      return performance.now() - begun;
    },
    1000 + run * 500,
  );
}

/** A book of nothing but many materials, each with a price; returns its id. */
async function longList(server, id, cookie) {
  const file = await (await fetch(`${server}/api/books/${id}/file`, { headers: { cookie } })).json();
  const [material] = file.rows.material;
  const price = file.rows.supplierPrice.find(({ materialId }) => materialId === material.id);
  const ids = Array.from({ length: LONG_LIST }, () => newId());
  const rows = {
    settings: file.rows.settings,
    supplier: file.rows.supplier,
    material: ids.map((each, at) => ({ ...material, id: each, name: `Material ${at}`, code: '' })),
    supplierPrice: ids.map((each, at) => ({ ...price, id: newId(), materialId: each, price: `${1 + (at % 90)}.50` })),
  };
  const answer = await fetch(`${server}/api/book-files`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', cookie },
    body: JSON.stringify({ ...file, rows }),
  });
  if (!answer.ok) throw new Error(await answer.text());
  return (await answer.json()).id;
}

/**
 * Turns the wheel fast over a long list, down and back up, and counts inside the page how long frames take and in how
 * many rows the figure is missing. `prepare` brings the page to the list, where the address alone does not.
 */
async function scrolled(page, address, prepare = () => undefined) {
  await page.goto(address);
  await prepare();
  // A product without a price has no figure: any of the others will do.
  await page.waitForFunction(() =>
    [...document.querySelectorAll('tbody .figure')].some(({ textContent }) => /\d/.test(textContent ?? '')),
  );
  await page.waitForTimeout(3000);
  await page.evaluate(() => {
    const seen = { times: [], rows: 0, missing: 0, isOver: false };
    const top = document.querySelector('[data-grid]').parentElement.getBoundingClientRect().top + 40;
    let before = performance.now();
    const look = (now) => {
      seen.times.push(now - before);
      before = now;
      const inSight = [...document.querySelectorAll('tbody tr[data-grid-row]:not([data-new-row])')].filter((row) => {
        const box = row.getBoundingClientRect();
        return box.bottom > top && box.top < globalThis.innerHeight - 20;
      });
      seen.rows += inSight.length;
      seen.missing += inSight.filter((row) => !/\d/.test(row.querySelector('.figure')?.textContent ?? '')).length;
      if (!seen.isOver) requestAnimationFrame(look);
    };
    requestAnimationFrame(look);
    globalThis.seen = seen;
  });
  await page.mouse.move(500, 500);
  for (let turn = 0; turn < 120; turn += 1) {
    await page.mouse.wheel(0, turn < 80 ? WHEEL : -WHEEL);
    await page.waitForTimeout(16);
  }
  return page.evaluate(() => {
    const { times, rows, missing } = Object.assign(globalThis.seen, { isOver: true });
    const sorted = times.slice(2).sort((one, other) => one - other);
    const at = (share) => sorted[Math.floor(sorted.length * share)];
    return { p95: at(0.95), median: at(0.5), missing: (100 * missing) / rows };
  });
}

/** The scripts that the sign-in screen loads, gzipped. */
async function firstScripts(page, server) {
  const names = [];
  page.on('response', (response) => {
    if (response.url().endsWith('.js')) names.push(new URL(response.url()).pathname.split('/').at(-1));
  });
  await page.goto(`${server}/sign-in`);
  await page.waitForLoadState('networkidle');
  const folder = join(ROOT, 'apps/web/dist/assets');
  const loaded = readdirSync(folder).filter((file) => names.includes(file));
  const bytes = loaded.reduce((sum, file) => sum + gzipSync(readFileSync(join(folder, file))).length, 0);
  page.removeAllListeners('response');
  return { files: loaded.length, kilobytes: bytes / 1000 };
}

/** A book with one mix plan, of typed products that each take a tenth of the resources; returns its id and that of the plan. */
async function mixBook(server, cookie, { products, resources }) {
  const planId = newId();
  const lines = Array.from({ length: products }, (_each, position) => ({
    ...{ id: newId(), planId, position, name: `Product ${position}`, quantity: '10', maximum: '50' },
    contribution: String(5 + (position % 17)),
    ...{ revenue: '40', variableCost: String(35 - (position % 17)) },
  }));
  const short = Array.from({ length: resources }, (_each, position) => ({
    ...{ id: newId(), planId, position, name: `Resource ${position}`, unit: 'h', available: String(products) },
  }));
  const mixUse = lines.flatMap((line, at) =>
    short
      .filter((_resource, place) => (at * 7 + place * 3) % 10 === 0)
      .map((resource) => ({ id: newId(), mixProductId: line.id, resourceId: resource.id, perUnit: '0.75' })),
  );
  const rows = { mixPlan: [{ id: planId, name: 'Bench' }], mixProduct: lines, mixResource: short, mixUse };
  const settings = [{ id: newId(), name: `Mix of ${products}` }];
  const answer = await fetch(`${server}/api/book-files`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', cookie },
    body: JSON.stringify({ format: 'nuvar-book', version: BOOK_FILE_VERSION, rows: { settings, ...rows } }),
  });
  if (!answer.ok) throw new Error(await answer.text());
  return { id: (await answer.json()).id, planId };
}

/** Drags the quantity of a product of such a plan, step by step, and waits each time, inside the page, until the goal shows it. */
async function draggedQuantity(page, server, cookie, size) {
  const { id, planId } = await mixBook(server, cookie, size);
  await page.goto(`${server}/books/${id}/plan/mix/${planId}`);
  await page.getByRole('slider').nth(3).waitFor();
  await page.waitForTimeout(5000);
  return median(DRAGS, (run) =>
    page.evaluate(async (quantity) => {
      const goal = () => document.querySelector('section[aria-label="Bench"] .figure')?.textContent;
      const slider = document.querySelectorAll('input[type=range]')[3];
      const before = goal();
      const begun = performance.now();
      Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(slider, String(quantity));
      slider.dispatchEvent(new Event('input', { bubbles: true }));
      while (goal() === before) await new Promise((done) => requestAnimationFrame(done));
      return performance.now() - begun;
    }, 11 + run),
  );
}
