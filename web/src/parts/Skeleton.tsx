/** The shape of rows that are on their way. @param rows how many @param height of each, px */
export function Skeleton({ rows, height }: { rows: number; height: number }) {
  return (
    <div aria-hidden>
      {Array.from({ length: rows }, (_, i) => (
        <div
          // biome-ignore lint/suspicious/noArrayIndexKey: they are all alike and never move
          key={i}
          className="flex items-center gap-6 border-b border-rule"
          style={{ height }}
        >
          <div className="grid w-[240px] max-w-[40%] gap-2">
            <div className="h-5 bg-sheet" />
            <div className="h-4 w-2/3 bg-sheet" />
          </div>
          <div className="h-2/3 flex-1 bg-sheet" />
        </div>
      ))}
    </div>
  );
}
