import { ToggleGroup } from 'radix-ui';
import type { ReactNode } from 'react';
import { arrowsAtOnce } from './arrowsAtOnce.ts';

interface Option<T extends string> {
  readonly value: T;
  readonly words: ReactNode;
}

interface Props<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly Option<T>[];
  readonly onChange: (value: T) => void;
  readonly small?: boolean;
  /** What stands over it, for those who see it; its label says it to the others. */
  readonly above?: string;
}

/** One of a few: all of them in sight, the chosen one told by ink, weight and a line under it. */
export function Choice<T extends string>({ label, value, options, onChange, small = false, above }: Props<T>) {
  const choice = (
    <ToggleGroup.Root
      onKeyDownCapture={arrowsAtOnce}
      type="single"
      aria-label={label}
      value={value}
      onValueChange={(next) => next && onChange(next as T)}
      className="inline-flex flex-wrap pt-px pl-px"
    >
      {options.map((option) => (
        <ToggleGroup.Item
          key={option.value}
          value={option.value}
          className={`-mt-px -ml-px min-h-11 min-w-11 border border-edge bg-paper px-3 first:rounded-l-md last:rounded-r-md hover:bg-sheet data-[state=on]:relative data-[state=on]:border-ink data-[state=on]:font-semibold data-[state=on]:shadow-[inset_0_-4px_0_var(--color-ink)] ${small ? 'text-[14px]' : 'text-[16px]'}`}
        >
          {option.words}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
  if (above === undefined) return choice;
  return (
    <div>
      <p aria-hidden className="label">
        {above}
      </p>
      {choice}
    </div>
  );
}
