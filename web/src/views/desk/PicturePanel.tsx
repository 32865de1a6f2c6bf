import {
  type Drawing,
  numberOrText,
  type PictureRequest,
  type Problem,
  pictured,
  rowsForPicture,
  type Smoothing,
  smoothings,
  takesPictures,
  widthOf,
} from '@puntada/core/craft';
import { deskSaid } from '@puntada/core/words';
import { useEffect, useRef, useState } from 'react';
import { usePreferences } from '../../api/api.ts';
import { Button } from '../../parts/Button.tsx';
import { Choice } from '../../parts/Choice.tsx';
import { pictureForDesk } from '../../parts/dropped.ts';
import { FileField } from '../../parts/FileField.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { type Crop, dotsOf, openPicture } from '../../parts/readPicture.ts';
import { SelectField } from '../../parts/SelectField.tsx';
import { TextField } from '../../parts/TextField.tsx';
import { planner } from '../../worker/planner.ts';
import type { DeskShades } from './useDeskShades.ts';

interface Props {
  readonly drawing: Drawing;
  readonly shades: DeskShades;
  readonly proportion: number;
  readonly onChange: (drawing: Drawing) => void;
}

const edges = ['left', 'top', 'right', 'bottom'] as const;

/** A picture made into stitches: cropped, reduced, matched to the yarns and smoothed. It never leaves this machine. */
export function PicturePanel({ drawing, shades, proportion, onChange }: Props) {
  const { hand } = usePreferences();
  const [picture, setPicture] = useState<ImageBitmap>();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [busy, setBusy] = useState(false);
  const [crop, setCrop] = useState<Crop>({ left: 0, top: 0, right: 0, bottom: 0 });
  const [wide, setWide] = useState(String(widthOf(drawing)));
  const [match, setMatch] = useState<PictureRequest['match']>('groups');
  const [smoothing, setSmoothing] = useState<Smoothing>('lone stitches');
  const shown = useRef<HTMLCanvasElement>(null);
  const take = async (file: File) => {
    setBusy(true);
    const opened = await openPicture(file);
    setBusy(false);
    setProblems(opened.ok ? [] : opened.problems);
    if (opened.ok) setPicture(opened.value);
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: once, where a picture was brought along
  useEffect(() => {
    const brought = pictureForDesk.take();
    if (brought) void take(brought);
  }, []);
  useEffect(() => {
    const canvas = shown.current;
    if (!canvas || !picture) return;
    const scale = Math.min(1, 320 / picture.width, 220 / picture.height);
    canvas.width = Math.max(1, Math.round(picture.width * scale));
    canvas.height = Math.max(1, Math.round(picture.height * scale));
    const ctx = canvas.getContext('2d');
    ctx?.drawImage(picture, 0, 0, canvas.width, canvas.height);
    if (!ctx) return;
    ctx.fillStyle = 'rgb(23 18 26 / 0.62)';
    const [x, y] = [canvas.width * crop.left, canvas.height * crop.top];
    const [right, bottom] = [canvas.width * crop.right, canvas.height * crop.bottom];
    ctx.fillRect(0, 0, canvas.width, y);
    ctx.fillRect(0, canvas.height - bottom, canvas.width, bottom);
    ctx.fillRect(0, y, x, canvas.height - y - bottom);
    ctx.fillRect(canvas.width - right, y, right, canvas.height - y - bottom);
  }, [picture, crop]);
  if (!takesPictures(drawing)) {
    return <p className="text-[15px]">{deskSaid.picturesMadeInTechniques}</p>;
  }
  const cells = numberOrText(wide);
  const good = typeof cells === 'number' && Number.isInteger(cells) && cells >= 2 && cells <= 300;
  const partWide = picture ? picture.width * (1 - crop.left - crop.right) : 1;
  const partHigh = picture ? picture.height * (1 - crop.top - crop.bottom) : 1;
  const rows = good ? Math.min(300, rowsForPicture(partWide, partHigh, cells, proportion)) : 0;
  const make = async () => {
    if (!picture || !good) return;
    setBusy(true);
    const dots = dotsOf(picture, crop, cells, rows);
    const colours = await planner.coloursOfPicture({
      dots,
      shades: drawing.colours.map(shades.of),
      match,
      smoothing,
      seed: 1,
      rightHanded: hand === 'right',
    });
    setBusy(false);
    onChange(pictured(drawing, colours));
  };
  return (
    <div className="grid gap-3" aria-busy={busy}>
      <FileField
        label={picture ? 'Take another picture' : deskSaid.takePictureFromThis}
        accept="image/png,image/jpeg,image/webp"
        disabled={busy}
        onFile={(file) => void take(file)}
      />
      <Problems problems={problems} />
      {picture ? (
        <>
          <canvas ref={shown} role="img" aria-label={deskSaid.pictureDarkerWhereIt} className="max-w-full" />
          <div className="grid grid-cols-2 gap-x-3">
            {edges.map((edge) => (
              <label key={edge} className="text-[14px]">
                Cut off, {edge}
                <input
                  type="range"
                  min={0}
                  max={0.9}
                  step={0.01}
                  className="block h-11 w-full accent-ink"
                  value={crop[edge]}
                  onChange={(event) => {
                    const opposite = { left: 'right', right: 'left', top: 'bottom', bottom: 'top' } as const;
                    const most = 0.95 - crop[opposite[edge]];
                    setCrop({ ...crop, [edge]: Math.min(most, Number(event.target.value)) });
                  }}
                />
              </label>
            ))}
          </div>
          <div className="grid grid-cols-2 gap-3">
            <TextField
              label="Cells wide"
              inputMode="numeric"
              className="count"
              value={wide}
              onChange={setWide}
              wrong={good ? undefined : deskSaid.wholeNumberFrom2}
              after={good ? `× ${rows} rows` : undefined}
            />
            <SelectField label="Smooth" value={smoothing} onChange={(next) => setSmoothing(next as Smoothing)}>
              {smoothings.map((each) => (
                <option key={each} value={each}>
                  {each}
                </option>
              ))}
            </SelectField>
          </div>
          <Choice
            small
            label="Colours"
            value={match}
            options={[
              { value: 'groups', words: 'Light to dark' },
              { value: 'nearest', words: 'Nearest yarn' },
            ]}
            onChange={setMatch}
          />
          <Button onClick={() => void make()} disabled={!good || busy} className="justify-self-start">
            {deskSaid.makeItIntoStitches}
          </Button>
        </>
      ) : (
        <p className="text-[15px] text-soft">{deskSaid.itReducedToYarns(drawing.colours.join(', '))}</p>
      )}
    </div>
  );
}
