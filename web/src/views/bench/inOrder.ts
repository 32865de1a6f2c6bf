import type { WorkSummary } from '@puntada/core/records';

/** In which order projects stand on the bench. */
export type Order = 'need' | 'latest' | 'name';

/** What is overdue, due or was changed from elsewhere asks for its maker: the soonest first. */
function need({ due, notice }: WorkSummary): string {
  if (due) return due;
  return notice ? '9998' : '9999';
}

/** Projects in an order. @param works the latest worked first, as the server lists them */
export function inOrder(works: readonly WorkSummary[], order: Order): WorkSummary[] {
  if (order === 'latest') return [...works];
  if (order === 'name') return [...works].sort((a, b) => a.wish.title.localeCompare(b.wish.title));
  return [...works].sort((a, b) => need(a).localeCompare(need(b)));
}

/** Whether a project has some text in its name, its yarns or what it is, whatever the letters' size. @param item its name in words */
export function has({ wish }: WorkSummary, text: string, item: string): boolean {
  const wanted = text.trim().toLowerCase();
  return [wish.title, item, ...wish.yarns.map(({ name }) => name)].some((each) => each.toLowerCase().includes(wanted));
}
