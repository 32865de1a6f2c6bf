import type { Printed } from '@puntada/core/craft';
import { Figure, plain } from './Figure.tsx';

/** A figure with its name before it, a line of a list of them. */
export function TermLine({ term, value }: { term: string; value: string | Pick<Printed, 'text' | 'typical'> }) {
  return (
    <div className="flex items-baseline justify-between gap-3 border-b border-rule py-1.5">
      <dt className="text-soft">{term}</dt>
      <dd className="text-right">
        <Figure of={typeof value === 'string' ? plain(value) : value} />
      </dd>
    </div>
  );
}
