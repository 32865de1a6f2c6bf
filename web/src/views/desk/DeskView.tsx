import { type Drawing, findPattern, wheelOf } from '@puntada/core/craft';
import type { StoredPattern } from '@puntada/core/records';
import { deskSaid } from '@puntada/core/words';
import { useMemo } from 'react';
import { useParams } from 'react-router';
import { problemsOf } from '../../api/api.ts';
import { usePatternsQuery } from '../../api/records.ts';
import { Missing } from '../../app/Missing.tsx';
import { Head } from '../../app/Shell.tsx';
import { ButtonLink } from '../../parts/Button.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { Waiting } from '../../parts/Waiting.tsx';
import { Desk } from './Desk.tsx';
import { NewPattern } from './NewPattern.tsx';
import { drawnFrom } from './useDesk.ts';
import { WheelDesk } from './WheelDesk.tsx';
import { WrittenOnly } from './WrittenOnly.tsx';

/** The chart desk: a new pattern, or one of the maker's own. */
export default function DeskView() {
  const { id } = useParams();
  const { data, error } = usePatternsQuery();
  if (!id) return <NewPattern />;
  if (!data) {
    return (
      <>
        <Head title="Chart desk" />
        <main id="main" className="p-6">
          {error ? <Problems problems={problemsOf(error)} /> : <Waiting words="Opening the pattern…" />}
        </main>
      </>
    );
  }
  const stored = data.find((each) => each.id === id);
  if (!stored) {
    return (
      <Missing what={deskSaid.thereNoSuchPattern}>
        <ButtonLink to="/book">{deskSaid.openPatternBook}</ButtonLink>
      </Missing>
    );
  }
  return <Opened key={id} stored={stored} />;
}

function Opened({ stored }: { stored: StoredPattern }) {
  // What it was when it was opened: what is drawn meanwhile is newer than what comes back from the server.
  const { id } = stored;
  // biome-ignore lint/correctness/useExhaustiveDependencies: once for each pattern
  const first = useMemo(() => drawnFrom(stored.pattern), [id]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: once for each pattern
  const wheel = useMemo(() => {
    const found = findPattern(stored.pattern.text);
    return found.ok ? wheelOf(found.value) : found;
  }, [id]);
  if (!first.ok && wheel.ok) return <WheelDesk stored={stored} first={wheel.value} />;
  if (!first.ok) return <WrittenOnly stored={stored} />;
  return <Desk stored={stored} first={first.value as Drawing} />;
}
