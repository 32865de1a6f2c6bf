/** How far something that takes long is, and whether it is to go on. */
export interface Watch {
  /** @param of 0 where it is not known beforehand */
  readonly progress?: ((done: number, of: number) => void) | undefined;
  readonly signal?: AbortSignal | undefined;
}
