import { type LastingOn, setSaid, shortText } from '@puntada/core/words';
import { isShort, type Lasting } from '@puntada/core/work';
import { Link } from 'react-router';

interface Props {
  readonly workId: string;
  readonly told: readonly Lasting[];
  readonly sure: number;
  readonly on: LastingOn;
}

/** Whether the yarn of a work lasts, in a few words; nothing where it is not known what there is. */
export function LastingWords({ workId, told, sure, on }: Props) {
  if (!told.length) return null;
  const short = told.filter((each) => isShort(each, { sure }));
  if (!short.length) {
    return (
      <span className="text-verdigris">
        ✓ {told.map(({ letter }) => letter).join(' and ')} {told.length === 1 ? 'lasts' : 'last'}
        {told.some(({ ofSet }) => ofSet) ? setSaid.forWholeSet : ''}
      </span>
    );
  }
  return (
    <Link
      to={`/works/${workId}/${short.some(({ ofSet }) => ofSet) ? 'set' : 'log'}`}
      className="inline-flex min-h-11 items-center text-brick sm:min-h-6"
    >
      <span aria-hidden className="pr-1.5">
        ✕
      </span>
      {shortText(short, on)}
    </Link>
  );
}
