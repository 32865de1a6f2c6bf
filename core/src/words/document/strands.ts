import type { Plan } from '../../plan/piece/plan.ts';
import { comparePolicies, contrastOf, type PolicyFigures } from '../../plan/piece/policies.ts';
import { strandLedger } from '../../plan/route/ledger.ts';
import { halfTwists } from '../../plan/route/twists.ts';
import { policyWorkings } from '../../plan/workings/strandWorkings.ts';
import type { Working } from '../../plan/workings/working.ts';
import type { PlanDocument } from '../../records/planDocument.ts';
import { untwistWords } from '../en/advice.ts';
import { policyNames } from '../en/yarns.ts';
import type { Terms } from '../terms/termed.ts';
import { printedWorking } from '../workings/printed.ts';
import { rounded } from './figures.ts';

/** The way of the strands through the piece, and what each other way would come to. */
export function strandsOf(plan: Plan, terms: Terms): Pick<PlanDocument, 'strands' | 'policies'> {
  const { prepared, piece } = plan;
  const { wish } = prepared;
  const ledger = strandLedger(piece.fabric, piece.strands, contrastOf(prepared));
  const workingsOf = (each: PolicyFigures) => {
    const { extra, ends, time } = policyWorkings(prepared, each);
    const print = (working: Working) => printedWorking(working, prepared.told, terms);
    return { extra: print(extra), ends: print(ends), time: print(time) };
  };
  const twists = halfTwists(piece.strands).at(-1) ?? 0;
  return {
    strands: {
      policy: wish.policy,
      floats: wish.floats,
      ends: piece.ends - piece.closedIn,
      carriedStitches: Math.round(ledger.carried),
      rowsClimbed: ledger.climbedRows,
      bobbins: ledger.bobbins,
      thickness: [...ledger.thickness],
      showThrough: rounded(ledger.show, 1),
      halfTwists: twists,
      untwist: untwistWords(twists),
    },
    policies: comparePolicies(prepared, piece.fabric).map((each) => ({
      policy: each.policy,
      name: policyNames[each.policy],
      ends: each.ends - each.closedIn,
      carriedStitches: Math.round(each.carried),
      extraMetres: rounded(each.extraMetres, 1),
      minutes: Math.round(each.minutes),
      thickness: [...each.thickness],
      showThrough: rounded(each.show, 1),
      workings: workingsOf(each),
      ...(each.sameAs ? { sameAs: policyNames[each.sameAs] } : {}),
    })),
  };
}
