import {
  cutOut,
  type Drawing,
  flippedAcross,
  flippedUp,
  type Piece,
  type Region,
  tiled,
  turned,
} from '@puntada/core/craft';
import { deskSaid } from '@puntada/core/words';
import { Button } from '../../parts/Button.tsx';
import { replaced } from './deskTools.ts';

interface Props {
  readonly drawing: Drawing;
  readonly selection: Region | undefined;
  readonly onChange: (drawing: Drawing) => void;
  readonly onSelection: (region: Region | undefined) => void;
  readonly onCopy: () => void;
  readonly onPaste: (() => void) | undefined;
  readonly onClear: () => void;
}

/** What is done with what is selected. */
export function SelectActs({ drawing, selection, onChange, onSelection, onCopy, onPaste, onClear }: Props) {
  const put = (make: (piece: Piece) => Piece) => {
    if (!selection) return;
    const next = replaced(drawing, selection, make(cutOut(drawing, selection)));
    onChange(next.drawing);
    onSelection(next.region);
  };
  const none = selection === undefined;
  return (
    <div className="flex flex-wrap items-center gap-2">
      <Button onClick={onCopy} disabled={none} title="Ctrl C">
        Copy
      </Button>
      <Button onClick={onPaste} disabled={!onPaste} title="Ctrl V">
        Paste
      </Button>
      <Button onClick={() => put(flippedAcross)} disabled={none}>
        Flip across
      </Button>
      <Button onClick={() => put(flippedUp)} disabled={none}>
        Flip up
      </Button>
      <Button onClick={() => put(turned)} disabled={none}>
        Turn
      </Button>
      <Button
        onClick={() => selection && onChange(tiled(drawing, cutOut(drawing, selection), selection))}
        disabled={none}
      >
        Tile over all
      </Button>
      <Button onClick={onClear} disabled={none} title="Delete">
        Clear
      </Button>
      {none ? <p className="text-[15px] text-soft">{deskSaid.dragOverCellsOr}</p> : null}
    </div>
  );
}
