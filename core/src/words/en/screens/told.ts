/** What stands in a gap of a sentence: a number or name as it is printed. */
export type Told = string | number;
