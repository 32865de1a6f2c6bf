import type { Sequence, WorkStep } from '@puntada/core/plan';
import type { Work } from '@puntada/core/records';
import { useMemo } from 'react';
import { FinishDrawing } from '../../parts/finish/FinishDrawing.tsx';
import { stepsOfOne } from '../../parts/finish/layout.ts';
import type { WorkCloth } from '../../parts/useWorkCloth.ts';
import { usePlanDocument } from '../../worker/usePlanDocument.ts';

/** What is done somewhere on the cloth. */
const placed: readonly string[] = ['closing', 'border', 'envelope', 'mouth', 'seam', 'strap', 'ring', 'ends'];

interface Props {
  readonly work: Work;
  readonly cloth: WorkCloth;
  readonly sequence: Sequence;
  readonly step: WorkStep;
  /** Its part in hand, from 0. */
  readonly at: number;
}

/** The piece laid out, with the place of the step in hand. */
export default function StepPlace({ work, cloth, sequence, step, at }: Props) {
  const { wish, begun } = work;
  const { document } = usePlanDocument(useMemo(() => ({ wish, begun }), [wish, begun]));
  const steps = useMemo(() => stepsOfOne(sequence), [sequence]);
  if (!document || !placed.includes(step.code)) return null;
  return (
    <FinishDrawing document={document} wish={wish} cloth={cloth} steps={steps} shown={step.code} now={{ step, at }} />
  );
}
