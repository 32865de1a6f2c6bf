/** A figure in counts' type; that it is only typical stands beside it as a small constant mark. */
export function Figure({ text, className = '' }: { text: string; className?: string }) {
  const typical = text.endsWith(' typical');
  return (
    <span className={`count ${className}`}>
      {typical ? text.slice(0, -' typical'.length) : text}
      {typical ? <TypicalMark /> : null}
    </span>
  );
}

function TypicalMark() {
  return (
    <span className="ml-1.5 inline-block rounded-sm border border-ochre px-1 align-[0.12em] font-sans text-[12px] leading-tight font-medium text-ochre">
      typical
    </span>
  );
}
