/**
 * What was measured. `part` runs one part of the bench, prints its rows as they come, and returns what it returned; a part that
 * breaks off is named, and gives null. A part gives its rows, or an object with rows among other things.
 */
export function newReport() {
  const rows = [];
  const failed = [];
  return {
    async part(name, run) {
      try {
        const result = await run();
        for (const row of Array.isArray(result) ? result : result.rows) {
          rows.push(row);
          console.log(rowText(row));
        }
        return result;
      } catch (error) {
        failed.push(name);
        console.error(`${name} broke off: ${error instanceof Error ? error.message : String(error)}`);
        return null;
      }
    },
    table() {
      console.table(rows.map((row) => ({ what: row[0], measured: measured(row), 'to reach': row[2] })));
      if (failed.length > 0) console.log(`Not measured to the end: ${failed.join(', ')}.`);
    },
  };
}

const measured = ([, value, , unit = 'ms']) =>
  `${value < 100 ? value.toFixed(1) : Math.round(value).toLocaleString('en')} ${unit}`;

const rowText = (row) => `${row[0]}: ${measured(row)}${row[2] === '' ? '' : ` (to reach: ${row[2]})`}`;
