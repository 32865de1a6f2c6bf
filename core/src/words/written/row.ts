import type { StitchKey } from '../../craft/stitches/kinds.ts';
import type { Facts } from '../../craft/values/problem.ts';
import { type StitchWord, slipBetween } from './vocabulary.ts';

/** A cell as somebody wrote it; its stitch and its colour are told where they are. */
export interface WrittenCell {
  readonly stitch: StitchKey | undefined;
  /** The letter or the name, as written. */
  readonly colour: string | undefined;
}

/** The work of a row: what is worked once, what repeats to the end where that is said, and what comes after. */
export interface WrittenRuns {
  readonly start: readonly WrittenCell[];
  readonly unit: readonly WrittenCell[] | undefined;
  readonly end: readonly WrittenCell[];
  /** The same with one repeat less: `repeat from * 3 times` is read either way. */
  readonly fewer: readonly WrittenCell[] | undefined;
  /** Stitches that are left after the repeats that go on to the end. */
  readonly leaves: number;
}

/** What in a row cannot be read: a code, and where in the text. */
export class Unread extends Error {
  readonly code: string;
  readonly facts: Facts;

  constructor(code: string, facts: Facts = {}) {
    super(code);
    this.code = code;
    this.facts = facts;
  }
}

/** A word that was taken for another. */
export interface TakenFor {
  readonly word: string;
  readonly meant: string;
}

const numbers: Readonly<Record<string, number>> = {
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  eleven: 11,
  twelve: 12,
};
const numberWord = Object.keys(numbers).join('|');

/** More cells than this no row has. */
const longestRow = 3000;

/** Remarks that say nothing of the stitches. */
const remarks = [
  /^(?:and )?(?:do not |don['’]t )?turn(?:ing)?(?: the work| your work)?\b/i,
  /^(?:and )?join(?:ed|ing)?\b[^,;.*]*/i,
  /^(?:and )?fasten off\b[^,;.*]*/i,
  /^(?:and )?(?:change|changing|switch|drop|pick up|cut|carry(?:ing)?)\b[^,;.*]*/i,
  /^(?:counts as|does not count|not counted)\b[^,;.*]*/i,
  /^(?:ending|end|beg(?:in(?:ning)?)?) (?:with|in)\b(?= \d)/i,
];

/** Reads the work of one row. */
export class RowReader {
  private text = '';
  private colour: string | undefined;
  private readonly words: readonly StitchWord[];
  private readonly names: ReadonlySet<string>;
  readonly taken: TakenFor[] = [];

  /** @param names names of colours that the text has told, in small letters */
  constructor(words: readonly StitchWord[], names: ReadonlySet<string>) {
    this.words = words;
    this.names = names;
  }

  /** @param colour the colour of the whole row, where its head tells one @throws Unread */
  read(text: string, colour?: string): WrittenRuns {
    this.text = text.trim();
    this.colour = colour;
    const start: WrittenCell[] = this.turningChain();
    const end: WrittenCell[] = [];
    let unit: WrittenCell[] | undefined;
    let fewer: WrittenCell[] | undefined;
    let leaves = 0;
    let star: number | undefined;
    while (this.text) {
      if (this.filler()) continue;
      if (this.take(/^\*/)) {
        if (star !== undefined) continue;
        star = start.length;
        continue;
      }
      const again = this.take(
        /^(?:and )?(?:rep(?:eat)?(?:ing)?)(?: from)?(?: \*| the)?(?: to \*| between \*s?)?,?\s*/i,
      );
      if (again) {
        if (star === undefined) throw new Unread('written-no-star', { at: this.near() });
        const group = start.slice(star);
        const times = this.timesOfRepeat();
        if (times === 'end') {
          unit = start.splice(star);
          leaves = this.leaving();
        } else {
          // `3 times` after an asterisk is three times more, though some mean three in all.
          const more = times.more;
          const once = [...start];
          for (let n = 0; n < more; n++) start.push(...group);
          if (!times.said && more > 1) fewer = [...once, ...Array.from({ length: more - 1 }, () => group).flat()];
        }
        star = undefined;
        continue;
      }
      const open = this.toTheEnd();
      if (open) {
        if (unit) throw new Unread('written-two-ends', { at: this.near() });
        unit = [open];
        leaves = this.leaving();
        continue;
      }
      const cells = this.item();
      (unit ? end : start).push(...cells);
      if (fewer) fewer.push(...cells);
      if (start.length + end.length > longestRow) throw new Unread('written-too-long', { most: longestRow });
    }
    if (star !== undefined && !unit) throw new Unread('written-star-open');
    return { start, unit, end, fewer, leaves };
  }

  private take(expression: RegExp): RegExpExecArray | undefined {
    const match = expression.exec(this.text);
    if (match) this.text = this.text.slice(match[0].length);
    return match ?? undefined;
  }

  private near(): string {
    return this.text.slice(0, 24);
  }

  /** A turning chain that is no stitch is passed over; one that counts is the first of its row. */
  private turningChain(): WrittenCell[] {
    this.take(/^(?:turn[,;]?\s*)?/i);
    const counted = this.take(
      /^(?:ch|chain)s? ?([23])\s*\((?:counts|count|this counts|is)[^)]*\)[,;]?\s*(?:turn[,;]?\s*)?/i,
    );
    if (counted) return [{ stitch: counted[1] === '3' ? 'dc' : 'hdc', colour: this.colour }];
    this.take(
      /^(?:ch|chain)s? ?[123]\b(?!\s*(?:sp|,\s*\*?\s*skip|,\s*\*?\s*sk\b))(?:\s*\([^)]*\))?[,;.]?\s*(?:(?:and )?turn[,;.]?\s*)?/i,
    );
    return [];
  }

  /** What stands between stitches. @returns whether something was passed over */
  private filler(): boolean {
    if (this.take(/^[\s,;.:|]+/)) return true;
    if (this.take(/^(?:then|and|work|make|now)\b/i)) return true;
    for (const remark of remarks) if (this.take(remark)) return true;
    const coloured = this.take(/^(?:with|in|using)\s+(?:colou?r\s+|yarn\s+)?/i);
    if (coloured) {
      this.colour = this.colourName();
      return true;
    }
    return false;
  }

  /** The name of a colour: a letter, one that was told, or a word. @throws Unread */
  private colourName(): string {
    const letter = this.take(/^([A-H])(?![A-Za-z])/)?.[1] ?? this.take(/^(MC|CC\d?)(?![A-Za-z])/)?.[1];
    if (letter) return letter;
    const told = [...this.names].sort((a, b) => b.length - a.length).find((name) => this.startsWith(name));
    if (told) {
      this.text = this.text.slice(told.length);
      return told;
    }
    const word = this.take(/^([A-Za-zÀ-ÿ]+)/)?.[1];
    if (!word) throw new Unread('written-colour', { at: this.near() });
    return word.toLowerCase();
  }

  private startsWith(word: string): boolean {
    return this.text.slice(0, word.length).toLowerCase() === word && !/^[a-z]/i.test(this.text.slice(word.length));
  }

  private count(): number | undefined {
    const figure = this.take(/^(\d{1,5})(?:\s*x\s+(?=[A-Za-z]))?\s*/)?.[1];
    if (figure !== undefined) return Number(figure);
    const word = this.take(new RegExp(`^(${numberWord})\\b\\s*`, 'i'))?.[1];
    return word === undefined ? undefined : numbers[word.toLowerCase()];
  }

  /** The stitch that stands here, or nothing. */
  private stitch(): StitchWord | undefined {
    const found = this.words.find(({ word }) => this.startsWith(word));
    if (found) {
      this.text = this.text.slice(found.word.length);
      return found;
    }
    const word = /^[a-z]{2,}/i.exec(this.text)?.[0];
    if (!word) return undefined;
    // The shortest first: a plural is as near as the word itself.
    const near = this.words
      .filter((each) => each.word.length > 1 && slipBetween(word.toLowerCase(), each.word) === 1)
      .sort((a, b) => a.word.length - b.word.length);
    const keys = new Set(near.map(({ key }) => key));
    if (keys.size !== 1 || !near[0]) return undefined;
    this.text = this.text.slice(word.length);
    this.taken.push({ word, meant: near[0].word });
    return near[0];
  }

  /** The colour behind a run. */
  private colourBehind(): string | undefined {
    if (
      this.take(
        /^\s*(?:in|with|of|using)\s+(?:colou?r\s+|yarn\s+)?(?!(?:the\s+)?(?:next|each|first|last|every|top|same|back|front|ch|sp|st)\b)/i,
      )
    ) {
      return this.colourName();
    }
    return this.take(/^\s*([A-H])(?![A-Za-z])/)?.[1] ?? this.take(/^\s*(MC|CC\d?)(?![A-Za-z])/)?.[1];
  }

  /** Where a run goes, as far as it says how many: `in next 8`, `in each of the next 8 sts`. */
  private into(): number | undefined {
    const place = this.take(
      /^\s*in(?:to)?\s+(?:each\s+(?:of\s+)?)?(?:the\s+)?(?:next|first|following|last)\s*(\d+)?\s*(?:sts?|stitch(?:es)?|chs?|chains?|sc|dc|hdc|tr|htr)?(?![a-z])/i,
    );
    if (!place) return undefined;
    return place[1] === undefined ? 1 : Number(place[1]);
  }

  /** `sc in each st across`, `dc to end`. */
  private toTheEnd(): WrittenCell | undefined {
    const before = this.text;
    const head = this.take(/^(?:1\s*)?/);
    const found = head && this.stitch();
    const across = found
      ? this.take(
          /^\s*(?:in(?:to)?\s+)?(?:each|every)?\s*(?:of\s+)?(?:the\s+)?(?:sts?|stitch(?:es)?|chs?|chains?)?\s*(?:across|to (?:the )?end|around|all round|along|to (?:the )?last \d+(?: sts?| stitches)?)(?: of (?:the )?(?:row|round))?/i,
        )
      : undefined;
    if (!found || !across) {
      this.text = before;
      return undefined;
    }
    const last = /last (\d+)/i.exec(across[0])?.[1];
    if (last) this.text = `${lastMark}${last} ${this.text}`;
    const colour = this.colourBehind() ?? this.colour;
    return { stitch: found.key, colour };
  }

  /** Stitches that are left over after a repeat to the end, as far as it says. */
  private leaving(): number {
    return Number(this.take(/^␟(\d+) /)?.[1] ?? 0);
  }

  private timesOfRepeat(): 'end' | { more: number; said: boolean } {
    const end = this.take(
      /^(?:(?:all the way )?(?:to (?:the )?end|across|around|along)|to (?:the )?last (\d+)(?: sts?| stitches)?|until (\d+)[^,;.]* (?:left|remain)\w*)(?: of (?:the )?(?:row|round))?/i,
    );
    if (end) {
      const left = end[1] ?? end[2];
      if (left) this.text = `${lastMark}${left} ${this.text}`;
      return 'end';
    }
    if (this.take(/^once(?: more)?/i)) return { more: 1, said: true };
    if (this.take(/^twice(?: more)?/i)) return { more: 2, said: true };
    const count = this.count();
    if (count !== undefined) {
      const said = this.take(/^(?:more|additional) times?|^times? more/i);
      if (said) return { more: count, said: true };
      if (this.take(/^times?(?: in (?:all|total))?/i)?.[0].includes('in ')) return { more: count - 1, said: true };
      return { more: count, said: false };
    }
    // `rep from *` alone goes on to the end.
    return 'end';
  }

  /** A group in brackets with its times, or one run. @throws Unread */
  private item(): WrittenCell[] {
    const bracket = this.take(/^[([]\s*/);
    if (bracket) return this.group(bracket[0].trim() === '(' ? ')' : ']');
    const bare = this.take(/^([A-H])\s*(\d+)(?![A-Za-z])/);
    if (bare) return cells(Number(bare[2]), { stitch: undefined, colour: bare[1] });
    const count = this.count();
    if (count === 0) throw new Unread('written-none', { at: this.near() });
    const letter = this.take(/^([A-H])(?![A-Za-z])/)?.[1];
    if (count !== undefined && letter) return cells(count, { stitch: undefined, colour: letter });
    const own = this.stitch();
    if (!own) {
      const name = count === undefined ? undefined : [...this.names].find((each) => this.startsWith(each));
      if (count !== undefined && name) {
        this.text = this.text.slice(name.length);
        return cells(count, { stitch: undefined, colour: name });
      }
      throw new Unread('written-unknown', { at: this.near() });
    }
    // `sc 8`, `ch 4 (skip 4)`.
    const behind = count === undefined ? this.take(/^\s*(\d+)(?!\s*(?:sc|dc|hdc|tr|htr|[A-H]\b))/)?.[1] : undefined;
    this.take(/^\s*\((?:skip|miss|sk|counts)[^)]*\)/i);
    const into = this.into();
    const many = count !== undefined && count !== 1 ? count : (into ?? (behind === undefined ? count : Number(behind)));
    const colour = this.colourBehind() ?? this.colour;
    return cells(many ?? 1, { stitch: own.key, colour });
  }

  private group(close: string): WrittenCell[] {
    const from = this.text;
    const group: WrittenCell[] = [];
    try {
      while (this.text && !this.text.startsWith(close)) {
        if (this.filler()) continue;
        group.push(...this.item());
      }
    } catch (error) {
      if (!(error instanceof Unread)) throw error;
      // A remark in brackets is passed over; a group that cannot be read is not.
      const end = from.indexOf(close);
      const behind = end < 0 ? '' : from.slice(end + 1);
      if (end < 0 || /^\s*(?:x|×|\*)?\s*\d+\s*(?:times|x|×)?/i.test(behind)) throw error;
      this.text = behind;
      return [];
    }
    if (!this.take(/^[)\]]\s*/)) throw new Unread('written-bracket');
    const times =
      this.take(/^(?:x|×|\*)\s*(\d+)/i)?.[1] ??
      this.take(/^(?:rep(?:eat)?(?:ed)?\s+)?(\d+)\s*(?:x|×|times?)(?: in all)?/i)?.[1];
    if (times) return repeated(group, Number(times));
    if (this.take(/^twice\b/i)) return repeated(group, 2);
    if (this.take(/^(?:rep(?:eat)?(?:ed)?\s+)?(?:across|to (?:the )?end|around)/i))
      throw new Unread('written-group-end');
    return group;
  }
}

/** Marks how many stitches a repeat leaves, between its reading and its use. */
const lastMark = '␟';

function cells(count: number, cell: WrittenCell): WrittenCell[] {
  if (count > longestRow) throw new Unread('written-too-long', { most: longestRow });
  return new Array<WrittenCell>(count).fill(cell);
}

function repeated(group: readonly WrittenCell[], times: number): WrittenCell[] {
  if (group.length * times > longestRow) throw new Unread('written-too-long', { most: longestRow });
  return Array.from({ length: times }, () => group).flat();
}
