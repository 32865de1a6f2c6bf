import type { FinishKind } from '../../plan/finish/finish.ts';
import type { Ending } from '../../plan/steps/ending.ts';

const onward: Readonly<Record<FinishKind, string>> = {
  closing: 'the closing row',
  border: 'the border',
  envelope: 'the border',
  seam: 'the seam',
  mouth: 'the edging of the mouth',
  strap: 'the strap',
  ring: 'the hanging ring',
};

/** What to do with the last loop, a whole sentence: the same on every screen and on paper. */
export function endingWords(ending: Ending): string {
  switch (ending.kind) {
    case 'each-row':
      return 'Fasten off the last row like the others.';
    case 'goes-on':
      return `Do not cut ${ending.letter}: ${onward[ending.with]} continues with it.`;
    case 'long-end':
      return `Cut ${ending.letter} and leave a long end to sew the seam with; pull it through the last loop.`;
    case 'locked':
      return `Lock the last loop: lay ${ending.by} across it, chain 1 tightly over it in ${ending.letter}, and cut both.`;
    case 'drawn': {
      const drawn = `Fasten off: cut ${ending.letter} and pull the end through the last loop.`;
      return ending.unlocked ? `${drawn} No second yarn hangs there to lock it with.` : drawn;
    }
  }
}

/** The same in a few words, for the line that says what comes next. */
export function endingShort(ending: Ending): string {
  if (ending.kind === 'goes-on') return `${onward[ending.with]}, same yarn`;
  if (ending.kind === 'locked') return `lock with ${ending.by}, cut both`;
  return ending.kind === 'long-end' ? 'cut, leave a long end' : 'fasten off';
}
