import { expect, type Page } from '@playwright/test';

/**
 * Works a project to its end, as a maker does: rows at once, every part of a step for itself.
 * @returns the steps that were counted, each by its parts
 */
export async function toTheEnd(page: Page): Promise<Map<string, number>> {
  const steps = new Map<string, number>();
  let counted = '';
  const [row, step] = [page.getByTestId('row-number'), page.getByTestId('step-name')];
  for (let press = 0; press < 900; press++) {
    await expect(
      row
        .or(step)
        .or(page.getByRole('button', { name: 'Mark as finished' }))
        .first(),
    ).toBeVisible();
    const heard = (await page.getByTestId('heard').textContent()) ?? '';
    if (await step.isVisible()) {
      const name = (await step.textContent()) ?? '';
      // What is shown twice in a row is one part: it is pressed again, and not counted again.
      if (counted !== name + heard) steps.set(name, (steps.get(name) ?? 0) + 1);
      counted = name + heard;
      await page.keyboard.press('Space');
    } else if (await row.isVisible()) await page.keyboard.press('Enter');
    else return steps;
    await expect(page.getByTestId('heard')).not.toHaveText(heard);
  }
  throw new Error('no end');
}
