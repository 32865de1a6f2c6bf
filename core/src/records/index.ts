export {
  type Acknowledged,
  acknowledgedSchema,
  type BinKind,
  type Binned,
  binKinds,
  binSchema,
  type ChangedSwatch,
  type Copy,
  changedSwatchSchema,
  copiesSchema,
  type DraftWish,
  draftSchema,
  draftsSchema,
  drawerSchema,
  formerPlansSchema,
  type Job,
  jobSchema,
  type LogSteps,
  type LookedInto,
  lastTimesIn,
  lookedIntoSchema,
  type MovedPlan,
  ownPaceSchema,
  patternsSchema,
  preferencesAnswerSchema,
  type Schedule,
  type StoredPattern,
  type StoredSwatch,
  type StoredYarn,
  scheduleSchema,
  storedPatternSchema,
  storedSwatchSchema,
  storedYarnSchema,
  swatchesSchema,
  type TakenOver,
  type ToldLog,
  takenOverSchema,
  ticksInLog,
  type Unread,
  type UnreadDocument,
  unreadSchema,
  type Work,
  type WorkLog,
  type WorkSummary,
  weighingsSchema,
  workLogSchema,
  workSchema,
  workSummariesSchema,
} from './answers.ts';
export {
  type ArchiveHead,
  type ArchiveLine,
  archiveContentsSchema,
  archiveFiles,
  archiveLineSchema,
  archiveRecord,
  ticksOnLine,
} from './archive.ts';
export { backupRecord, type Contents, contentsSchema, setNewerApart, weekSchema } from './backup.ts';
export { type FrozenWork, frozenRecord } from './begun.ts';
export { draftLabel, draftRecord } from './draft.ts';
export { type DrawerYarn, drawerYarnRecord, drawerYarnSchema } from './drawerYarn.ts';
export { type FormerPlan, handoverRecord, type KeptWork, keptWorkSchema, type UnreadWork } from './keptWork.ts';
export {
  type LabelKind,
  type LabelPrinterState,
  type LabelWish,
  labelKinds,
  labelPrinterSchema,
  labelWishSchema,
  markPictureSchema,
  printerHandSchema,
  type Strip,
  stripDots,
  stripRows,
  stripSchema,
} from './label.ts';
export {
  entryLabel,
  type LogEntry,
  logEntryRecord,
  type Measuring,
  marksIn,
  pausesIn,
  photoLetters,
  type SessionMarks,
  smallLetters,
  type Weighing,
  weighingsIn,
} from './logEntry.ts';
export { type OwnPattern, ownPatternLabel, ownPatternRecord } from './ownPattern.ts';
export { patternLabel, patternSchema, readPatternJson } from './pattern.ts';
export { type PlanDocument, type PrintedWorking, planDocumentSchema } from './planDocument.ts';
export {
  type Preferences,
  preferencesRecord,
  preferencesSchema,
  toldUnitOf,
  usualPreferences,
} from './preferences.ts';
export { readJson, readShape } from './readJson.ts';
export { anyVersion } from './record.ts';
export { type RestKind, restKinds } from './restKind.ts';
export { type ScaleReading, scaleReadingSchema } from './scaleReading.ts';
export { leastSide, type Swatch, type SwatchCount, swatchRecord, swatchSchema } from './swatch.ts';
export { tickSchema } from './tick.ts';
export {
  borderPatternKeys,
  type Item,
  lengthReads,
  outsideSchema,
  type Wish,
  type WishInput,
  wishRecord,
  wishSchema,
  withUnitsTyped,
  yarnSchema,
} from './wish.ts';
