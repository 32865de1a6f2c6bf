import { useNavigate } from 'react-router';
import { usePutBackRecordMutation, useRemovePatternMutation } from '../api/records.ts';
import { offerUndo } from './undoOffer.ts';

/** Deletes a pattern of one's own into the bin, leads to the book, and offers to put it back there. */
export function usePatternDeletion() {
  const navigate = useNavigate();
  const [remove, removing] = useRemovePatternMutation();
  const [putBack] = usePutBackRecordMutation();
  const discard = async (id: string, name: string) => {
    const gone = await remove(id);
    if ('error' in gone && gone.error) return;
    navigate('/book');
    offerUndo({ did: `${name} is deleted.`, undo: () => putBack({ kind: 'pattern', id }), on: '/book' });
  };
  return { discard, removing };
}
