import { drawingOf, type StitchPattern } from '@puntada/core/craft';
import type { StoredPattern } from '@puntada/core/records';
import { bookSaid } from '@puntada/core/words';
import { useNavigate } from 'react-router';
import { problemsOf } from '../../api/api.ts';
import { useAddPatternMutation } from '../../api/records.ts';
import { Button, ButtonLink } from '../../parts/Button.tsx';
import { ownPattern } from '../../parts/ownPattern.ts';
import { Problems } from '../../parts/Problems.tsx';
import { usePatternDeletion } from '../../parts/usePatternDeletion.ts';

/** What is done with a pattern beside working it: the maker's own is changed, any is copied to be changed. */
export function OwnActs({ pattern, stored }: { pattern: StitchPattern; stored: StoredPattern | undefined }) {
  const navigate = useNavigate();
  const [add, adding] = useAddPatternMutation();
  const { discard, removing } = usePatternDeletion();
  const drawn = drawingOf(pattern);
  const copy = async () => {
    const id = crypto.randomUUID();
    const name = `${pattern.name}, my own`.slice(0, 80);
    const made = await add({ id, pattern: ownPattern(id, { ...pattern, name }, stored?.pattern.note) });
    if (made.data) navigate(`/desk/${id}`);
  };
  return (
    <>
      {stored ? <ButtonLink to={`/desk/${stored.id}`}>Change it</ButtonLink> : null}
      <Button onClick={() => void copy()} disabled={adding.isLoading}>
        {drawn.ok || stored ? bookSaid.makeCopyToChange : bookSaid.makeCopyToRewrite}
      </Button>
      {stored ? (
        <Button kind="quiet" onClick={() => void discard(stored.id, pattern.name)} disabled={removing.isLoading}>
          Delete
        </Button>
      ) : null}
      <Problems problems={problemsOf(adding.error ?? removing.error)} />
    </>
  );
}
