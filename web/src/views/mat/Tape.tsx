interface Notch {
  readonly key: number;
  /** px along the tape */
  readonly at: number;
  readonly label: string;
  /** A long notch: both edges alike, or it ends as begun. */
  readonly long: boolean;
  readonly chosen: boolean;
}

interface Props {
  readonly along: 'top' | 'left';
  readonly length: number;
  readonly notches: readonly Notch[];
  readonly onChoose: (key: number) => void;
}

export const tapeThickness = { top: 46, left: 74 } as const;

/** Labels nearer to one another than this would run together, px. */
const room = { top: 42, left: 22 } as const;

/** Which notches get a label: the chosen one always, then long ones, then short ones where there is room. */
function labelled(notches: readonly Notch[], along: Props['along']): Set<number> {
  const order = [...notches].sort((a, b) => Number(b.chosen) - Number(a.chosen) || Number(b.long) - Number(a.long));
  const places: number[] = [];
  const keys = new Set<number>();
  for (const notch of order) {
    const near = notch.chosen ? 0 : room[along];
    if (places.some((place) => Math.abs(place - notch.at) < near)) continue;
    places.push(notch.at);
    keys.add(notch.key);
  }
  return keys;
}

/** A tape whose notches are the only sizes that the pattern allows. */
export function Tape({ along, length, notches, onChoose }: Props) {
  const thick = tapeThickness[along];
  const labels = labelled(notches, along);
  const top = along === 'top';
  return (
    <svg
      aria-hidden
      width={top ? length : thick}
      height={top ? thick : length}
      className="block select-none bg-tape forced-color-adjust-none"
    >
      {notches.map((notch) => {
        const long = notch.chosen ? 20 : notch.long ? 13 : 6;
        const line = top
          ? { x1: notch.at, x2: notch.at, y1: thick - long, y2: thick }
          : { x1: thick - long, x2: thick, y1: notch.at, y2: notch.at };
        return (
          // biome-ignore lint/a11y/noStaticElementInteractions: the edge sliders carry the keyboard and the names
          <g key={notch.key} onClick={() => onChoose(notch.key)} className="cursor-pointer">
            <rect
              x={top ? notch.at - 8 : 0}
              y={top ? 0 : notch.at - 8}
              width={top ? 16 : thick}
              height={top ? thick : 16}
              fill="transparent"
            />
            <line {...line} stroke="var(--color-ink)" strokeWidth={notch.chosen ? 4 : notch.long ? 1.8 : 1.1} />
            {labels.has(notch.key) ? (
              <text
                x={top ? notch.at : thick - 24}
                y={top ? 21 : notch.at + 5}
                textAnchor={top ? 'middle' : 'end'}
                className="fill-ink font-mono"
                fontSize={notch.chosen ? 17 : 13}
                fontWeight={notch.chosen ? 750 : 430}
              >
                {notch.label}
              </text>
            ) : null}
          </g>
        );
      })}
    </svg>
  );
}
