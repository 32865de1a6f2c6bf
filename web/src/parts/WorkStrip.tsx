import type { Work } from '@puntada/core/records';
import { useEffect, useMemo, useRef } from 'react';
import { usePreferences } from '../api/api.ts';
import { painter } from '../worker/painter.ts';
import type { Strip } from '../worker/painter.worker.ts';
import { useAnswer } from '../worker/useAnswer.ts';
import { useWidth } from './useWidth.ts';

const height = 84;

/** The strip of a work and what is to be done next, from the worker; nothing while it is painted. */
export function useStrip(work: Work | undefined, width: number): Strip | undefined {
  const { hand, terms } = usePreferences();
  const ask = useMemo(() => {
    if (!work || width <= 0) return undefined;
    const look = { hand, rowsWorked: work.progress.rows, width, height, dpr: window.devicePixelRatio || 1 };
    return () => painter.strip(work, look, terms);
  }, [work, width, hand, terms]);
  return useAnswer(ask);
}

/** A work as a strip of its own cloth. @param onWidth is told how much room there is */
export function WorkStrip({
  strip,
  label,
  onWidth,
}: {
  strip: Strip | undefined;
  label: string;
  onWidth: (width: number) => void;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [box, width] = useWidth<HTMLDivElement>();
  useEffect(() => onWidth(width), [width, onWidth]);
  useEffect(() => {
    const element = canvas.current;
    const ctx = element?.getContext('2d');
    if (!element || !ctx || !strip) return;
    const { picture } = strip;
    element.width = picture.width;
    element.height = picture.height;
    element.style.width = `${(picture.width * height) / picture.height}px`;
    ctx.drawImage(picture, 0, 0);
  }, [strip]);
  return (
    <div ref={box} className="min-w-0 overflow-hidden" style={{ height }}>
      <canvas ref={canvas} role="img" aria-label={label} style={{ height }} className="block" />
    </div>
  );
}
