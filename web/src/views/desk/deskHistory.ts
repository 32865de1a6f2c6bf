import { type Drawing, drawingOf, findPattern, patternOf, printPattern } from '@puntada/core/craft';

/** Steps that are kept when the page is closed; within it there is no end to them. */
const keptSteps = 60;
/** Letters that are kept: a browser keeps some millions in all. */
const keptLetters = 600_000;

interface Kept {
  readonly past: readonly string[];
  readonly future: readonly string[];
}

/** Where steps are kept between visits. */
export interface Keep {
  readonly get: (name: string) => string | null;
  readonly set: (name: string, text: string) => void;
}

const browser: Keep = {
  get: (name) => localStorage.getItem(name),
  set: (name, text) => localStorage.setItem(name, text),
};

function written(drawings: readonly Drawing[]): string[] {
  const texts: string[] = [];
  let letters = 0;
  for (const drawing of [...drawings].reverse()) {
    const text = printPattern(patternOf(drawing));
    letters += text.length;
    if (texts.length === keptSteps || letters > keptLetters) break;
    texts.unshift(text);
  }
  return texts;
}

function read(texts: readonly string[]): Drawing[] {
  return texts.flatMap((text) => {
    const found = findPattern(text);
    const drawn = found.ok ? drawingOf(found.value) : found;
    return drawn.ok ? [drawn.value] : [];
  });
}

/** What can be taken back of a drawing and taken up again: all of a visit, and the last steps of the one before. */
export class DeskHistory {
  private past: Drawing[] = [];
  private future: Drawing[] = [];
  private steps = 0;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private readonly listeners = new Set<() => void>();
  private readonly name: string;
  private readonly keep: Keep;

  constructor(id: string, keep: Keep = browser) {
    this.name = `puntada-desk-${id}`;
    this.keep = keep;
    try {
      const kept = JSON.parse(keep.get(this.name) ?? 'null') as Kept | null;
      if (kept) [this.past, this.future] = [read(kept.past), read(kept.future)];
    } catch {
      // What cannot be read is not there: the drawing itself is with the server.
    }
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** Counts up with every step, so that who looks on knows. */
  readonly count = (): number => this.steps;

  has(way: 'back' | 'ahead'): boolean {
    return (way === 'back' ? this.past : this.future).length > 0;
  }

  /** After a change. @param before what it was made on */
  step(before: Drawing): void {
    this.past.push(before);
    this.future = [];
    this.told();
  }

  /** A step back or ahead. @param now what is shown @returns what is shown then */
  move(way: 'back' | 'ahead', now: Drawing): Drawing | undefined {
    const [from, to] = way === 'back' ? [this.past, this.future] : [this.future, this.past];
    const shown = from.pop();
    if (!shown) return undefined;
    to.push(now);
    this.told();
    return shown;
  }

  private told(): void {
    this.steps++;
    for (const listener of this.listeners) listener();
    clearTimeout(this.timer);
    this.timer = setTimeout(() => this.keepNow(), 800);
  }

  /** Keeps the last steps at once. */
  keepNow(): void {
    clearTimeout(this.timer);
    const kept: Kept = { past: written(this.past), future: written(this.future.slice(-20)) };
    try {
      this.keep.set(this.name, JSON.stringify(kept));
    } catch {
      // The browser is full: the steps last as long as the page.
    }
  }
}
