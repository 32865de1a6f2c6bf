import type { Estimate } from '../../craft/values/estimate.ts';
import { pairsOf } from '../../craft/values/pairs.ts';
import { secondsBy, unknownPace } from '../../plan/pace/ownPace.ts';
import type { Exchanged } from '../../records/restKind.ts';
import type { Wish } from '../../records/wish.ts';
import type { Position } from '../progress/progress.ts';
import { handworkOfRows } from '../underway/inHand.ts';
import { isTwin } from './back.ts';
import { type Parted, type Planned, partSet, planned, type SetMember, type Stretch, yarnKey } from './parted.ts';
import { chanceOf, type SetPool } from './pools.ts';

/** Ways to go on with a set. */
export const setWayKinds = ['planned', 'shorter', 'fewer', 'swapped', 'more'] as const;
export type SetWayKind = (typeof setWayKinds)[number];

/** What becomes of a project where a set is planned otherwise. */
export interface SetChange {
  /** Of the project. */
  readonly id: string;
  /** Items that stay as they are: those that are touched, and those whose other side is. */
  readonly keep: number;
  /** The other items, planned otherwise: a project of their own where others stay. Nothing where they are left out. */
  readonly wish: Wish | undefined;
}

/** One way to go on with a set, with what it comes to. */
export interface SetWay {
  readonly kind: SetWayKind;
  /** The colours that change places, where some do. */
  readonly exchanged?: Exchanged;
  readonly items: number;
  /** Items that are not begun. */
  readonly open: number;
  /** Rows and size of those; nothing where there are none. */
  readonly rows: number | undefined;
  readonly size: { readonly width: Estimate; readonly height: Estimate } | undefined;
  /** Yarn by yarn the chance that it lasts, where it is known what there is. */
  readonly pools: readonly { readonly name: string; readonly chance: number | undefined }[];
  /** The least of them. */
  readonly chance: number | undefined;
  /** Seconds still to be worked. */
  readonly left: Estimate;
  /** Balls to be bought for it. */
  readonly buy: readonly { readonly name: string; readonly balls: number }[];
  readonly changes: readonly SetChange[];
}

const start: Position = { rows: 0, runs: 0 };

/** Finds ways to go on with a set; it remembers what it has counted. */
class SetPlanner {
  private readonly parted: readonly Parted[];
  private readonly pools: readonly SetPool[];
  private readonly known = new Map<string, Planned | undefined>();
  readonly sure: number;

  constructor(members: readonly SetMember[], pools: readonly SetPool[]) {
    this.parted = partSet(members);
    this.pools = pools;
    this.sure = Math.max(0, ...members.map(({ work }) => work.wish.sure));
  }

  get opens(): readonly (Wish | undefined)[] {
    return this.parted.map(({ open }) => open);
  }

  /** A front or a back whose other side is not known: one is nothing without the other, so that it is not planned otherwise. */
  get oneSided(): boolean {
    return this.opens.some((open, i) => open?.set?.part !== undefined && this.parted[i]?.other === undefined);
  }

  /** So many items a project makes of a wish: a back is half of one. */
  itemsOf(index: number, wish: Wish | undefined): number {
    if (!wish || wish.set?.part === 'back') return 0;
    return Math.round(wish.pieces / (this.parted[index]?.panels ?? 1));
  }

  planned(wish: Wish): Planned | undefined {
    const key = JSON.stringify(wish);
    if (!this.known.has(key)) this.known.set(key, planned(wish));
    return this.known.get(key);
  }

  /** A set with these items to come, one wish or none for each project; nothing where one of them cannot be made. */
  way(kind: SetWayKind, opens: readonly (Wish | undefined)[], more: ReadonlyMap<SetPool, number> = new Map()) {
    const plans = opens.map((open) => open && this.planned(open));
    if (opens.some((open, i) => open && !plans[i])) return undefined;
    const stretches = this.parted.flatMap(({ id, kept }, i): Stretch[] => {
      const [wish, plan] = [opens[i], plans[i]];
      const fresh =
        wish && plan ? [{ id, wish, costs: plan.costs, belief: plan.belief, now: start, weighings: [] }] : [];
      return [...(kept ? [kept] : []), ...fresh];
    });
    const pools = this.pools.map((pool) => ({ name: pool.name, chance: chanceOf(pool, stretches, more.get(pool)) }));
    const chances = pools.flatMap(({ chance }) => chance ?? []);
    // A back is as large as its front, and may have other rows.
    const first = plans.find((plan, i) => plan && opens[i]?.set?.part !== 'back');
    const open = opens.reduce((sum, wish, i) => sum + this.itemsOf(i, wish), 0);
    const changes = this.parted.flatMap(({ id, keep, open: was }, i): SetChange[] =>
      JSON.stringify(was) === JSON.stringify(opens[i]) ? [] : [{ id, keep, wish: opens[i] }],
    );
    const way: SetWay = {
      kind,
      items: open + this.parted.reduce((sum, { keep, kept }) => sum + (kept?.wish.set?.part === 'back' ? 0 : keep), 0),
      open,
      rows: first?.rows,
      size: first?.size,
      pools,
      chance: chances.length ? Math.min(...chances) : undefined,
      left: together(stretches),
      buy: [...more].map(([{ name }, balls]) => ({ name, balls })),
      changes,
    };
    return way;
  }

  isSure(way: SetWay | undefined): way is SetWay {
    return (way?.chance ?? 0) >= this.sure;
  }

  /** All that is to come in as many rows as the yarn is sure for: the most of those that are allowed. */
  shorter(): SetWay | undefined {
    const first = this.opens.find((open) => open && open.set?.part !== 'back');
    const plan = first && this.planned(first);
    if (!plan) return undefined;
    const { stitches } = plan;
    const allowed: number[] = [];
    for (let rows = Math.ceil(plan.rows / 2); rows < plan.rows; rows++) if (plan.rule(rows)) allowed.push(rows);
    const to = (rows: number) => {
      const lower = this.opens.map((open) => open && { ...open, choice: { stitches, rows } });
      const opens = this.opens.map((open, i) =>
        open?.set?.part === 'back' ? this.behind(open, lower[this.parted[i]?.other ?? i]) : lower[i],
      );
      return opens.every((open, i) => open || !this.opens[i]) ? this.way('shorter', opens) : undefined;
    };
    let best: SetWay | undefined;
    for (let [low, high] = [0, allowed.length - 1]; low <= high; ) {
      const middle = (low + high) >> 1;
      const way = to(allowed[middle] as number);
      if (this.isSure(way)) {
        best = way;
        low = middle + 1;
      } else high = middle - 1;
    }
    return best;
  }

  /** A back as high as its front is to be, within half a row; nothing where it cannot be. */
  private behind(back: Wish, front: Wish | undefined): Wish | undefined {
    const [own, before] = [this.planned(back), front && this.planned(front)];
    if (!own || !before) return undefined;
    if (front && isTwin(front, back)) return { ...back, choice: front.choice };
    const [high, row] = [before.size.height.mid, own.size.height.mid / own.rows];
    const near = Math.round(high / row);
    const allowed = [near - 1, near, near + 1].filter((rows) => rows > 0 && own.rule(rows));
    const off = (rows: number) => Math.abs(rows * row - high);
    const [rows] = allowed.sort((a, b) => off(a) - off(b));
    return rows === undefined || off(rows) > 0.51 * row
      ? undefined
      : { ...back, choice: { stitches: own.stitches, rows } };
  }

  /** As few items left out as it takes, from the last one back; a front goes with its back. */
  fewer(): SetWay | undefined {
    const opens = [...this.opens];
    const oneLess = (i: number) => {
      const [own, panels] = [opens[i], this.parted[i]?.panels ?? 1];
      opens[i] = own && own.pieces > panels ? { ...own, pieces: own.pieces - panels } : undefined;
    };
    for (let i = opens.length - 1; i >= 0; ) {
      if (!opens[i]) {
        i--;
        continue;
      }
      oneLess(i);
      const other = this.parted[i]?.other;
      if (other !== undefined) oneLess(other);
      const way = this.way('fewer', opens);
      if (this.isSure(way)) return way;
    }
    return undefined;
  }

  /** Two colours of all that is to come exchanged, where that makes it surer: of those that do not last the surest. */
  swapped(before: SetWay): SetWay | undefined {
    let best: SetWay | undefined;
    for (const exchanged of this.exchanges(before)) {
      const opens = this.opens.map((open) => open && exchangedYarns(open, exchanged));
      const way = this.way('swapped', opens);
      const least = best?.chance ?? (before.chance ?? 0) + 0.05;
      if (way?.changes.length && (way.chance ?? 0) > least) best = { ...way, exchanged };
    }
    return best;
  }

  /** Pairs of colours of which at least one does not last. */
  private exchanges(before: SetWay): Exchanged[] {
    const short = this.pools.flatMap(({ keys }, i) => ((before.pools[i]?.chance ?? 1) < this.sure ? keys : []));
    const yarns = this.opens.flatMap((open) => open?.yarns ?? []);
    const scarce = new Set(yarns.filter((yarn) => short.includes(yarnKey(yarn))).map(({ letter }) => letter));
    const letters = [...new Set(yarns.map(({ letter }) => letter))].sort();
    return pairsOf(letters).filter(([one, other]) => scarce.has(one) || scarce.has(other));
  }

  /** As few balls bought as it takes. */
  more(): SetWay | undefined {
    const bought = new Map<SetPool, number>();
    for (const [at, pool] of this.pools.entries()) {
      for (let balls = 0; balls <= mostBought; balls++) {
        if (balls) bought.set(pool, balls);
        const chance = this.way('more', this.opens, bought)?.pools[at]?.chance;
        if (chance === undefined || chance >= this.sure) break;
      }
    }
    const way = this.way('more', this.opens, bought);
    return bought.size && this.isSure(way) ? way : undefined;
  }
}

const mostBought = 40;

/** Two colours of a wish exchanged; as it is where it does not have both. */
function exchangedYarns(wish: Wish, [one, other]: Exchanged): Wish {
  const [first, second] = [one, other].map((letter) => wish.yarns.find((yarn) => yarn.letter === letter));
  if (!first || !second) return wish;
  const yarns = wish.yarns.map((yarn) => {
    if (yarn === first) return { ...second, letter: one };
    return yarn === second ? { ...first, letter: other } : yarn;
  });
  return { ...wish, yarns };
}

/** What all of it still takes: one hand makes it, so what is doubtful of it is so in each. */
function together(stretches: readonly Stretch[]): Estimate {
  const left = { low: 0, mid: 0, high: 0, source: 'typical' as const };
  for (const { wish, costs, now } of stretches) {
    const own = secondsBy(wish.pace ?? unknownPace, handworkOfRows(costs, now, 0));
    left.low += own.low;
    left.mid += own.mid;
    left.high += own.high;
  }
  return left;
}

/**
 * Ways to go on with a set: as it is planned first, then what is not begun of it made shorter, fewer, or in exchanged
 * colours, and the balls that would be enough. What is begun stays as it is on the hook.
 * @param members in the order in which they are made @returns only the first where the yarn lasts
 */
export function setWays(members: readonly SetMember[], pools: readonly SetPool[]): SetWay[] {
  const planner = new SetPlanner(members, pools);
  const first = planner.way('planned', planner.opens);
  if (!first) return [];
  if (first.chance === undefined || planner.isSure(first)) return [first];
  return [
    first,
    ...[
      ...(planner.oneSided ? [] : [planner.shorter(), planner.fewer(), planner.swapped(first)]),
      planner.more(),
    ].flatMap((each) => each ?? []),
  ];
}
