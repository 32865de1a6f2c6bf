import type { CSSProperties } from 'react';
import { onShade } from './cloth/shades.ts';

/** The style that gives a yarn's colour, texture and readable ink to whatever wears `yarnClass`. */
export function yarnStyle(shade: string): CSSProperties {
  return { '--shade': shade, '--on-shade': onShade(shade) } as CSSProperties;
}

export function yarnClass(letter: string): string {
  return `yarn yarn-${letter}`;
}

/** A yarn as its letter on its colour and texture. */
export function YarnChip({ letter, shade, size = 32 }: { letter: string; shade: string; size?: number }) {
  return (
    <span
      className={`${yarnClass(letter)} count inline-flex shrink-0 items-center justify-center rounded-sm border border-ink/25`}
      style={{ ...yarnStyle(shade), width: size, height: size, fontSize: size * 0.5 }}
    >
      {letter}
    </span>
  );
}
