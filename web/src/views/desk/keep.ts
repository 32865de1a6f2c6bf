import type { StitchPattern } from '@puntada/core/craft';

/** Keeps a new pattern among the maker's own, and opens it. */
export type Keep = (pattern: StitchPattern, note?: string) => Promise<void>;
