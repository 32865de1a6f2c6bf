import { type LogEntry, parseMass, wishFromPiece } from '@puntada/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { problemsOf, useAddWorkMutation } from '../../api/api.ts';
import { useAddEntryMutation } from '../../api/records.ts';
import { Button } from '../../parts/Button.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { TextField } from '../../parts/TextField.tsx';
import type { LogProps } from './logProps.ts';

type End = Extract<LogEntry, { kind: 'end' }>;

/** How it came out, and the same again with the gauge that the finished piece has. */
export function AtTheEnd({ work, log, cloth }: Pick<LogProps, 'work' | 'log' | 'cloth'>) {
  const [add, adding] = useAddEntryMutation();
  const [again, making] = useAddWorkMutation();
  const navigate = useNavigate();
  const known = log.entries.findLast((entry): entry is End => entry.kind === 'end');
  const [width, setWidth] = useState(known?.width ?? '');
  const [height, setHeight] = useState(known?.height ?? '');
  const [grams, setGrams] = useState(known?.grams === undefined ? '' : String(known.grams));
  const [next, setNext] = useState(known?.next ?? '');
  if (work.progress.rows < cloth.fabric.courses) return null;
  const mass = parseMass(grams);
  const keep = async () => {
    const entry: End = {
      kind: 'end',
      id: crypto.randomUUID(),
      at: Date.now(),
      next,
      ...(width.trim() ? { width: width.trim() } : {}),
      ...(height.trim() ? { height: height.trim() } : {}),
      ...(grams.trim() && mass.ok && mass.value > 0 ? { grams: mass.value } : {}),
    };
    await add({ id: work.id, entry });
  };
  const makeAgain = async () => {
    const { choice: _size, ...wish } = work.wish;
    const learned =
      known?.width && known.height && wish.pattern.key
        ? wishFromPiece({
            pattern: wish.pattern.key,
            numbers: wish.pattern.numbers,
            units: wish.units,
            across: { count: cloth.fabric.count, of: 'stitches' },
            up: { count: cloth.fabric.courses, of: 'rows' },
            width: known.width,
            height: known.height,
          })
        : undefined;
    const gauge = learned?.ok ? learned.value.gauge : wish.gauge;
    const saved = await again({ ...wish, gauge, title: `${wish.title.slice(0, 73)}, again` });
    if (saved.data) navigate(`/works/${saved.data.id}/wish`);
  };
  return (
    <section aria-label="How it came out">
      <h2 className="border-b border-ink pb-1 text-[19px]">How it came out</h2>
      <form
        aria-label="How it came out"
        noValidate
        className="mt-3 grid gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          void keep();
        }}
      >
        <div className="grid grid-cols-3 gap-3">
          <TextField label="Width" value={width} onChange={setWidth} className="count" placeholder="24.2 cm" />
          <TextField label="Height" value={height} onChange={setHeight} className="count" placeholder="25 cm" />
          <TextField
            label="Weight, g"
            value={grams}
            onChange={setGrams}
            className="count"
            wrong={grams.trim() && !mass.ok ? 'Type grams.' : undefined}
          />
        </div>
        <TextField label="To change next time" value={next} onChange={setNext} maxLength={400} />
        <div className="flex flex-wrap gap-3">
          <Button type="submit" disabled={adding.isLoading}>
            Keep it
          </Button>
          <Button onClick={makeAgain} disabled={making.isLoading}>
            Make it again
          </Button>
        </div>
      </form>
      {known?.width && known.height ? (
        <p className="pt-2 text-[15px] text-soft">Made again, it goes by the gauge that this piece came out with.</p>
      ) : null}
      <Problems problems={problemsOf(adding.error ?? making.error)} />
    </section>
  );
}
