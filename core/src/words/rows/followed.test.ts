import fc from 'fast-check';
import { told } from '../../../test/told.ts';
import { patternBook } from '../../craft/book/book.ts';
import type { StitchPattern } from '../../craft/patterns/model.ts';
import { makingsOf } from '../../craft/techniques/register.ts';
import { planWish } from '../../plan/piece/plan.ts';
import { type WishInput, wishSchema } from '../../records/wish.ts';
import { planDocument } from '../document/planDocument.ts';

/*
 * A maker who knows the plain stitches, reads the printed rows in order and does what each sentence says: makes the
 * chain, skips what is to be skipped, turns, joins, brings colours in where it is told. It has its own words and its own
 * craft, and shares nothing with what writes the rows. Whatever cannot be done, or is left untold, is an error.
 */

class Lost extends Error {}

function must(holds: boolean, what: string): asserts holds {
  if (!holds) throw new Lost(what);
}

/** One thing on the edge of the work: what a stitch of the next row meets. */
interface Top {
  readonly kind: 'sc' | 'hdc' | 'dc' | 'ch' | 'space' | 'cluster' | 'edge' | 'block' | 'post';
  readonly colour: string;
}

type Place =
  | 'top'
  | 'space'
  | 'two below'
  | 'front two below'
  | 'around own'
  | 'base'
  | 'around A'
  | 'around B'
  | 'ring'
  | 'gap';

interface Stitch {
  readonly us: string;
  readonly uk: string;
  readonly kind: Top['kind'];
  readonly place: Place;
  /** Tops it leaves. */
  readonly leaves?: number;
  /** Stitches that it is. */
  readonly is?: number;
}

/** The longest first where one begins like another. */
const known: readonly Stitch[] = [
  { us: 'dc in front into the base row', uk: 'tr in front into the base row', kind: 'dc', place: 'base' },
  { us: 'dc behind into the base row', uk: 'tr behind into the base row', kind: 'dc', place: 'base' },
  { us: 'dc 2 rows down', uk: 'tr 2 rows down', kind: 'dc', place: 'two below' },
  { us: 'dc flo 2 below', uk: 'tr flo 2 below', kind: 'dc', place: 'front two below' },
  { us: 'fpdc around the B post', uk: 'fptr around the B post', kind: 'dc', place: 'around B' },
  { us: 'hdc between posts', uk: 'htr between posts', kind: 'post', place: 'gap' },
  { us: 'dc in ring', uk: 'tr in ring', kind: 'dc', place: 'ring' },
  { us: 'hdc in ring', uk: 'htr in ring', kind: 'hdc', place: 'ring' },
  { us: 'sc in ring', uk: 'dc in ring', kind: 'sc', place: 'ring' },
  { us: 'sc in sp', uk: 'dc in sp', kind: 'sc', place: 'space' },
  { us: 'sc blo', uk: 'dc blo', kind: 'sc', place: 'top' },
  { us: 'sc flo', uk: 'dc flo', kind: 'sc', place: 'top' },
  { us: 'hdc blo', uk: 'htr blo', kind: 'hdc', place: 'top' },
  { us: 'hdc flo', uk: 'htr flo', kind: 'hdc', place: 'top' },
  { us: 'dc blo', uk: 'tr blo', kind: 'dc', place: 'top' },
  { us: 'dc flo', uk: 'tr flo', kind: 'dc', place: 'top' },
  { us: 'sc inc', uk: 'dc inc', kind: 'sc', place: 'top', leaves: 2, is: 2 },
  { us: 'hdc inc', uk: 'htr inc', kind: 'hdc', place: 'top', leaves: 2, is: 2 },
  { us: 'inc', uk: 'inc', kind: 'dc', place: 'top', leaves: 2, is: 2 },
  { us: 'fpdc', uk: 'fptr', kind: 'dc', place: 'around own' },
  { us: 'bpdc', uk: 'bptr', kind: 'dc', place: 'around own' },
  { us: 'fpsc', uk: 'fpdc', kind: 'sc', place: 'around A' },
  { us: 'fleck', uk: 'fleck', kind: 'sc', place: 'top' },
  { us: 'hdc', uk: 'htr', kind: 'hdc', place: 'top' },
  { us: 'sc', uk: 'dc', kind: 'sc', place: 'top' },
  { us: 'dc', uk: 'tr', kind: 'dc', place: 'top' },
];

interface Line {
  readonly text: string;
  readonly changes: readonly string[];
  readonly strands: readonly string[];
}

/** A run as it is read: its parts in order, and its colour. */
interface Item {
  readonly words: string;
  colour?: string;
}

/** `(a, b) × 2, c A` spelled out; brackets after `ch` and after a chain that counts belong to their words. */
function spelledOut(work: string): Item[] {
  const whole = /^in ([A-H]): (.*)$/.exec(work);
  const items = listOf(whole ? (whole[2] as string) : work);
  if (whole) for (const item of items) item.colour = whole[1] as string;
  for (const item of items) must(item.colour !== undefined, `no colour for “${item.words}”`);
  return items;
}

/** Commas outside brackets part the items. */
function parted(text: string): string[] {
  const parts: string[] = [];
  let depth = 0;
  let from = 0;
  for (let i = 0; i < text.length; i++) {
    if (text[i] === '(') depth++;
    if (text[i] === ')') depth--;
    if (depth === 0 && text.startsWith(', ', i)) {
      parts.push(text.slice(from, i));
      from = i + 2;
    }
  }
  return [...parts, text.slice(from)];
}

function listOf(text: string): Item[] {
  const items: Item[] = [];
  for (const part of parted(text)) {
    const group = /^\((.*)\) × (\d+)(?: ([A-H]))?$/.exec(part);
    if (group) {
      const inner = listOf(group[1] as string);
      for (let n = Number(group[2]); n > 0; n--) items.push(...inner.map((item) => ({ ...item })));
      // A colour behind a group is that of all in it.
      if (group[3]) for (const item of items) item.colour ??= group[3];
      continue;
    }
    const own = /^(.*?)(?: ([A-H]))?$/.exec(part);
    items.push({ words: own?.[1] ?? '', ...(own?.[2] ? { colour: own[2] } : {}) });
    // `(1 sc, 1 dc) × 3, 1 sc B`: the colour told last is that of all before it that have none.
    if (own?.[2]) for (const item of items) item.colour ??= own[2];
  }
  return items;
}

class Maker {
  private readonly uk: boolean;
  private readonly word: 'Row' | 'Round' | 'Diagonal';
  /** Tops of the last two rows, in the order in which they were worked. */
  private below: Top[] = [];
  private below2: Top[] = [];
  private foundation = '';
  private hand = '';
  private chains = 0;
  /** The first round goes into a ring, not into a chain. */
  private ringed = false;

  constructor(uk: boolean, word: 'Row' | 'Round' | 'Diagonal') {
    this.uk = uk;
    this.word = word;
  }

  work(lines: readonly Line[]): void {
    lines.forEach((line, i) => {
      try {
        this.row(line, i + 1, lines.length);
      } catch (error) {
        if (error instanceof Lost)
          throw new Lost(`LOST ${error.message} — in “${line.text}” (${line.changes.join('; ')})`);
        throw error;
      }
    });
  }

  private say(us: string, uk: string): string {
    return this.uk ? uk : us;
  }

  private row({ text, changes, strands }: Line, number: number, rows: number): void {
    const read = /^(Row|Round|Diagonal) (\d+) \((?:RS|WS)\): (.+?)\. (.+)\.$/.exec(text);
    must(read !== null, 'no row of the form “Row n (RS): … . … .”');
    const [, word, told, body = '', end = ''] = read;
    must(word === this.word && Number(told) === number, `row ${number} is called ${word} ${told}`);
    for (const sentence of [text, ...changes, ...strands]) this.grammar(sentence);
    const [doing = '', close = ''] = body.split('; then ');
    const parts = doing.split('; ');
    const items = spelledOut(parts.at(-1) as string);
    const start = parts.slice(0, -1);
    const colour = items[0]?.colour as string;
    const turned = this.begin(start, items, number, colour);
    const under = turned ? this.below.toReversed() : this.below;
    const made = this.stitches(items, under, number, turned);
    this.colours(items, changes, close, number, rows);
    this.closing(close, items, number);
    this.total(end, items);
    this.below2 = under;
    this.below = made;
  }

  private grammar(sentence: string): void {
    must(!/ {2}| ;|inside\s*$|inside;|inside,|, ,|undefined|NaN/.test(sentence), `an empty place in “${sentence}”`);
    if (this.word === 'Round')
      must(
        !/\brows?\b(?! (below|down))/i.test(sentence.replace(/2 rows down/g, '')),
        `a row in a round: “${sentence}”`,
      );
  }

  /** Everything before the first stitch. @returns whether the work was turned */
  private begin(start: readonly string[], items: readonly Item[], number: number, colour: string): boolean {
    const text = start.join('; ');
    if (number === 1) {
      this.beginChain(text, items, colour);
      return false;
    }
    const sl = this.say('sl st', 'ss');
    const anew = new RegExp(`join ([A-H]) with a ${sl} in the first stitch`).exec(text);
    const taken = /take up the loop of ([A-H]), ch 1/.exec(text);
    if (anew) this.hand = anew[1] as string;
    if (taken) this.hand = taken[1] as string;
    const turned = /(^|; )turn(;|$)/.test(text);
    const straight = /do not turn/.test(text);
    must(!(turned && straight), 'turned and not turned');
    const chain = /\bch (\d) in ([A-H])|first stitch, ch (\d)|loop of [A-H], ch (\d)|edges? .*|; ch (\d),/.exec(text);
    const count = Number(chain?.slice(1).find((each) => each !== undefined && /^\d$/.test(each)) ?? 0);
    const counts = /^(ch|chain) \d (\(|and)|^block /.test(items[0]?.words ?? '');
    must(!(counts && count > 0), 'a turning chain is told twice');
    must(counts || this.turningFits(count, items[0]?.words ?? '', text), `ch ${count} before “${items[0]?.words}”`);
    if (chain?.[2]) must(chain[2] === this.hand, `the turning chain is in ${chain[2]}, and ${this.hand} is in hand`);
    return turned;
  }

  private turningFits(count: number, first: string, text: string): boolean {
    if (/^ch \d/.test(first) || /bridge the group/.test(text)) return count === 0;
    const stitch = this.stitchOf(first);
    if (stitch.place === 'front two below') return count === 1;
    if (stitch.kind === 'sc') return count === 1;
    if (stitch.kind === 'hdc') return count === 1 || count === 2;
    return stitch.kind === 'dc' ? count === 2 || count === 1 : true;
  }

  private beginChain(text: string, items: readonly Item[], colour: string): void {
    this.foundation = text;
    this.hand = colour;
    const sl = this.say('sl st', 'ss');
    const first = items[0]?.words ?? '';
    if (/^magic ring in [A-H]/.test(text) || /^begin in [A-H]$/.test(text)) {
      this.chains = 0;
      this.ringed = true;
      return;
    }
    if (/foundation stitches, which make their chain/.test(text)) {
      this.chains = 0;
      return;
    }
    const chain = /^chain (\d+) in ([A-H])/.exec(text);
    must(chain !== null && chain[2] === colour, 'it is not said how many chains in which colour');
    this.chains = Number(chain[1]);
    const ring = text.includes(`join to a ring with a ${sl}`);
    if (ring) {
      if (this.chains === 4 && /^ch 3/.test(first)) {
        this.ringed = true;
        return;
      }
      must(/first \w+ in the first chain/.test(text), 'it is not said where the first stitch of the ring goes');
      must(
        this.consumed(items, true) === this.chains,
        `${this.consumed(items, true)} of ${this.chains} chains of the ring are taken`,
      );
      return;
    }
    const into = /in(?:to)? the (\d+)(?:st|nd|rd|th) chain from the hook/.exec(text);
    must(into !== null, 'it is not said into which chain the first stitch goes');
    const skipped = Number(into[1]) - 1;
    const toldTwice = /skip (\d) chains?, first/.exec(text);
    const counted = /^(\d) skipped chains/.exec(first);
    must(toldTwice !== null || counted !== null, 'it is not said which chains are skipped at the beginning');
    must(Number((toldTwice ?? counted)?.[1]) === skipped, `${skipped} chains lie before the first stitch`);
    const sides =
      /(\d+) stitch(?:es)? along the chain, then (\d+) along its other side, the first of them in the last chain again/.exec(
        text,
      );
    if (sides) {
      const side = this.chains - skipped;
      must(Number(sides[1]) === side && Number(sides[2]) === side, `each side of the chain has ${side} to work into`);
      must(this.consumed(items, false) === 2 * side, 'the round does not go all round the chain');
      return;
    }
    must(!/other side/.test(text), 'the other side of the chain is left open');
    const taken = skipped + this.consumed(items, false);
    must(taken === this.chains, `${taken} of ${this.chains} chains are taken`);
  }

  /** Chains that the first row takes behind those it begins with. */
  private consumed(items: readonly Item[], ring: boolean): number {
    let taken = 0;
    items.forEach(({ words }, i) => {
      const skips = /^ch (\d+) \(skip (\d+) chains?\)$/.exec(words);
      const many = Number(/^(\d+) /.exec(words)?.[1] ?? 1);
      if (skips) taken += Number(skips[2]);
      else if (/clusters?$/.test(words)) taken += 3 * many;
      else if (/the first cluster/.test(words)) taken += 1;
      else if (/^1 edge /.test(words)) taken += 3;
      else if (/skipped chains/.test(words)) must(i === 0 && !ring, 'chains are skipped within the row');
      else taken += many;
    });
    if (items.some(({ words }) => /cluster/.test(words))) {
      must(
        /skip 2 chains before every other cluster/.test(this.foundation),
        'it is not said which chains lie between clusters',
      );
      if (items.some(({ words }) => /^1 edge /.test(words)))
        must(/before the last/.test(this.foundation), 'it is not said which chains lie before the edge');
    }
    return taken;
  }

  private stitchOf(words: string): Stitch {
    const name = words.replace(/^\d+ /, '');
    const found = known.find((each) => (this.uk ? each.uk : each.us) === name);
    must(found !== undefined, `“${words}” is no stitch that I know`);
    return found;
  }

  /** Works the row into what is below. @returns what it leaves, in the order of working */
  private stitches(items: readonly Item[], under: readonly Top[], number: number, turned: boolean): Top[] {
    const made: Top[] = [];
    let at = 0;
    let gaps = 0;
    const first = number === 1;
    const next = (what: string): Top => {
      const top = under[at++];
      must(first || top !== undefined, `nothing is left below for ${what}`);
      return top ?? { kind: 'ch', colour: '' };
    };
    items.forEach(({ words, colour = '' }, i) => {
      const opening = this.opened(words, colour, i, first);
      if (opening) {
        if (opening.takes && !first) at++;
        made.push(...opening.leaves);
        if (opening.inGap) gaps++;
        return;
      }
      const chain = /^ch (\d+) \(skip (\d+) (chains?|stitch(?:es)?)\)$/.exec(words);
      if (chain) {
        must(chain[1] === chain[2], 'chains pass over another number of stitches');
        must(
          (chain[3] as string).startsWith('chain') === (first && this.chains > 0),
          `“${words}” passes over what is not there`,
        );
        for (let n = Number(chain[1]); n > 0; n--) {
          if (!first) next('a chain');
          made.push({ kind: 'ch', colour });
        }
        return;
      }
      const many = Number(/^(\d+) /.exec(words)?.[1] ?? 1);
      const name = words.replace(/^\d+ /, '');
      if (/^clusters?( in sp)?$/.test(name)) {
        must(/in sp$/.test(name) === !first, 'a cluster goes into a space, in row 1 into the chain');
        gaps += many;
        for (let n = 0; n < many; n++) made.push({ kind: 'cluster', colour });
        return;
      }
      if (/^edge (dc|tr)$/.test(name)) {
        must(i === items.length - 1, 'the edge stitch is not the last');
        made.push({ kind: 'edge', colour });
        return;
      }
      if (/^blocks?$/.test(name)) {
        for (let n = 0; n < many; n++) {
          next('a block');
          made.push({ kind: 'block', colour });
        }
        return;
      }
      const stitch = this.stitchOf(words);
      for (let n = 0; n < many; n++) {
        if (stitch.place === 'ring') must(first, 'only round 1 goes into the ring');
        else if (stitch.place === 'gap') gaps++;
        else if (!(first && this.chains === 0))
          this.into(stitch, first ? undefined : next(words), at - 1, colour, number, turned);
        for (let each = stitch.leaves ?? 1; each > 0; each--) made.push({ kind: stitch.kind, colour });
      }
    });
    this.allTaken(under, at, gaps, first, items);
    return made;
  }

  private into(
    stitch: Stitch,
    top: Top | undefined,
    at: number,
    colour: string,
    number: number,
    turned: boolean,
  ): void {
    if (!top) return;
    const way = this.twoBelow(at, turned);
    if (stitch.place === 'top')
      must(top.kind !== 'ch', 'a stitch goes into the top of a chain that is to be worked round');
    if (stitch.place === 'space') must(top.kind === 'ch' || top.kind === 'space', 'there is no chain space below');
    if (stitch.place === 'two below') {
      must(top.kind === 'ch', 'there are no chains to work over');
      if (number > 2) must(way?.kind !== 'ch', 'two rows down is a chain');
    }
    if (stitch.place === 'front two below') must(way?.colour === colour, 'two rows below is another colour');
    if (stitch.place === 'around own')
      must(way?.kind === 'dc' && way.colour === colour, 'there is no own post two rows below');
    if (stitch.place === 'base') must(top.kind === 'ch' && number === 3, 'A left no stitch of the base row free here');
    if (stitch.place === 'around A') must(top.kind === 'dc', 'there is no post of A here');
    if (stitch.place === 'around B') must(way?.kind === 'dc' && way.colour === 'B', 'there is no post of B here');
  }

  /** The row two below as this row meets it. `below2` is kept as the row below met it. */
  private twoBelow(at: number, turned: boolean): Top | undefined {
    const met = turned ? this.below2.toReversed() : this.below2;
    return met[at];
  }

  private opened(
    words: string,
    colour: string,
    i: number,
    first: boolean,
  ): { leaves: Top[]; takes: boolean; inGap?: boolean } | undefined {
    const dc = this.say('dc', 'tr');
    const hdc = this.say('hdc', 'htr');
    const one = (kind: Top['kind'], takes = true) => ({ leaves: [{ kind, colour }], takes });
    const head = first && !this.ringed ? '(\\d) skipped chains' : 'ch (\\d)';
    const is = (rest: string) => new RegExp(`^${head}${rest}$`).test(words);
    const counted = first && !this.ringed ? '' : 'counts as ';
    let found: { leaves: Top[]; takes: boolean; inGap?: boolean } | undefined;
    if (is(` \\(${counted}the first ${dc}\\)`)) found = one('dc');
    else if (is(` \\(${counted}the first ${hdc}\\)`)) found = one('hdc');
    else if (is(' \\(the edge post\\)')) found = one('post');
    else if (is(' \\(the first stitch and space\\)')) found = one('space');
    else if (is(` and 2 ${dc} \\(the first cluster\\)`)) found = { ...one('cluster', false), inGap: !first };
    else if (is(' \\(the edge stitch\\)')) found = one('edge', false);
    else if (new RegExp(`^ch 3 and 1 ${dc} in the same stitch$`).test(words)) {
      found = {
        leaves: [
          { kind: 'dc', colour },
          { kind: 'dc', colour },
        ],
        takes: true,
      };
    } else if (words === 'block on ch 6') found = one('block', false);
    else if (words === `block after 4 ${this.say('sl st', 'ss')}`) found = one('block');
    if (found) must(i === 0, `“${words}” stands within a row`);
    return found;
  }

  /** Nothing may be left over below, and nothing be taken that is not there. */
  private allTaken(under: readonly Top[], at: number, gaps: number, first: boolean, items: readonly Item[]): void {
    if (first) return;
    const kinds = new Set(under.map(({ kind }) => kind));
    if (kinds.has('cluster')) {
      must(gaps === under.length - 1, `${gaps} clusters for ${under.length - 1} spaces`);
      return;
    }
    if (kinds.has('post') || items.some(({ words }) => / between posts/.test(words))) {
      must(gaps === under.length - 1, `${gaps} stitches for ${under.length - 1} gaps between posts`);
      return;
    }
    if (kinds.has('block')) {
      must(at === under.length || at === under.length - 1, `${at} of ${under.length} blocks are met`);
      return;
    }
    must(at === under.length, `${under.length - at} stitches below are left over`);
  }

  /** Every colour comes in where it is told, one stitch early, and nowhere else. */
  private colours(
    items: readonly Item[],
    changes: readonly string[],
    close: string,
    number: number,
    rows: number,
  ): void {
    const sl = this.say('sl st', 'ss');
    let at = 0;
    let done = 0;
    const clusters = items.some(({ words }) => /cluster/.test(words));
    const blocks = items.some(({ words }) => /^(\d+ )?blocks?/.test(words));
    const fleck = (item: Item | undefined) => /fleck/.test(item?.words ?? '');
    items.forEach((item, i) => {
      done += this.amount(item.words, clusters, blocks);
      const after = items[i + 1];
      if (!after || after.colour === item.colour || fleck(item) || fleck(after)) return;
      const told = changes[at++];
      const wanted = blocks
        ? `open block ${done + 1} with its chain in ${after.colour}`
        : /the edge stitch/.test(item.words)
          ? `finish the ch 3 of the edge in ${after.colour}`
          : `finish ${clusters ? 'cluster' : 'stitch'} ${done} in ${after.colour}`;
      must(told === wanted, `“${wanted}” is told as “${told}”`);
      this.hand = after.colour as string;
    });
    const last = changes[at++];
    must(changes.length <= at, `a change too many: “${changes.at(-1)}”`);
    this.hand = items.at(-1)?.colour as string;
    if (last === undefined) {
      must(!/drawn through in/.test(close), 'a colour is drawn in that no change tells');
      return;
    }
    must(number < rows, 'a colour comes in after the last row');
    const next = /in ([A-H])$/.exec(last)?.[1] as string;
    if (this.word === 'Round') {
      must(last === `draw the joining ${sl} through in ${next}`, `a round changes where it is joined, not “${last}”`);
      must(close.endsWith(`drawn through in ${next}`), `the joining is not told in ${next}`);
    } else if (blocks)
      must(/^open the next diagonal with its chain in /.test(last), `a diagonal is opened, not “${last}”`);
    else if (close.startsWith(sl)) {
      must(
        last === `draw the ${sl} into the edge stitch through in ${next}`,
        `the slip stitch takes the change, not “${last}”`,
      );
    } else
      must(
        /^finish the (last (sc|hdc|dc|htr|tr|cluster)|edge (dc|tr))/.test(last),
        `the row does not end in “${last}”`,
      );
    this.hand = next;
  }

  /** What an item counts for, where changes are told by number. */
  private amount(words: string, clusters: boolean, blocks: boolean): number {
    const many = Number(/^(\d+) (?!skipped)/.exec(words)?.[1] ?? 1);
    if (clusters) return /cluster/.test(words) ? many : 0;
    if (blocks) return many;
    if (/the edge post/.test(words)) return 0;
    if (/and 1 (dc|tr) in the same stitch/.test(words)) return 2;
    if (/^ch \d+ \(skip/.test(words)) return Number(/^ch (\d+)/.exec(words)?.[1]);
    return /\binc$/.test(words) ? 2 * many : many;
  }

  private closing(close: string, items: readonly Item[], number: number): void {
    const sl = this.say('sl st', 'ss');
    if (this.word === 'Round') {
      must(close.startsWith(`${sl} in the `), 'the round is never joined');
      const first = items[0]?.words ?? '';
      const where = /in the (?:top of the )?first (\S+)/.exec(close)?.[1]?.replace(/,$/, '');
      if (/^ch \d+ \(skip/.test(first)) must(where === 'chain', `joined in the first ${where}`);
      else if (/^ch 3/.test(first)) must(where === 'ch', `joined in the first ${where}`);
      else if (/^\d+ inc$/.test(first)) must(where === this.say('dc', 'tr'), `joined in the first ${where}`);
      else
        must(
          first.replace(/^\d+ /, '').startsWith(where ?? '?'),
          `joined in the first ${where}, and the first is ${first}`,
        );
      return;
    }
    const bridge = number > 1 && /^ch \d+ \(skip/.test(items[0]?.words ?? '') && this.word === 'Row';
    must(
      bridge === close.startsWith(`${sl} into the edge stitch`),
      'a bridge ends with a slip stitch into the edge stitch',
    );
  }

  private total(end: string, items: readonly Item[]): void {
    const told = /^(\d+) /.exec(end)?.[1];
    const byColour = new Map<string, number>();
    let sum = 0;
    for (const { words, colour = '' } of items) {
      const many = Number(/^(\d+) (?!skipped)/.exec(words)?.[1] ?? 1);
      const each = /block/.test(words)
        ? many
        : /cluster/.test(words)
          ? 3 * many
          : /first stitch and space/.test(words)
            ? 2
            : this.amount(words, false, false);
      sum += each;
      byColour.set(colour, (byColour.get(colour) ?? 0) + (/edge post/.test(words) ? 1 : each));
    }
    must(Number(told) === sum, `${sum} stitches are told as ${told}`);
    const colours = /\(([^()]*\d+ [A-H][^()]*)\)/.exec(end)?.[1];
    const wanted = [...byColour].sort(([a], [b]) => (a < b ? -1 : 1)).map(([colour, count]) => `${count} ${colour}`);
    must(colours === wanted.join(', '), `the colours ${wanted.join(', ')} are told as ${colours}`);
    if (/^sl st|^ss/.test(end)) throw new Lost('the slip stitch is told after the count');
  }
}

/** A plan of a pattern as the maker gets it: its lines, in either terms. */
function printed(wish: WishInput, terms: 'US' | 'UK') {
  const plan = planWish(wishSchema.parse(wish));
  if (!plan.ok) return undefined;
  const document = planDocument(plan.value, { terms });
  return { document, lines: document.rows };
}

type Made = StitchPattern['made'];

/** Every way in which a pattern of the book can be made. */
const ways = patternBook.flatMap((pattern) => {
  const others = makingsOf(pattern.technique).filter((made) => made === 'rounds' || made === 'turned-rounds');
  const own: Made[] = [pattern.made, ...others.filter((made) => made !== pattern.made)];
  return own.map((made) => ({ pattern, made }));
});

const groups = [...new Set(ways.map(({ pattern, made }) => `${pattern.technique}, ${made}`))];

/** A random wish for one of the patterns of a group. */
function wishOf(group: string) {
  const own = ways.filter(({ pattern, made }) => `${pattern.technique}, ${made}` === group);
  return fc
    .record({
      which: fc.nat({ max: own.length - 1 }),
      wide: fc.integer({ min: 1, max: 4 }),
      high: fc.integer({ min: 1, max: 3 }),
      begin: fc.constantFrom('first', 'second', 'third', 'fourth'),
      policy: fc.constantFrom(
        'carry-always' as const,
        'as-needed' as const,
        'cut-always' as const,
        'side-only' as const,
      ),
      stitch: fc.nat({ max: 2 }),
      loops: fc.constantFrom('both' as const, 'back' as const, 'front' as const),
    })
    .map(({ which, wide, high, begin, policy, stitch, loops }) => {
      const { pattern, made } = own[which] as (typeof own)[number];
      const colours = pattern.colours;
      const main = pattern.stitches[stitch % Math.max(1, pattern.stitches.length)];
      const wish: WishInput = {
        title: pattern.name,
        item: 'mat',
        width: { by: 'repeats', count: wide },
        height: { by: 'repeats', count: pattern.technique === 'mesh' ? high + 2 : high + 1 },
        pattern: {
          key: pattern.key,
          ...(main ? { stitch: main } : {}),
          ...(made !== pattern.made ? { made: made as 'rounds' } : {}),
          ...(pattern.technique === 'carried' ? { loops } : {}),
        },
        edges: 'whole',
        ending: 'any',
        policy,
        gauge: { from: 'typical' },
        yarns: colours.map((letter) => ({ letter, name: letter, shade: '#888888', weight: 4, fibre: 'cotton' })),
      };
      return { wish, begin };
    });
}

/** The same wish begun in the n-th way that there is. */
function begunAs(wish: WishInput, begin: string): WishInput {
  const at = ['first', 'second', 'third', 'fourth'].indexOf(begin);
  const refused = planWish(wishSchema.parse({ ...wish, foundation: 'none' }));
  const offered = refused.ok
    ? []
    : (/Choose one of: (.+)\./.exec(told(refused.problems[0]).hint ?? '')?.[1]?.split(', ') ?? []);
  const key = offered[at % Math.max(1, offered.length)];
  return key ? { ...wish, foundation: key } : wish;
}

function wordOf(group: string): 'Row' | 'Round' | 'Diagonal' {
  if (/rounds$/.test(group)) return 'Round';
  return group.endsWith('diagonals') ? 'Diagonal' : 'Row';
}

/** Plans that are followed: a few with every run, twenty of each with `PUNTADA_LONG=1`. */
const [followedPlans, tried] = process.env.PUNTADA_LONG ? [20, 34] : [3, 10];

describe.each(groups)('%s, followed to the letter', (group) => {
  it.each(['US', 'UK'] as const)(
    `in %s terms comes out as it is told, in ${followedPlans} plans at random`,
    (terms) => {
      let followed = 0;
      fc.assert(
        fc.property(wishOf(group), ({ wish, begin }) => {
          const plan = printed(begunAs(wish, begin), terms);
          if (!plan || followed >= followedPlans + 4) return;
          followed++;
          new Maker(terms === 'UK', wordOf(group)).work(plan.lines);
          for (const { abbreviation, made } of plan.document.legend) {
            // What is no plain stitch is told stitch by stitch, in other words than its own.
            const plain = /^(sc|hdc|dc|htr|tr|ch|ch \d \(counts as .*\))$/.test(abbreviation);
            const ring = / in ring$/.test(abbreviation);
            if (!plain && !ring)
              expect([abbreviation, made !== undefined && made !== abbreviation]).toEqual([abbreviation, true]);
          }
          // A blocks' first diagonal has nothing to mark; the post at the edge is no stitch top.
          if (wordOf(group) === 'Diagonal') expect(plan.document.rows[0]?.markers).toEqual([]);
          if (group.startsWith('wide'))
            expect(plan.document.rows[1]?.markers.join()).not.toContain('top of the turning chain');
          // Rows that are told as others have the same strands.
          for (const line of plan.document.grouped) {
            const as = /^\w+ (\d+): as \w+ (\d+)\.$/.exec(line);
            if (!as) continue;
            const [one, two] = [plan.document.rows[Number(as[1]) - 1], plan.document.rows[Number(as[2]) - 1]];
            expect(one?.strands).toEqual(two?.strands);
          }
        }),
        { numRuns: tried },
      );
      expect(followed).toBeGreaterThanOrEqual(followedPlans);
    },
  );
});
