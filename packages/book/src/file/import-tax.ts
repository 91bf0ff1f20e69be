type Rows = Readonly<Record<string, readonly Readonly<Record<string, unknown>>[]>>;

/**
 * Customs profiles of format 9 said of import tax whether it is recovered. It is now recovered as other tax on purchases is,
 * but where it was a cost.
 */
export function withImportTax(rows: Rows): Rows {
  const profiles = (rows.customsProfile ?? []).map(({ importTaxRecovered, ...profile }) => ({
    ...profile,
    ...(importTaxRecovered === undefined
      ? {}
      : { importTax: importTaxRecovered === false ? 'cost' : 'by registration' }),
  }));
  return { ...rows, customsProfile: profiles };
}
