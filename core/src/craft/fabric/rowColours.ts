/** One row of a cloth as far as its colours go. */
export interface RowColours {
  /** The colours across one whole width, as they lie. */
  readonly colours: string;
  /** A row that closes the cloth is a band of its own. */
  readonly closes: boolean;
}
