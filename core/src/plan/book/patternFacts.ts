import { printPattern } from '../../craft/notation/print.ts';
import type { StitchPattern } from '../../craft/patterns/model.ts';
import { stitchKind } from '../../craft/stitches/kinds.ts';
import { good, type Result } from '../../craft/values/problem.ts';
import { wishSchema } from '../../records/wish.ts';
import { planWish } from '../piece/plan.ts';

/** What can be said of a pattern from a piece of it, to set it against others. */
export interface PatternFacts {
  readonly key: string;
  /** Yarn in a square of 10 cm, all colours, m; of medium cotton at typical gauge. */
  readonly metres: number;
  /** Ends to weave in, in a square of 30 cm. */
  readonly ends: number;
  /** Colour changes in a row of 30 cm, on average. */
  readonly changes: number;
  /** Both faces of the cloth look alike. */
  readonly reversible: boolean;
  /** By what a row asks of the hand: 1 easy, 2 with some practice, 3 for practised hands. */
  readonly difficulty: 1 | 2 | 3;
}

/** mm; the piece that is reckoned. */
const side = 300;

/** Stitches that show on one face only: drops, posts, single loops, flecks. */
const oneFaced = /@(back|front)|^(fp|bp|fleck)/;

/** Changes of colour in a course. */
function changesIn(colours: Uint8Array, starts: Uint32Array): number {
  let changes = 0;
  for (let course = 0; course + 1 < starts.length; course++) {
    for (let i = (starts[course] as number) + 1; i < (starts[course + 1] as number); i++) {
      if (colours[i] !== colours[i - 1]) changes++;
    }
  }
  return changes / (starts.length - 1);
}

function difficultyOf(pattern: StitchPattern, changes: number, unusual: boolean): 1 | 2 | 3 {
  const turnsIn = changes > 0.5 ? 1 : 0;
  const figures = pattern.chart.length > 0 || pattern.rows.length > 8 ? 1 : 0;
  const score = 1 + turnsIn + (unusual ? 1 : 0) + figures;
  return Math.min(3, score) as 1 | 2 | 3;
}

/** Lays and measures a piece of a pattern, about 30 cm square, as needed. */
export function patternFacts(pattern: StitchPattern): Result<PatternFacts> {
  const yarn = { shade: '#888888', weight: 4, fibre: 'cotton', ballMetres: 85, ballGrams: 50 } as const;
  const wish = wishSchema.parse({
    title: pattern.name,
    item: 'mat',
    width: { by: 'length', length: `${side} mm` },
    height: { by: 'length', length: `${side} mm` },
    pattern: { text: printPattern(pattern) },
    gauge: { from: 'typical' },
    edges: 'whole',
    ending: 'any',
    yarns: pattern.colours.map((letter) => ({ ...yarn, letter, name: letter })),
  });
  const plan = planWish(wish);
  if (!plan.ok) return plan;
  const { piece, width, height, prepared } = plan.value;
  const { fabric } = piece;
  const round = prepared.technique.circle === true;
  const area = (width.width.mid * height.height.mid * (round ? Math.PI / 4 : 1)) / 100 ** 2;
  const metres = piece.yarn.reduce((sum, need) => sum + need.metres.mid, 0);
  const kinds = [...new Set(fabric.kinds)].map((code) => stitchKind(code));
  const plain = kinds.every(({ key, opens }) => opens || /^(sc|hdc|dc|ch|inc|dc@ring)$/.test(key));
  const changes = changesIn(fabric.colours, fabric.starts);
  const turned = fabric.making === 'flat' || fabric.making === 'diagonals' || fabric.making === 'paired';
  return good({
    key: pattern.key,
    metres: metres / area,
    ends: Math.round((piece.ends * side ** 2) / (area * 100 ** 2)),
    changes,
    reversible: turned && !kinds.some(({ key }) => oneFaced.test(key)),
    difficulty: difficultyOf(pattern, changes, !plain),
  });
}
