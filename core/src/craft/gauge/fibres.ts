/** What yarn is spun of. */
export const fibres = [
  'cotton',
  'linen',
  'hemp',
  'wool',
  'superwash',
  'alpaca',
  'silk',
  'bamboo',
  'acrylic',
  'polyester',
  'nylon',
] as const;
export type Fibre = (typeof fibres)[number];

/** The fibres that the typical table has metres for. */
export type TabledFibre = 'cotton' | 'acrylic' | 'wool';

interface FibreFacts {
  readonly name: string;
  /** As dense as this one, so that its typical metres stand for it. */
  readonly like: TabledFibre;
  /** Melts on a hot pan. */
  readonly melts: boolean;
}

/** docs/craft.md, “Fibres”. */
export const fibreFacts: Readonly<Record<Fibre, FibreFacts>> = {
  cotton: { name: 'cotton', like: 'cotton', melts: false },
  linen: { name: 'linen', like: 'cotton', melts: false },
  hemp: { name: 'hemp', like: 'cotton', melts: false },
  wool: { name: 'wool', like: 'wool', melts: false },
  superwash: { name: 'superwash wool', like: 'wool', melts: false },
  alpaca: { name: 'alpaca', like: 'wool', melts: false },
  silk: { name: 'silk', like: 'cotton', melts: false },
  bamboo: { name: 'bamboo or viscose', like: 'cotton', melts: false },
  acrylic: { name: 'acrylic', like: 'acrylic', melts: true },
  polyester: { name: 'polyester', like: 'acrylic', melts: true },
  nylon: { name: 'nylon', like: 'acrylic', melts: true },
};

/** One fibre of a blend. */
export interface FibrePart {
  readonly fibre: Fibre;
  /** Of the whole yarn, 0 to 100. */
  readonly percent: number;
}

/** A yarn as far as heat goes: its main fibre, and what it is blended of where the label tells. */
interface Spun {
  readonly fibre: Fibre;
  readonly blend?: readonly FibrePart[] | undefined;
}

/** A yarn with so much or more that melts is treated as one that melts, percent. */
export const meltsFrom = 20;

/** How much of a yarn melts, percent. */
export function meltingPart({ fibre, blend }: Spun): number {
  if (!blend?.length) return fibreFacts[fibre].melts ? 100 : 0;
  return blend.reduce((sum, part) => sum + (fibreFacts[part.fibre].melts ? part.percent : 0), 0);
}

/** Whether a yarn is treated as one that melts. */
export function melts(yarn: Spun): boolean {
  return meltingPart(yarn) >= meltsFrom;
}

/**
 * What a label says of a blend: `60 cotton, 40 acrylic`, with or without `%`. `readBlend(fibreWords(b))` is `b` again.
 * @returns nothing where a part has no percent or is no fibre that is known
 */
export function readBlend(text: string): FibrePart[] | undefined {
  const parts = text.split(/[,;/+]/).map((part) => /^\s*(\d+(?:\.\d+)?)\s*%?\s*(.+?)\s*$/.exec(part));
  const read = parts.map((part) => {
    const name = part?.[2]?.toLowerCase();
    const fibre = fibres.find((each) => each === name || fibreFacts[each].name === name);
    return fibre ? { fibre, percent: Number(part?.[1]) } : undefined;
  });
  return read.every((part) => part !== undefined) ? read : undefined;
}

/** The fibre that a blend has most of: its metres stand for those of the whole. */
export function mainFibre(blend: readonly FibrePart[]): Fibre {
  return [...blend].sort((a, b) => b.percent - a.percent)[0]?.fibre ?? 'cotton';
}

/** `70 % cotton, 30 % acrylic`, or the one fibre. */
export function fibreWords({ fibre, blend }: Spun): string {
  if (!blend?.length) return fibreFacts[fibre].name;
  return blend.map((part) => `${part.percent} % ${fibreFacts[part.fibre].name}`).join(', ');
}
