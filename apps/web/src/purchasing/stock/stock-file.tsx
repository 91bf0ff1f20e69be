export function StockFile() {
  return null;
}
