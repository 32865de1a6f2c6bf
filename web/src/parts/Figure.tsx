import type { Printed } from '@puntada/core/craft';

/** A figure in counts' type; that it is only typical stands beside it as a small constant mark. */
export function Figure({ of, className = '' }: { of: Pick<Printed, 'text' | 'typical'>; className?: string }) {
  return (
    <span className={`count ${className}`}>
      {of.text}
      {of.typical ? <TypicalMark /> : null}
    </span>
  );
}

/** A figure of a plan document, as it is shown. */
export function shownFigure({ short, source }: { short: string; source: string }): Pick<Printed, 'text' | 'typical'> {
  return { text: short, typical: source === 'typical' };
}

/** A text that is no typical figure. */
export function plain(text: string): Pick<Printed, 'text' | 'typical'> {
  return { text, typical: false };
}

function TypicalMark() {
  return (
    <span className="ml-1.5 inline-block rounded-sm border border-ochre px-1 align-[0.12em] font-sans text-[12px] leading-tight font-medium text-ochre">
      typical
    </span>
  );
}
