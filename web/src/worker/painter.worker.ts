import type { Terms } from '@puntada/core';
import { expose, transfer } from 'comlink';
import type { Work } from '../api/api.ts';
import { paintSample, type SampleRequest } from '../parts/cloth/paintSample.ts';
import { paintStrip, type StripLook } from '../parts/cloth/paintStrip.ts';
import { nextStep } from '../parts/nextStep.ts';
import { workCloth } from '../parts/workCloth.ts';

/** A work on the bench: its strip, and what is to be done next. */
export interface Strip {
  readonly picture: ImageBitmap;
  readonly courses: number;
  readonly next: string;
}

type StripRequest = Omit<StripLook, 'shades' | 'proportion'>;

/** Lays the cloth of a work and paints its strip; nothing where no size of its wish can be laid. */
function strip(work: Work, look: StripRequest, terms: Terms): Strip | undefined {
  const cloth = workCloth(work);
  if (!cloth) return undefined;
  const { fabric, shades, proportion } = cloth;
  const picture = paintStrip(fabric, { ...look, shades, proportion }).transferToImageBitmap();
  return transfer({ picture, courses: fabric.courses, next: nextStep(work, cloth, terms) }, [picture]);
}

/** A piece of a pattern, painted. */
function sample(request: SampleRequest): ImageBitmap | undefined {
  const picture = paintSample(request)?.transferToImageBitmap();
  return picture && transfer(picture, [picture]);
}

const painter = { strip, sample };
export type Painter = typeof painter;
expose(painter);
