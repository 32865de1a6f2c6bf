import { typicalYarns } from '../../craft/gauge/typical.ts';
import type { Yarn } from '../../craft/yarn/yarn.ts';
import { isTube } from '../fit/across.ts';
import { carriesInside } from '../wish/carries.ts';
import type { Prepared } from '../wish/prepare.ts';

/** What is known of the hook for a plan. */
export interface HookAdvice {
  /** Usual for the weight of the yarn, mm. */
  readonly usual: number;
  /** The hook of the wish, where it names one, mm. */
  readonly used: number | undefined;
  /** The hook moves the figures: nothing was measured yet. */
  readonly moves: boolean;
  /** One size up or down, and what it does; nothing where the usual one does. */
  readonly try?: { readonly hook: number; readonly why: 'supple' | 'hidden' | 'thin' } | undefined;
}

/** Hooks come in steps of half a millimetre, of a millimetre from 6.5 mm on. */
function step(hook: number): number {
  return hook >= 6.5 ? 1 : 0.5;
}

/** A yarn so thin that a strand inside shows between its stitches. */
const thin = 2;

/**
 * The hook that the case asks for. docs/craft.md, “Where the hook goes”: carried flat cloth one size up, so that it stays
 * supple; carried rounds of dc, in a tube or a circle, and a thin yarn, one size down, so that the strand does not show.
 */
export function hookAdvice(prepared: Prepared): HookAdvice {
  const { wish, bound, technique, gauge } = prepared;
  const { weight } = prepared.yarns[0] as Yarn;
  const usual = typicalYarns[weight].hook;
  const told = { usual, used: wish.hook, moves: gauge.source === 'typical' };
  if (!carriesInside(bound, technique, wish.policy)) return told;
  const round = isTube(prepared) || technique.circle === true;
  if (round && bound.stitch === 'dc') return { ...told, try: { hook: usual - step(usual), why: 'hidden' } };
  if (weight <= thin) return { ...told, try: { hook: usual - step(usual), why: 'thin' } };
  if (round) return told;
  return { ...told, try: { hook: usual + step(usual), why: 'supple' } };
}
