import {
  coloursRows,
  columnDeleted,
  columnInserted,
  groundOf,
  inRole,
  numberOrText,
  type Place,
  repeatOver,
  resized,
  rowInColour,
  rowInserted,
  rowsDeleted,
  techniqueNamed,
  widthOf,
  withColours,
} from '@puntada/core/craft';
import { deskSaid } from '@puntada/core/words';
import { useState } from 'react';
import { Button } from '../../parts/Button.tsx';
import { Choice } from '../../parts/Choice.tsx';
import { useCraftWords } from '../../parts/Craft.tsx';
import { SelectField } from '../../parts/SelectField.tsx';
import { TextField } from '../../parts/TextField.tsx';
import type { Desk } from './useDesk.ts';
import type { DeskProportion } from './useDeskProportion.ts';
import type { DeskShades } from './useDeskShades.ts';

interface Props {
  readonly desk: Desk;
  readonly cursor: Place;
  readonly shades: DeskShades;
  readonly cells: DeskProportion;
}

/** Name, yarns, size and repeat of a drawing; rows and columns where the cursor is. */
export function SizePanel({ desk, cursor, shades, cells }: Props) {
  const told = useCraftWords();
  const { drawing, change } = desk;
  const { before, unit, rows, colours } = drawing;
  const width = widthOf(drawing);
  const trait = techniqueNamed(drawing.technique);
  const row = rows[cursor.row];
  const settled = trait?.marks !== undefined && !coloursRows(drawing);
  const counted = trait?.mostColours ?? 8;
  return (
    <div className="grid gap-4">
      <TextField
        label="Name"
        value={drawing.name}
        onChange={(name) => change({ ...drawing, name: name.slice(0, 80) })}
      />
      <div className="grid grid-cols-2 gap-3">
        <CountField
          label="Cells wide"
          value={width}
          onCount={(n) => change(resized(drawing, n, rows.length, groundOf(drawing)))}
        />
        <CountField
          label="Rows"
          value={rows.length}
          onCount={(n) => change(resized(drawing, width, n, groundOf(drawing)))}
        />
        <CountField
          label={deskSaid.cellsBeforeRepeat}
          value={before}
          least={0}
          onCount={(n) => change(repeatOver(drawing, n, unit))}
        />
        <CountField
          label={deskSaid.cellsInRepeat}
          value={unit}
          onCount={(n) => change(repeatOver(drawing, before, n))}
        />
      </div>
      <SelectField label={deskSaid.cellsInProportionOf} value={cells.by} onChange={cells.choose}>
        <option value="">{told(deskSaid.typicalGauge)}</option>
        {cells.swatches.map(({ id, title }) => (
          <option key={id} value={id}>
            {title}
          </option>
        ))}
      </SelectField>
      <fieldset>
        <legend className="label">Yarns</legend>
        <div className="flex flex-wrap items-center gap-2">
          {colours.map((letter) => (
            <label key={letter} className="flex min-h-11 items-center gap-1.5 text-[15px]">
              {letter}
              <input
                type="color"
                aria-label={`Shade of ${letter}`}
                className="size-11 cursor-pointer border border-edge"
                value={shades.of(letter)}
                onChange={(event) => shades.choose(letter, event.target.value)}
              />
            </label>
          ))}
          {settled || colours.length >= counted ? null : (
            <Button onClick={() => change(withColours(drawing, colours.length + 1))}>Add a yarn</Button>
          )}
          {settled || colours.length < 2 ? null : (
            <Button kind="quiet" onClick={() => change(withColours(drawing, colours.length - 1))}>
              Leave out {colours.at(-1)}
            </Button>
          )}
        </div>
      </fieldset>
      <section aria-label={deskSaid.rowAndColumnCursor} className="grid gap-2 border-t border-rule pt-3">
        <h3 className="text-[16px]">
          Row {cursor.row + 1}, cell {cursor.cell + 1}
        </h3>
        <div className="flex flex-wrap gap-2">
          <Button onClick={() => change(rowInserted(drawing, cursor.row))}>{deskSaid.addRowAbove}</Button>
          <Button onClick={() => change(rowsDeleted(drawing, cursor.row))}>Delete the row</Button>
          <Button onClick={() => change(columnInserted(drawing, cursor.cell))}>Add a column</Button>
          <Button onClick={() => change(columnDeleted(drawing, cursor.cell))}>Delete the column</Button>
        </div>
        {row && coloursRows(drawing) ? (
          <SelectField
            label={deskSaid.colourRow}
            value={row.colour ?? 'A'}
            onChange={(colour) => change(rowInColour(drawing, cursor.row, colour))}
          >
            <option value="*">{deskSaid.nextInTurn}</option>
            {colours.map((letter) => (
              <option key={letter} value={letter}>
                {letter}
              </option>
            ))}
          </SelectField>
        ) : null}
        <Choice
          above={deskSaid.thisRowWorked}
          small
          label={deskSaid.thisRowWorked}
          value={row?.role ?? 'row'}
          options={[
            { value: 'setup', words: 'once, first' },
            { value: 'row', words: 'in the repeat' },
            { value: 'close', words: 'once, last' },
          ]}
          onChange={(role) => change(inRole(drawing, cursor.row, role))}
        />
      </section>
      <label className="block">
        <span className="label">Note</span>
        <textarea
          className="field min-h-[84px] py-2"
          maxLength={2000}
          value={desk.note}
          onChange={(event) => desk.setNote(event.target.value)}
        />
      </label>
    </div>
  );
}

interface CountProps {
  readonly label: string;
  readonly value: number;
  readonly least?: number;
  readonly onCount: (count: number) => void;
}

/** A count that is taken once it is one; what is typed meanwhile stays in the field. */
function CountField({ label, value, least = 1, onCount }: CountProps) {
  const [typed, setTyped] = useState<string>();
  const read = typed === undefined ? value : numberOrText(typed);
  const good = typeof read === 'number' && Number.isInteger(read) && read >= least && read <= 1000;
  return (
    <TextField
      label={label}
      inputMode="numeric"
      className="count"
      value={typed ?? String(value)}
      wrong={good ? undefined : deskSaid.wholeNumberFromTo(least)}
      onChange={setTyped}
      onBlur={() => {
        if (good && read !== value) onCount(read);
        if (good) setTyped(undefined);
      }}
      onKeyDown={(event) => {
        if (event.key === 'Enter') event.currentTarget.blur();
      }}
    />
  );
}
