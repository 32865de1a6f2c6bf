import '../parts/decimals.ts';
import { coursesFor, type Fabric, type LayRequest, must, techniqueOf } from '@puntada/core/craft';
import { lay, prepareWork, standingAt } from '@puntada/core/plan';
import type { Work } from '@puntada/core/records';
import { courseWord, type Terms } from '@puntada/core/words';
import { sequenceOfWork } from '@puntada/core/work';
import { expose, transfer } from 'comlink';
import type { ClothLook } from '../parts/cloth/clothLook.ts';
import { type CourseSpan, clothPicture } from '../parts/cloth/paintCloth.ts';
import { type FittedLook, paintBase, paintFitted } from '../parts/cloth/paintFitted.ts';
import { paintSample, type SampleRequest } from '../parts/cloth/paintSample.ts';
import { paintStrip, type StripLook } from '../parts/cloth/paintStrip.ts';
import { nextStep } from '../parts/nextStep.ts';
import { clothOfPiece, type WorkCloth, workCloth } from '../parts/workCloth.ts';

/** A work on the bench: its strip, and what is to be done next. */
export interface Strip {
  readonly picture: ImageBitmap;
  readonly courses: number;
  /** What a course is called: row, round or diagonal. */
  readonly word: string;
  readonly next: string;
  /** Rows of the cloth in hand that are worked. */
  readonly rows: number;
  /** Rows and steps that are left of the whole, once it is begun. */
  readonly left: number | undefined;
  /** Which cloth is in hand, where there are several. */
  readonly cloths: { readonly now: number; readonly of: number } | undefined;
}

type StripRequest = Omit<StripLook, 'shades' | 'proportion'>;

function handOver(canvas: OffscreenCanvas): ImageBitmap {
  const picture = canvas.transferToImageBitmap();
  return transfer(picture, [picture]);
}

/** Lays the cloth of a work; nothing where no size of its wish can be laid. */
function cloth(work: Work): WorkCloth | undefined {
  return workCloth(work);
}

/** Lays the cloth of a work and paints its strip; nothing where no size of its wish can be laid. */
function strip(work: Work, look: StripRequest, terms: Terms): Strip | undefined {
  const laid = workCloth(work);
  if (!laid) return undefined;
  const { shades, proportion } = laid;
  const prepared = work.begun ? prepareWork(work) : undefined;
  const sequence = prepared?.ok ? sequenceOfWork(prepared.value, laid) : undefined;
  const stands = sequence && standingAt(sequence, work.progress.rows);
  const rowsWorked = stands?.rows ?? look.rowsWorked;
  // Of a project whose rest was planned otherwise, that of the cloth in hand.
  const { fabric } = clothOfPiece(laid, stands?.piece ?? 0);
  const picture = paintStrip(fabric, { ...look, rowsWorked, shades, proportion }).transferToImageBitmap();
  return transfer(
    {
      picture,
      courses: fabric.courses,
      word: courseWord(fabric.making).toLowerCase(),
      next: nextStep(work, laid, terms, sequence),
      rows: rowsWorked,
      left: sequence ? sequence.units.length - work.progress.rows : undefined,
      cloths: sequence && stands && sequence.pieces > 1 ? { now: stands.piece + 1, of: sequence.pieces } : undefined,
    },
    [picture],
  );
}

/** A piece of a pattern, painted. */
function sample(request: SampleRequest): ImageBitmap | undefined {
  const canvas = paintSample(request);
  return canvas && handOver(canvas);
}

/** Courses of a fabric, painted. */
function courses(fabric: Fabric, look: ClothLook, span: CourseSpan): ImageBitmap {
  return handOver(clothPicture(fabric, look, span));
}

type MatRequest = Omit<LayRequest, 'courses'> & { readonly rows: number };

/** A cloth as it lies, and the circle on which its sides stand where it has one. */
export interface Lying {
  readonly picture: ImageBitmap;
  readonly base: ImageBitmap | undefined;
}

/** @param across px of the circle below, where there is one */
export type LyingLook = FittedLook & { readonly across: number };

/** A cloth of so many stitches and rows, laid and painted at the very size at which it will lie on the mat. */
function onMat({ rows, ...request }: MatRequest, look: LyingLook): Lying {
  const technique = must(techniqueOf(request.bound.pattern));
  const courses = coursesFor({ ...request, technique }, request.stitches, rows);
  return fitted(lay({ ...request, courses }), look);
}

/** A fabric, painted at the very size at which it will lie. */
function fitted(fabric: Fabric, look: LyingLook): Lying {
  const picture = paintFitted(fabric, look).transferToImageBitmap();
  const base = paintBase(fabric, look, look.across)?.transferToImageBitmap();
  return transfer({ picture, base }, base ? [picture, base] : [picture]);
}

const painter = { cloth, strip, sample, courses, onMat, fitted };
export type Painter = typeof painter;
expose(painter);
