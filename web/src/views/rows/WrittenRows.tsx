import { type AdviceRequest, beginningAdvice, rowAdvice, rowsSaid, upper, writeRow } from '@puntada/core/words';
import { useVirtualizer } from '@tanstack/react-virtual';
import { type KeyboardEvent, useEffect, useRef } from 'react';
import { useCraftWords } from '../../parts/Craft.tsx';
import { NotesOf } from '../../parts/RowNotes.tsx';

interface Props {
  readonly request: AdviceRequest;
  readonly selected: number;
  readonly inHand: number | undefined;
  readonly onSelect: (row: number) => void;
  /** Notes at a row, from 1. */
  readonly notesAt: (row: number) => Parameters<typeof NotesOf>[0]['notes'];
}

/** Every row in words. Only the rows in sight are written. */
export function WrittenRows({ request, selected, inHand, onSelect, notesAt }: Props) {
  const frame = useRef<HTMLDivElement>(null);
  const count = request.fabric.courses;
  const list = useVirtualizer({
    count,
    getScrollElement: () => frame.current,
    estimateSize: () => 132,
    overscan: 4,
    useFlushSync: false,
    // Near what it will be, so that the first rows are written before anything is measured.
    initialRect: { width: 520, height: 560 },
  });
  useEffect(() => {
    list.scrollToIndex(selected - 1, { align: 'auto' });
  }, [selected, list]);
  const step = (event: KeyboardEvent) => {
    const by = { ArrowUp: -1, ArrowDown: 1, PageUp: -10, PageDown: 10, Home: -count, End: count }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    onSelect(Math.max(1, Math.min(count, selected + by)));
  };
  return (
    <div
      ref={frame}
      role="listbox"
      aria-label="Rows in words"
      aria-activedescendant={`row-${selected}`}
      tabIndex={0}
      onKeyDown={step}
      className="h-full overflow-auto rounded-md border border-rule"
    >
      <div className="relative" style={{ height: list.getTotalSize() }}>
        {list.getVirtualItems().map((item) => (
          <div
            key={item.key}
            ref={list.measureElement}
            data-index={item.index}
            className="absolute top-0 left-0 w-full"
            style={{ transform: `translateY(${item.start}px)` }}
          >
            <WrittenRow
              request={request}
              number={item.index + 1}
              selected={item.index + 1 === selected}
              inHand={item.index + 1 === inHand}
              onSelect={onSelect}
              notes={notesAt(item.index + 1)}
            />
          </div>
        ))}
      </div>
    </div>
  );
}

interface RowProps {
  readonly request: AdviceRequest;
  readonly number: number;
  readonly selected: boolean;
  readonly inHand: boolean;
  readonly onSelect: (row: number) => void;
  readonly notes: Parameters<typeof NotesOf>[0]['notes'];
}

/** One row as it is shown. @internal */
export function WrittenRow({ request, number, selected, inHand, onSelect, notes }: RowProps) {
  const row = writeRow(request, number);
  // What draws the next colour in at the join is told with the join.
  const change = row.close ? row.changeInside : row.change;
  const told = useCraftWords();
  const advice = rowAdvice(request, number);
  const { foundation, fabric, into = 'one loop' } = request;
  const before = number === 1 ? beginningAdvice(foundation, fabric.count, into) : [];
  return (
    // biome-ignore lint/a11y/useKeyWithClickEvents: the list as a whole carries the keyboard
    <div
      id={`row-${number}`}
      role="option"
      tabIndex={-1}
      aria-selected={selected}
      onClick={() => onSelect(number)}
      className={`grid cursor-pointer grid-cols-[62px_minmax(0,1fr)] gap-3 border-b border-rule py-3 pr-4 pl-3 ${selected ? 'border-l-[5px] border-l-ink bg-sheet' : 'border-l-[5px] border-l-transparent hover:bg-sheet/60'}`}
    >
      <div className="text-center leading-none">
        <p className="count text-[26px]">{number}</p>
        <p className="mt-1.5 text-[13px] text-soft">
          {row.side}
          <span className="mt-1 block">
            {rowsSaid.onChart} <span aria-hidden>{row.direction === 'right to left' ? '←' : '→'}</span>
            <span className="sr-only">{row.direction}</span>
          </span>
        </p>
        {inHand ? <p className="mt-1.5 text-[13px] font-semibold text-verdigris">next</p> : null}
      </div>
      <div className="min-w-0 text-[16px] leading-snug">
        <p className="text-soft">{row.start}</p>
        <p className="font-mono text-[17px] font-medium">{row.work}</p>
        {row.close ? <p className="mt-1 text-[15px]">Then {row.close}.</p> : null}
        {change ? <p className="mt-1 text-[15px]">{upper(change)}.</p> : null}
        {row.strands.map((order) => (
          <p key={order} className="text-[15px]">
            {upper(order)}.
          </p>
        ))}
        {[...before.map(told), ...advice.markers].map((words) => (
          <p key={words} className="text-[15px]">
            {words}
          </p>
        ))}
        <p className="mt-1 text-[15px] text-soft">You should have: {row.end}.</p>
        <NotesOf notes={notes} />
        {advice.ahead.map((words) => (
          <p key={words} className="text-[15px] font-medium text-verdigris">
            {words}
          </p>
        ))}
      </div>
    </div>
  );
}
