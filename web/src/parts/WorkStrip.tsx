import { useEffect, useRef, useState } from 'react';
import { usePreferences, type Work } from '../api/api.ts';
import { painter } from '../worker/painter.ts';
import type { Strip } from '../worker/painter.worker.ts';
import { useWidth } from './useWidth.ts';

const height = 84;

/** The strip of a work and what is to be done next, from the worker; nothing while it is painted. */
export function useStrip(work: Work | undefined, width: number): Strip | undefined {
  const { hand, terms } = usePreferences();
  const [strip, setStrip] = useState<Strip>();
  useEffect(() => {
    if (!work || width <= 0) return;
    let current = true;
    const dpr = window.devicePixelRatio || 1;
    const look = { hand, rowsWorked: work.progress.rows, width, height, dpr };
    void painter.strip(work, look, terms).then((found) => {
      if (current) setStrip(found);
    });
    return () => {
      current = false;
    };
  }, [work, width, hand, terms]);
  return strip;
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
