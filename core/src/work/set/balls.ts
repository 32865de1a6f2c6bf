/** What one project of a set takes of a yarn, unit by unit in the order of working. */
export interface SetNeed {
  /** Of the project. */
  readonly id: string;
  /** m of each row and step */
  readonly metres: readonly number[];
}

/** A part of a ball that goes into one project. */
export interface BallPart {
  /** Of the project. */
  readonly id: string;
  readonly metres: number;
  /** The unit of the project, from 0, in which the ball ends; nothing where the project ends first. */
  readonly endsIn: number | undefined;
}

/** One ball, and what it goes into; the rest is left of it. */
export interface SharedBall {
  readonly parts: readonly BallPart[];
  readonly left: number;
}

/**
 * Which ball goes into what, where each ends and the next is joined: taken as they come, one project after the other, at
 * what is expected. @param needs in the order in which they are made @param ball metres of a ball
 */
export function ballsInOrder(needs: readonly SetNeed[], ball: number): SharedBall[] {
  const balls: { parts: BallPart[]; left: number }[] = [];
  let open: { parts: BallPart[]; left: number } | undefined;
  for (const { id, metres } of needs) {
    let used = 0;
    const close = (endsIn: number | undefined) => {
      if (used > 0) open?.parts.push({ id, metres: used, endsIn });
      used = 0;
    };
    metres.forEach((need, unit) => {
      for (let left = need; left > 1e-9; ) {
        if (!open || open.left <= 1e-9) {
          open = { parts: [], left: ball };
          balls.push(open);
        }
        const taken = Math.min(left, open.left);
        open.left -= taken;
        used += taken;
        left -= taken;
        if (open.left <= 1e-9) {
          open.left = 0;
          close(left > 1e-9 || metres.slice(unit + 1).some((each) => each > 0) ? unit : undefined);
        }
      }
    });
    close(undefined);
  }
  return balls;
}
