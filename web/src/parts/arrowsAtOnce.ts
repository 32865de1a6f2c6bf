import type { KeyboardEvent } from 'react';

const steps: Readonly<Record<string, number>> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 };

/**
 * Moves the focus among the radios of a group the moment an arrow, Home or End is pressed. The group's own way waits for
 * a turn of the clock, and a Space that comes sooner is lost. For `onKeyDownCapture` of the group.
 */
export function arrowsAtOnce(event: KeyboardEvent<HTMLElement>): void {
  const radios = [...event.currentTarget.querySelectorAll<HTMLElement>('[role="radio"]:not(:disabled)')];
  const at = radios.indexOf(event.target as HTMLElement);
  const step = steps[event.key];
  if (at < 0 || (step === undefined && event.key !== 'Home' && event.key !== 'End')) return;
  const next = event.key === 'Home' ? 0 : event.key === 'End' ? -1 : (at + (step ?? 0)) % radios.length;
  event.preventDefault();
  event.stopPropagation();
  radios.at(next)?.focus();
}
