/** Something that is on its way from one page to the next: kept in memory alone, and taken once. */
function once<T>() {
  let held: T | undefined;
  return {
    put(value: T): void {
      held = value;
    },
    waits(): boolean {
      return held !== undefined;
    },
    take(): T | undefined {
      const value = held;
      held = undefined;
      return value;
    },
  };
}

/** A file that was dropped on the window. */
export const droppedFile = once<File>();

/** Written rows for the chart desk to read. */
export const writtenRows = once<string>();

/** A picture for the chart desk to make into stitches. */
export const pictureForDesk = once<File>();
