/** Why a copy was made. */
export const reasons = ['asked', 'day', 'before-restore', 'before-import', 'before-migration'] as const;
export type Reason = (typeof reasons)[number];

export interface CopyName {
  readonly name: string;
  readonly reason: Reason;
  readonly madeAt: Date;
}

/** The file name of a copy: `puntada-2026-11-29T01-20-07.123Z-day.zip`. */
export function nameOf(madeAt: Date, reason: Reason): string {
  return `puntada-${madeAt.toISOString().replaceAll(':', '-')}-${reason}.zip`;
}

const form = /^puntada-(\d{4}-\d\d-\d\d)T(\d\d)-(\d\d)-(\d\d\.\d{3}Z)-([a-z-]+)\.zip$/;

/** What a file name says of a copy; nothing where it is none. */
export function readName(name: string): CopyName | undefined {
  const [, day, hour, minute, second, reason] = form.exec(name) ?? [];
  if (!day || !(reasons as readonly string[]).includes(reason ?? '')) return undefined;
  const madeAt = new Date(`${day}T${hour}:${minute}:${second}`);
  return Number.isNaN(madeAt.getTime()) ? undefined : { name, reason: reason as Reason, madeAt };
}

const dayMs = 86_400_000;
const dailyKept = 7;
const monthsKept = 12;
const askedKept = 3;
const safetyDays = 30;

/**
 * Which copies have had their time: of the daily ones the seven newest stay, and the newest of each month for a year; of
 * those that were asked for the three newest; of those made before something was replaced all of the last 30 days.
 */
export function outlived(copies: readonly CopyName[], now: Date): CopyName[] {
  const newest = [...copies].sort((a, b) => b.madeAt.getTime() - a.madeAt.getTime());
  const daily = newest.filter(({ reason }) => reason === 'day');
  const monthOf = ({ madeAt }: CopyName) => madeAt.getUTCFullYear() * 12 + madeAt.getUTCMonth();
  const thisMonth = now.getUTCFullYear() * 12 + now.getUTCMonth();
  const ofMonth = new Map<number, CopyName>();
  for (const copy of daily) if (!ofMonth.has(monthOf(copy))) ofMonth.set(monthOf(copy), copy);
  const stay = new Set<CopyName>([
    ...daily.slice(0, dailyKept),
    ...[...ofMonth].filter(([month]) => thisMonth - month < monthsKept).map(([, copy]) => copy),
    ...newest.filter(({ reason }) => reason === 'asked').slice(0, askedKept),
    ...newest.filter(
      ({ reason, madeAt }) => reason.startsWith('before-') && now.getTime() - madeAt.getTime() <= safetyDays * dayMs,
    ),
  ]);
  return newest.filter((copy) => !stay.has(copy));
}
