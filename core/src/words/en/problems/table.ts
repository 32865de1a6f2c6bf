import type { Facts, Told } from '../../../craft/values/problem.ts';

export type Words = readonly [message: string, hint: string];

export type Tell = (problem: Told) => Words;

/** The words of some codes: what is wrong and what to do, from the facts. `told` tells another problem inside of it. */
export type Table = Readonly<Record<string, (f: Facts, told: Tell) => Words>>;
