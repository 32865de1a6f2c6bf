import { chanceText } from '@puntada/core/words';

/** Whether the yarn lasts: never by colour alone. */
export function Lasts({ chance, sure }: { chance: number | undefined; sure: number }) {
  if (chance === undefined) return <span className="text-soft">not known</span>;
  const good = chance >= sure;
  return (
    <span className={good ? 'text-verdigris' : 'text-brick'}>
      <span aria-hidden>{good ? '✓ ' : '✕ '}</span>
      {chanceText(chance)}
    </span>
  );
}
