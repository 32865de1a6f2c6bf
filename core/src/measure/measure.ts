import { type Estimate, plus, type Source, spread, times } from '../estimate.ts';
import type { Gauge } from '../gauge/gauge.ts';
import { ballsNeeded, forecastError } from './forecast.ts';
import { measureParts, type PartsRequest, type YarnParts } from './parts.ts';
import { type Yarn, yarnFigures } from './yarn.ts';

/** The yarn one colour needs. */
export interface YarnNeed {
  readonly letter: string;
  /** Where the metres go, each as a range; they add up to `metres`. */
  readonly parts: readonly { readonly name: string; readonly metres: Estimate }[];
  /** m, tails included. */
  readonly metres: Estimate;
  /** g */
  readonly grams: Estimate;
  /** Whole balls with a chance of at least 0.95, where the weight of a ball is known. */
  readonly balls?: { readonly count: number; readonly chance: number; readonly source: Source };
  /** Ends to weave in. */
  readonly ends: number;
}

export interface MeasureRequest extends Omit<PartsRequest, 'stitchWidth' | 'rowHeight' | 'diameters'> {
  readonly gauge: Gauge;
  readonly yarns: readonly Yarn[];
}

/** The metres, grams and balls of every colour, each as a range. docs/craft.md, “Yarn in a piece”. */
export function measure(request: MeasureRequest): YarnNeed[] {
  const { gauge, yarns, strands } = request;
  const figures = yarns.map(yarnFigures);
  const measured = measureParts({
    ...request,
    stitchWidth: gauge.stitchWidth.mid,
    rowHeight: gauge.rowHeight.mid,
    diameters: figures.map((each) => each.diameter),
  });
  const error = forecastError(gauge.source === 'typical' ? 'typical' : 'measured');
  return yarns.map((yarn, colour) => {
    const own = measured[colour] as YarnParts;
    const figure = figures[colour] as ReturnType<typeof yarnFigures>;
    const made = own.stitches + own.carried + own.bridged + own.chains;
    const ends = strands.totals[colour]?.ends ?? 0;
    const metres = plus(spread(made, error, gauge.source), own.tails);
    const mass = spread(made, Math.hypot(error, figure.meterageError), grade(gauge, figure.meterageFrom));
    const grams = times(plus(mass, own.tails), 1 / figure.metresPerGram);
    const ranged = (predicted: number) => spread(predicted, error, gauge.source);
    const tails = { mid: own.tails, low: own.tails, high: own.tails, source: gauge.source };
    const named = [
      { name: 'stitches', metres: ranged(own.stitches) },
      { name: 'carried strand', metres: ranged(own.carried) },
      { name: 'climbs and floats', metres: ranged(own.bridged) },
      { name: 'chains', metres: ranged(own.chains) },
      { name: 'tails', metres: tails },
    ];
    const parts = named.filter((part) => part.metres.mid > 0);
    const need = { letter: yarn.letter, parts, metres, grams, ends };
    if (yarn.ballGrams === undefined) return need;
    const { balls, chance } = ballsNeeded({
      metres: made,
      error,
      ends,
      ballGrams: yarn.ballGrams,
      metresPerGram: figure.metresPerGram,
      meterageError: figure.meterageError,
    });
    return { ...need, balls: { count: balls, chance, source: grade(gauge, figure.meterageFrom) } };
  });
}

/** A figure is only as well founded as the weaker of what it rests on. */
function grade(gauge: Gauge, meterage: 'label' | 'typical'): Source {
  return meterage === 'typical' ? 'typical' : gauge.source;
}
