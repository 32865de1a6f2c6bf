export { type FrozenWork, frozenSchema } from './begun.ts';
export { type DrawerYarn, drawerYarnSchema } from './drawerYarn.ts';
export {
  type LogEntry,
  logEntrySchema,
  type Measuring,
  pausesIn,
  photoLetters,
  type Weighing,
  weighingsIn,
} from './logEntry.ts';
export { patternSchema, readPatternJson } from './pattern.ts';
export { type PlanDocument, planDocumentSchema } from './planDocument.ts';
export { type Preferences, preferencesSchema, usualPreferences } from './preferences.ts';
export { readJson, readShape } from './readJson.ts';
export { type ScaleReading, scaleReadingSchema } from './scaleReading.ts';
export { leastSide, type Swatch, type SwatchCount, swatchSchema } from './swatch.ts';
export { tickSchema } from './tick.ts';
export { type Item, lengthReads, outsideSchema, type Wish, type WishInput, wishSchema } from './wish.ts';
