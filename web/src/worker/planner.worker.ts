import '../parts/decimals.ts';
import { coloursOfPicture } from '@puntada/core/craft';
import { mendsFor, studyDrawing } from '@puntada/core/plan';
import { readWritten } from '@puntada/core/words';
import { lastingOfSet, planFigures, setWays, swatchGauge, withSwatch } from '@puntada/core/work';
import { expose } from 'comlink';
import { bookFacts, comparePatterns, oneRepeat, strips } from './ofPatterns.ts';
import { endsOf, figuresOfWork, label, largestOf, measureSizes, planWhole } from './ofSizes.ts';
import { planFile } from './planFile.ts';
import { preview } from './preview.ts';
import { swatchReadings, swatchWork } from './swatchWork.ts';
import { lastingOf, onward, setPart, timesOfWork, workCosts } from './underway.ts';

/** What the pages ask: each answer stands in the file that it is named after. */
const planner = {
  readWritten,
  coloursOfPicture,
  studyDrawing,
  mendsFor,
  onward,
  planFigures,
  workCosts,
  timesOfWork,
  setPart,
  swatchGauge,
  swatchReadings,
  swatchWork,
  withSwatch,
  lasting: lastingOf,
  lastingOfSet,
  setWays,
  bookFacts,
  oneRepeat,
  preview,
  strips,
  measureSizes,
  endsOf,
  figuresOfWork,
  label,
  planWhole,
  planFile,
  largestOf,
  comparePatterns,
};
export type Planner = typeof planner;
expose(planner);
