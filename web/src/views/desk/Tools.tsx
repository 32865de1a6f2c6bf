import { colourOf, type Drawing, type Mark, type Mirrors, pensOf, stitchOf } from '@puntada/core/craft';
import { deskSaid, markName } from '@puntada/core/words';
import {
  FlipHorizontal2,
  FlipVertical2,
  Hand,
  type LucideIcon,
  PaintBucket,
  Pencil,
  Slash,
  Square,
  SquareDashed,
  SquareStack,
} from 'lucide-react';
import { ToggleGroup } from 'radix-ui';
import { usePreferences } from '../../api/api.ts';
import { arrowsAtOnce } from '../../parts/arrowsAtOnce.ts';
import { YarnChip } from '../../parts/YarnChip.tsx';
import type { Held, Tool } from './deskTools.ts';

const looks: Readonly<Record<Tool, { readonly words: string; readonly key: string; readonly icon: LucideIcon }>> = {
  pen: { words: 'Draw', key: 'P', icon: Pencil },
  line: { words: 'Line', key: 'L', icon: Slash },
  box: { words: 'Box', key: 'R', icon: Square },
  fill: { words: 'Fill', key: 'K', icon: PaintBucket },
  select: { words: 'Select', key: 'S', icon: SquareDashed },
  move: { words: 'Move about', key: 'M', icon: Hand },
};

const mirrorLooks: Readonly<Record<keyof Mirrors, { readonly words: string; readonly icon: LucideIcon }>> = {
  across: { words: deskSaid.mirrorLeftAndRight, icon: FlipVertical2 },
  up: { words: deskSaid.mirrorUpAndDown, icon: FlipHorizontal2 },
  halfDrop: { words: deskSaid.repeatHalfDropOn, icon: SquareStack },
};

/** The tool of a key. */
export function toolOfKey(key: string): Tool | undefined {
  return (Object.keys(looks) as Tool[]).find((tool) => looks[tool].key === key.toUpperCase());
}

const item =
  'flex min-h-11 min-w-11 items-center justify-center gap-2 border border-edge bg-field px-2 -ml-px first:rounded-l-md last:rounded-r-md hover:bg-sheet data-[state=on]:relative data-[state=on]:border-ink data-[state=on]:shadow-[inset_0_-4px_0_var(--color-ink)]';

interface Props {
  readonly drawing: Drawing;
  readonly held: Held;
  readonly shade: (letter: string) => string;
  readonly onHeld: (part: Partial<Held>) => void;
}

/** What the hand holds: which mark, with which tool, and what mirrors do with it. */
export function Tools({ drawing, held, shade, onHeld }: Props) {
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
      <Pens drawing={drawing} held={held} shade={shade} onHeld={onHeld} />
      <ToggleGroup.Root
        type="single"
        value={held.tool}
        onValueChange={(tool) => tool && onHeld({ tool: tool as Tool })}
        onKeyDownCapture={arrowsAtOnce}
        aria-label="Tool"
        className="inline-flex"
      >
        {(Object.keys(looks) as Tool[]).map((tool) => {
          const { words, key, icon: Icon } = looks[tool];
          return (
            <ToggleGroup.Item key={tool} value={tool} aria-label={words} title={`${words} (${key})`} className={item}>
              <Icon aria-hidden className="size-5" />
            </ToggleGroup.Item>
          );
        })}
      </ToggleGroup.Root>
      <ToggleGroup.Root
        type="multiple"
        value={(Object.keys(mirrorLooks) as (keyof Mirrors)[]).filter((name) => held.mirrors[name])}
        onValueChange={(on) =>
          onHeld({
            mirrors: { across: on.includes('across'), up: on.includes('up'), halfDrop: on.includes('halfDrop') },
          })
        }
        aria-label="Mirrors"
        className="inline-flex"
      >
        {(Object.keys(mirrorLooks) as (keyof Mirrors)[]).map((name) => {
          const { words, icon: Icon } = mirrorLooks[name];
          return (
            <ToggleGroup.Item key={name} value={name} aria-label={words} title={words} className={item}>
              <Icon aria-hidden className="size-5" />
            </ToggleGroup.Item>
          );
        })}
      </ToggleGroup.Root>
    </div>
  );
}

function Pens({ drawing, held, shade, onHeld }: Props) {
  const { terms } = usePreferences();
  const pens = pensOf(drawing);
  return (
    <ToggleGroup.Root
      type="single"
      value={held.mark}
      onValueChange={(mark) =>
        mark && onHeld({ mark, tool: held.tool === 'select' || held.tool === 'move' ? 'pen' : held.tool })
      }
      onKeyDownCapture={arrowsAtOnce}
      aria-label="Pen"
      className="inline-flex flex-wrap"
    >
      {pens.map((mark, i) => (
        <ToggleGroup.Item
          key={mark}
          value={mark}
          aria-label={`Pen ${markName(mark, terms)}`}
          title={`${markName(mark, terms)} (${stitchOf(mark) === undefined ? mark : i + 1})`}
          className={item}
        >
          <PenFace mark={mark} shade={shade} />
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}

function PenFace({ mark, shade }: { mark: Mark; shade: (letter: string) => string }) {
  const { terms } = usePreferences();
  const colour = colourOf(mark);
  if (stitchOf(mark) === undefined) return <YarnChip letter={mark} shade={shade(mark)} size={28} />;
  return (
    <span className="flex items-center gap-1.5 text-[14px]">
      {colour ? <YarnChip letter={colour} shade={shade(colour)} size={20} /> : null}
      {markName(mark, terms)}
    </span>
  );
}
