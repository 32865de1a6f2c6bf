import { readFileSync } from 'node:fs';
import AxeBuilder from '@axe-core/playwright';
import type { Page, Request } from '@playwright/test';

/** The addresses of all views, as the app itself lists them: `/works/:id/size`. */
export const addresses: readonly string[] = [
  ...readFileSync(new URL('../web/src/app/App.tsx', import.meta.url), 'utf8').matchAll(/^ {2}\['(\/[^']*)'/gm),
].map((match) => match[1] as string);

/** Which view an address leads to. */
export function viewOf(path: string): string | undefined {
  const parts = path.split('/');
  return addresses.find((address) => {
    const own = address.split('/');
    return own.length === parts.length && own.every((part, i) => part.startsWith(':') || part === parts[i]);
  });
}

/** Where the links of a page lead within the app. */
async function linksOf(page: Page): Promise<string[]> {
  return page.evaluate(() =>
    [...document.querySelectorAll<HTMLAnchorElement>('a[href]')]
      .filter(({ origin, pathname }) => origin === location.origin && !pathname.startsWith('/api'))
      .map(({ pathname, search }) => pathname + search),
  );
}

/** So long nothing is asked of the server by a page that rests, ms. */
const still = 150;

/** Opens an address and waits until the page rests. */
export async function visit(page: Page, address: string): Promise<void> {
  const asked = new Set<Request>();
  let last = Date.now();
  const ask = (request: Request) => asked.add(request);
  const answered = (request: Request) => {
    asked.delete(request);
    last = Date.now();
  };
  page.on('request', ask).on('requestfinished', answered).on('requestfailed', answered);
  await page.goto(address);
  await page.getByRole('main').waitFor();
  while (asked.size || Date.now() - last < still) await new Promise((done) => setTimeout(done, 25));
  page.off('request', ask).off('requestfinished', answered).off('requestfailed', answered);
  // What is worked out in the browser is no request.
  await page.waitForFunction(() => !document.querySelector('main [aria-busy="true"]'), undefined, { timeout: 30_000 });
}

/**
 * Goes through the app by its own links, from the bench on: to each view once, and to what is looked at in it
 * (`?from=piece`). Of works each state is one view of its own.
 * @param kinds the state of each work, by its id @param more addresses that no link leads to
 */
export async function* walk(
  page: Page,
  address: string,
  kinds: ReadonlyMap<string, string>,
  more: readonly string[] = [],
): AsyncGenerator<string> {
  const keyOf = (path: string) => {
    const [name = '', query = ''] = path.split('?');
    const id = name.split('/')[2] ?? '';
    const asked = query.startsWith('draft=') || query.startsWith('pattern=') ? query.split('=')[0] : query;
    return `${viewOf(name)} ${kinds.get(id) ?? ''} ${asked}`;
  };
  const seen = new Set<string>();
  const queue = ['/'];
  for (let path = queue.shift(); path !== undefined; path = queue.shift()) {
    if (seen.has(keyOf(path)) || viewOf(path.split('?')[0] ?? '') === undefined) continue;
    seen.add(keyOf(path));
    await visit(page, address + path);
    queue.push(...(await linksOf(page)));
    yield path;
  }
  for (const path of more) {
    await visit(page, address + path);
    yield path;
  }
}

export interface Finding {
  readonly what: string;
  readonly of: string;
}

/**
 * What axe finds by WCAG 2.2 AA and best practice. @param within only there @param only this rule alone
 */
export async function axe(page: Page, within?: string, only?: string): Promise<Finding[]> {
  // There are no frames to look into, so it need not open a page of its own to put its findings together.
  const builder = new AxeBuilder({ page });
  if (within) builder.include(within);
  if (only) builder.withRules(only);
  else builder.withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice']);
  const { violations } = await builder
    .options({ resultTypes: ['violations'] })
    .setLegacyMode()
    .analyze();
  return violations.flatMap(({ id, nodes }) => nodes.map((node) => ({ what: id, of: node.target.join(' ') })));
}

/** How far the page is wider than the screen, px. */
export function overflow(page: Page): Promise<number> {
  return page.evaluate(() => Math.max(0, document.documentElement.scrollWidth - window.innerWidth));
}

/** Words that are smaller than `least` px; those of drawings smaller than `drawn` px. */
export function smallWords(page: Page, least: number, drawn: number): Promise<Finding[]> {
  return page.evaluate(
    ([page_, drawing]) => {
      const found = new Map<string, { what: string; of: string }>();
      const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
      for (let node = walker.nextNode(); node; node = walker.nextNode()) {
        const text = node.textContent?.trim();
        const parent = node.parentElement;
        if (!text || !parent || parent.closest('script, style, .sr-only, [hidden]')) continue;
        const box = parent.getBoundingClientRect();
        if (!box.width || !box.height) continue;
        const svg = parent.closest('svg');
        let size = Number.parseFloat(getComputedStyle(parent).fontSize);
        if (svg) {
          const matrix = (parent as unknown as SVGGraphicsElement).getScreenCTM?.();
          if (matrix) size *= Math.hypot(matrix.a, matrix.b);
        }
        if (size < (svg ? drawing : page_) - 0.05) {
          found.set(`${parent.tagName} ${size}`, {
            what: `${size.toFixed(1)} px`,
            of: `${parent.tagName}: ${text.slice(0, 40)}`,
          });
        }
      }
      return [...found.values()];
    },
    [least, drawn] as const,
  );
}

/** Controls that are smaller than `least` px either way. A link within a sentence is as high as its line. */
export function smallTargets(page: Page, least: number): Promise<Finding[]> {
  return page.evaluate((side) => {
    const own =
      'a[href], button, input, select, textarea, summary, [role="slider"], [role="radio"], [role="tab"], [tabindex="0"]';
    const found: { what: string; of: string }[] = [];
    for (const each of document.querySelectorAll<HTMLElement>(own)) {
      if (each.closest('.sr-only, [hidden], [aria-hidden="true"]') || each.matches(':disabled')) continue;
      const label = each.closest('label');
      const boxes = [each.getBoundingClientRect(), ...(label ? [label.getBoundingClientRect()] : [])];
      const [width, height] = [Math.max(...boxes.map((box) => box.width)), Math.max(...boxes.map((box) => box.height))];
      if (!width || !height || getComputedStyle(each).visibility === 'hidden') continue;
      if (boxes[0] && (boxes[0].right < 0 || boxes[0].bottom < 0)) continue;
      const style = getComputedStyle(each);
      // One of several words of a line: it has no room of its own.
      const inline =
        style.display.startsWith('inline') &&
        [...(each.parentElement?.childNodes ?? [])].some(
          (node) => node !== each && node.nodeType === Node.TEXT_NODE && (node.textContent?.trim().length ?? 0) > 1,
        );
      if (inline || each.dataset.inline !== undefined) continue;
      if (width < side - 0.5 || height < side - 0.5) {
        const name = each.getAttribute('aria-label') ?? each.textContent?.trim() ?? '';
        found.push({
          what: `${Math.round(width)}×${Math.round(height)}`,
          of: `${each.tagName.toLowerCase()} ${name.slice(0, 40)}`,
        });
      }
    }
    return found;
  }, least);
}

/** What sticks out of the screen at its right, the innermost of it; not what can be scrolled in its own box. */
export function stickingOut(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const wide = [...document.querySelectorAll<HTMLElement>('body *')].filter((each) => {
      if (each.getBoundingClientRect().right <= window.innerWidth + 0.5) return false;
      for (let up = each.parentElement; up; up = up.parentElement) {
        if (/auto|scroll|hidden|clip/.test(getComputedStyle(up).overflowX)) return false;
      }
      return true;
    });
    return wide
      .filter((each) => !wide.some((other) => other !== each && each.contains(other)))
      .slice(0, 6)
      .map(
        (each) =>
          `${each.tagName.toLowerCase()}.${String(each.className).slice(0, 60)} ${Math.round(each.getBoundingClientRect().width)} “${(each.textContent ?? '').slice(0, 30)}”`,
      );
  });
}

/** What is chosen and looks just as what is not, beside it. */
export function chosenAlike(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const kinds = ['aria-pressed', 'aria-checked', 'aria-selected', 'aria-current'] as const;
    // Of a choice of several parts any of them may tell it.
    const look = (each: Element) =>
      [each, ...each.querySelectorAll('*')]
        .map((part) => {
          const { backgroundColor, borderColor, borderWidth, color, fontWeight, outline, textDecorationLine, width } =
            getComputedStyle(part);
          const whole = part === each ? '' : width;
          return [
            backgroundColor,
            borderColor,
            borderWidth,
            color,
            fontWeight,
            outline,
            textDecorationLine,
            whole,
          ].join();
        })
        .join();
    const isChosen = (each: Element, kind: string) => ![null, 'false'].includes(each.getAttribute(kind));
    const inSight = (each: Element) => each.getBoundingClientRect().width > 0;
    return kinds.flatMap((kind) =>
      [...document.querySelectorAll(`[${kind}]`)]
        .filter((each) => isChosen(each, kind) && inSight(each))
        .flatMap((chosen) => {
          const group = chosen.closest('[role="radiogroup"], [role="group"], [role="tablist"], nav, ul, fieldset');
          const others = [...(group?.querySelectorAll(chosen.tagName) ?? [])].filter(
            (each) =>
              !isChosen(each, kind) && inSight(each) && each.getAttribute('role') === chosen.getAttribute('role'),
          );
          const alike = others.length > 0 && others.every((each) => look(each) === look(chosen));
          return alike ? [`${kind} ${chosen.tagName} “${(chosen.textContent ?? '').slice(0, 30)}”`] : [];
        }),
    );
  });
}

/** Fields of a view that are typed into; the others look alike when they are wrong. */
const mostTyped = 3;

/** Types what no field can be into the first that are in sight, but for names and notes. */
export async function typeNonsense(page: Page): Promise<void> {
  const fields = page.locator('main input[type="text"]:visible, main input:not([type]):visible');
  const labels = await fields.evaluateAll((all) =>
    all.map((each) => (each as HTMLInputElement).labels?.[0]?.textContent ?? each.getAttribute('aria-label') ?? ''),
  );
  let typed = 0;
  for (const [i, label] of labels.entries()) {
    if (/name|title|note|maker/i.test(label) || typed >= mostTyped) continue;
    const field = fields.nth(i);
    if (!(await field.isEditable().catch(() => false))) continue;
    await field.fill('?', { timeout: 2000 }).catch(() => undefined);
    await field.blur({ timeout: 2000 }).catch(() => undefined);
    typed++;
  }
}
