/** Each two of some things, each two once, in their order. */
export function pairsOf<Thing>(all: readonly Thing[]): (readonly [one: Thing, other: Thing])[] {
  return all.flatMap((one, i) => all.slice(i + 1).map((other) => [one, other] as const));
}
