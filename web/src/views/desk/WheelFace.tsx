import { type Wheel, wedgeStitches } from '@puntada/core/craft';
import { deskSaid } from '@puntada/core/words';

/** px */
const side = 560;
const ring = 24;

interface Props {
  readonly wheel: Wheel;
  readonly shade: (letter: string) => string;
  /** A wedge of the repeat was touched, from 0. */
  readonly onWedge: (wedge: number) => void;
}

/** A point of the wheel. @param turn of a whole one, from the top, as the hand works */
function place(radius: number, turn: number): [x: number, y: number] {
  const angle = 2 * Math.PI * turn - Math.PI / 2;
  return [side / 2 + radius * Math.cos(angle), side / 2 + radius * Math.sin(angle)];
}

function point(radius: number, turn: number): string {
  return place(radius, turn)
    .map((each) => each.toFixed(2))
    .join(' ');
}

function sector(inner: number, outer: number, from: number, to: number): string {
  return `M${point(inner, from)} A${inner} ${inner} 0 0 1 ${point(inner, to)} L${point(outer, to)} A${outer} ${outer} 0 0 0 ${point(outer, from)} Z`;
}

/**
 * A circle of wedges as it lies: round by round from the ring, each wedge on the one below, leaning by half a stitch a round
 * since rounds are not turned. A touch gives a wedge the colour in hand, all around.
 */
export function WheelFace({ wheel, shade, onWedge }: Props) {
  const { wedges, around } = wheel;
  const rounds = Math.max(5, Math.min(10, 2 * wheel.grows.length + 1));
  const height = (side / 2 - ring - 4) / rounds;
  const counts = wedgeStitches(wheel, rounds);
  let lean = 0;
  const faces = counts.map((stitches, round) => {
    lean += 0.5 / (around.usual * stitches);
    return { round, lean, grows: round > 0 && stitches > (counts[round - 1] ?? 0) };
  });
  const sectors = faces.flatMap(({ round, lean: turned }) =>
    Array.from({ length: around.usual }, (_, at) => ({
      key: `${round} ${at}`,
      path: sector(
        ring + round * height,
        ring + (round + 1) * height,
        at / around.usual + turned,
        (at + 1) / around.usual + turned,
      ),
      letter: wedges[at % wedges.length] ?? 'A',
      wedge: at % wedges.length,
    })),
  );
  // The wedges of the first repeat bear their letters, at the edge.
  const names = wedges.map((letter, at) => {
    const turn = (at + 0.5) / around.usual + (faces.at(-1)?.lean ?? 0);
    const [x = 0, y = 0] = place(side / 2 - height / 2 - 4, turn);
    return { key: `name ${at}`, letter, x, y };
  });
  return (
    <svg
      viewBox={`0 0 ${side} ${side}`}
      role="img"
      aria-label={deskSaid.wheelFace(around.usual, wedges.join(' '), rounds)}
      className="w-full max-w-[560px] touch-manipulation select-none"
    >
      {sectors.map(({ key, path, letter, wedge }) => (
        // biome-ignore lint/a11y/noStaticElementInteractions: the same is done by the lists beside the face
        <path
          key={key}
          d={path}
          fill={shade(letter)}
          className="cursor-pointer stroke-paper hover:opacity-85"
          strokeWidth={1}
          onClick={() => onWedge(wedge)}
        />
      ))}
      {faces
        .slice(1)
        .map(({ round, grows }) =>
          grows ? null : (
            <circle
              key={round}
              cx={side / 2}
              cy={side / 2}
              r={ring + (round + 0.5) * height}
              className="pointer-events-none fill-none stroke-ink"
              strokeDasharray="2 7"
              strokeWidth={2}
            />
          ),
        )}
      {names.map(({ key, letter, x, y }) => (
        <g key={key} className="pointer-events-none">
          <circle cx={x} cy={y} r={13} className="fill-paper stroke-ink" />
          <text x={x} y={y + 5} textAnchor="middle" className="count fill-ink text-[15px] font-semibold">
            {letter}
          </text>
        </g>
      ))}
    </svg>
  );
}
