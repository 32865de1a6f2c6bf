import type { PointerEvent } from 'react';

interface EdgeProps {
  readonly label: string;
  readonly text: string;
  readonly orientation: 'horizontal' | 'vertical';
  readonly index: number;
  readonly count: number;
  readonly x: number;
  readonly y: number;
  readonly onDrag: (x: number, y: number) => void;
}

/** A free edge of the cloth as a slider of its notches. */
export function Edge({ label, text, orientation, index, count, x, y, onDrag }: EdgeProps) {
  const across = orientation === 'horizontal';
  const drag = (event: PointerEvent<HTMLDivElement>) => {
    if (!event.currentTarget.hasPointerCapture(event.pointerId)) return;
    const parent = event.currentTarget.parentElement?.getBoundingClientRect();
    if (parent) onDrag(event.clientX - parent.left, event.clientY - parent.top);
  };
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-orientation={orientation}
      aria-valuemin={0}
      aria-valuemax={count - 1}
      aria-valuenow={index}
      aria-valuetext={text}
      onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
      onPointerMove={drag}
      className={`absolute flex touch-none items-center forced-color-adjust-none justify-center outline-offset-[-4px] focus-visible:outline-white ${across ? 'cursor-ew-resize' : 'cursor-ns-resize'}`}
      style={{
        left: x - (across ? 22 : 40),
        top: y - (across ? 40 : 22),
        width: across ? 44 : 80,
        height: across ? 80 : 44,
      }}
    >
      <span
        className={`rounded-full border border-mat bg-white shadow-[0_1px_4px_rgb(0_0_0/0.5)] ${across ? 'h-14 w-[7px]' : 'h-[7px] w-14'}`}
      />
    </div>
  );
}
