/** What the database says of a page, or of an index, that does not hold together. */
const damaged = ['XX001', 'XX002'];

/** What the database, and the file system, say where nothing more goes onto the disk. */
const full = ['53100', 'ENOSPC', 'EDQUOT'];

/** The problem that an error of the disk or of the database is to the maker; nothing where it is none of these. */
export function faultCodeOf(error: unknown): 'disk-full' | 'data-damaged' | undefined {
  const code = (error as { readonly code?: unknown } | undefined)?.code;
  if (typeof code !== 'string') return undefined;
  if (full.includes(code)) return 'disk-full';
  return damaged.includes(code) ? 'data-damaged' : undefined;
}
