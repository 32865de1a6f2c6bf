/** A gauge as somebody wrote it, in the fields of a wish that was counted. */
export interface WrittenGauge {
  readonly stitches: { readonly count: number; readonly over: string };
  readonly rows: { readonly count: number; readonly over: string };
}

const number = String.raw`(\d+(?:[.,]\d+)?)`;
const stitches = new RegExp(
  `${number}\\s*(?:sts?|stitches|sc|dc|hdc|htr|tr|blocks|clusters|windows)\\b(?!\\s*(?:in|into)\\b)`,
  'i',
);
const rows = new RegExp(`${number}\\s*(?:rows?|rnds?|rounds?)\\b`, 'i');
const over = new RegExp(`(?:=|to|over|per|in|for)\\s*(?:a\\s+)?${number}\\s*(cm|mm|in(?:ch(?:es)?)?\\b|["”″])`, 'i');
const word = /\b(?:gauge|tension|swatch)\b/i;

/**
 * Reads `Gauge: 16 sts and 18 rows = 10 cm` and its kin, by its numbers of stitches and rows and the length they are counted
 * over. Nothing where one of the three is missing, or where nothing says that it is a gauge.
 */
export function readGauge(text: string): WrittenGauge | undefined {
  const [across, up, length] = [stitches.exec(text), rows.exec(text), over.exec(text)];
  if (!across || !up || !length || !(word.test(text) || /=|\bto\b|\bover\b|\bper\b/i.test(text))) return undefined;
  const plain = (digits: string | undefined) => Number(String(digits).replace(',', '.'));
  const [acrossCount, upCount, span] = [plain(across[1]), plain(up[1]), plain(length[1])];
  if (!(acrossCount > 0 && upCount > 0 && span > 0)) return undefined;
  const unit = /^(cm|mm)$/i.test(length[2] ?? '') ? (length[2] as string).toLowerCase() : 'in';
  return {
    stitches: { count: acrossCount, over: `${span} ${unit}` },
    rows: { count: upCount, over: `${span} ${unit}` },
  };
}
