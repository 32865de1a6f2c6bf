import type { ReactNode } from 'react';

const ink = '#2b1b30';
const light = '#e9dfc4';
const dark = '#24476b';

/** Stitches as plain cells, a letter each: `AABB/BBAA`, the upper row first. */
function Cells({ rows, x = 8, y = 8, cell = 10 }: { rows: string; x?: number; y?: number; cell?: number }) {
  return (
    <g stroke={ink} strokeWidth="0.75">
      {rows.split('/').flatMap((row, j) =>
        [...row].map((letter, i) => (
          <rect
            // biome-ignore lint/suspicious/noArrayIndexKey: a cell is its place
            key={`${i} ${j}`}
            x={x + i * cell}
            y={y + j * cell}
            width={cell}
            height={cell}
            fill={letter === 'B' ? dark : letter === 'A' ? light : '#f1f4f1'}
          />
        )),
      )}
    </g>
  );
}

function Strand({ d, dashed = false }: { d: string; dashed?: boolean }) {
  return (
    <path
      d={d}
      fill="none"
      stroke="#ad6a2c"
      strokeWidth="3"
      strokeLinecap="round"
      strokeLinejoin="round"
      strokeDasharray={dashed ? '4 4' : undefined}
    />
  );
}

function chain(count: number, x: number, y: number): ReactNode {
  return Array.from({ length: count }, (_, i) => (
    // biome-ignore lint/suspicious/noArrayIndexKey: a chain is its place
    <ellipse key={i} cx={x + i * 9} cy={y} rx="5" ry="3" fill={light} stroke={ink} strokeWidth="1.25" />
  ));
}

/** The drawings, 96 × 48; ours, for these words alone. */
const drawings: Readonly<Record<string, ReactNode>> = {
  'foundation chain': <g>{chain(9, 12, 34)}</g>,
  'turning chain': (
    <g>
      <Cells rows="AAAAAA" y={30} />
      <g transform="rotate(-90 74 26)">{chain(2, 70, 26)}</g>
    </g>
  ),
  repeat: (
    <g>
      <Cells rows="AABBAABB" y={16} />
      <path d="M8 36 v5 h40 v-5" fill="none" stroke={ink} strokeWidth="1.5" />
    </g>
  ),
  'true repeat': (
    <g>
      <Cells rows="BBAA/AABB/BBAA/AABB" y={4} />
      <path d="M54 4 h5 v40 h-5" fill="none" stroke={ink} strokeWidth="1.5" />
      <path d="M66 38 h18 M66 29 h18 M66 19 h18 M66 9 h18" stroke={ink} strokeWidth="1.25" />
    </g>
  ),
  'matching edges': (
    <g>
      <Cells rows="AABBAA/AABBAA" y={14} x={18} />
      <path d="M18 40 v-30 M78 40 v-30" stroke={ink} strokeWidth="3" />
    </g>
  ),
  'same first and last': <Cells rows="AABBAA/BBAABB/BBAABB/AABBAA" y={4} x={18} />,
  'RS and WS': (
    <g>
      <Cells rows="AB/BA" x={10} y={14} />
      <path d="M40 24 h14 m-5 -5 l5 5 -5 5" fill="none" stroke={ink} strokeWidth="1.5" />
      <Cells rows="BA/AB" x={64} y={14} />
    </g>
  ),
  gauge: (
    <g>
      <Cells rows="AAAAAAA/AAAAAAA" y={6} x={13} />
      <path d="M13 34 h70 M13 30 v8 M83 30 v8 M48 31 v6" stroke={ink} strokeWidth="1.5" fill="none" />
    </g>
  ),
  typical: (
    <g>
      <path d="M14 36 C30 36 36 8 48 8 C60 8 66 36 82 36" fill="none" stroke={ink} strokeWidth="1.75" />
      <path d="M34 40 v-6 M62 40 v-6 M34 37 h28" stroke={ink} strokeWidth="1.5" />
    </g>
  ),
  carry: (
    <g>
      <Cells rows="AABBAA" y={16} x={8} cell={13} />
      <Strand d="M8 24 H34 M60 24 H86" dashed />
    </g>
  ),
  climb: (
    <g>
      <Cells rows="AAAAA/BBBBB/AAAAA" y={9} x={20} />
      <Strand d="M20 34 C8 30 8 16 20 13" />
    </g>
  ),
  float: (
    <g>
      <Cells rows="BAAAAB" y={20} x={12} cell={12} />
      <Strand d="M20 22 C36 6 60 6 76 22" />
    </g>
  ),
  bobbin: (
    <g>
      <Cells rows="ABABA/ABABA" y={4} x={22} />
      <Strand d="M37 24 V34 M57 24 V34" />
      <ellipse cx="37" cy="39" rx="6" ry="5" fill={dark} stroke={ink} />
      <ellipse cx="57" cy="39" rx="6" ry="5" fill={dark} stroke={ink} />
    </g>
  ),
  end: (
    <g>
      <Cells rows="AAAAA/AAAAA" y={12} x={8} />
      <Strand d="M58 26 C70 22 68 40 84 36" />
    </g>
  ),
  drop: (
    <g>
      <Cells rows="AAAAA/BBBBB/AAAAA" y={9} x={22} />
      <path d="M47 12 V34 M42 12 h10" stroke="#ad6a2c" strokeWidth="4" strokeLinecap="round" />
    </g>
  ),
  chance: (
    <g>
      <rect x="12" y="18" width="72" height="12" fill="#f1f4f1" stroke={ink} />
      <rect x="12" y="18" width="68" height="12" fill="#1b6a5b" />
      <path d="M80 12 v24" stroke={ink} strokeWidth="2" />
    </g>
  ),
};

/** A small drawing of a term; nothing where words say it better. */
export function TermDrawing({ term }: { term: string }) {
  const drawing = drawings[term];
  if (!drawing) return null;
  return (
    <svg aria-hidden viewBox="0 0 96 48" width={96} height={48} className="shrink-0 rounded-sm bg-field">
      {drawing}
    </svg>
  );
}
