import { Skeleton } from '../parts/Skeleton.tsx';

/** The shape of any view, while it is fetched: a head, and what stands below it. */
export function PageShape() {
  return (
    <div aria-busy>
      <p role="status" className="sr-only">
        Opening…
      </p>
      <div aria-hidden className="border-b border-rule bg-paper">
        <div className="mx-auto flex h-[68px] max-w-[1440px] items-center gap-5 px-6">
          <div className="size-9 rounded-md bg-sheet" />
          <div className="h-6 w-[min(280px,50vw)] bg-sheet" />
        </div>
      </div>
      <div className="mx-auto max-w-[1440px] px-6">
        <Skeleton rows={4} height={144} />
      </div>
    </div>
  );
}
