/** Commas between thousands, as 12,500 is written, taken out; any other comma stays, and is no number. */
export const withoutThousands = (text: string): string =>
  text.replace(/(?<![\d.,])\d{1,3}(?:,\d{3})+(?![\d,])/g, (digits) => digits.replaceAll(',', ''));

/** A plain decimal number with or without commas between its thousands; undefined for anything else, 1,5 and 1e3 among it. */
export function parseNumber(text: string): number | undefined {
  const plain = withoutThousands(text.trim());
  return /^[-+]?(?:\d+\.?\d*|\.\d+)$/.test(plain) ? Number(plain) : undefined;
}
