/**
 * What a spreadsheet would take for a formula, also in the full-width letters that some of them read as the plain ones; a
 * number with a minus is none.
 */
export const LIKE_A_FORMULA = /^[=+@\t\r＝＋＠]|^[-－](?!\d+(\.\d+)?$)/;
