import { Figure } from './Figure.tsx';

/** A figure with its name before it, a line of a list of them. */
export function TermLine({ term, value }: { term: string; value: string }) {
  return (
    <div className="flex items-baseline justify-between gap-3 border-b border-rule py-1.5">
      <dt className="text-soft">{term}</dt>
      <dd className="text-right">
        <Figure text={value} />
      </dd>
    </div>
  );
}
