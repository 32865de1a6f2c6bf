import { expect, test } from '../e2e/server.ts';

/** A scripted stroke of 200 frames over a chart of 300 × 300 cells: scripting of each frame, told by the browser itself. */
test('drawing on the desk', async ({ page, server }) => {
  const side = 300;
  const rows = Array.from({ length: side }, (_, row) =>
    Array.from({ length: side }, (_, cell) => ((row * 7 + cell * 13 + ((row * cell) % 11)) % 5 < 2 ? 'A' : 'B')).join(
      '',
    ),
  );
  const text = `pattern own-1 "Large"\nabout ""\ntechnique carried\nmade flat\nstitch sc\ncolours A B\nacross ${side} "repeats"\nup ${side} "repeats"\nread seen\nchart\n${rows.map((row) => `  ${row}`).join('\n')}\nend\n`;
  const { id } = await server.post<{ id: string }>('/patterns', {
    pattern: { format: 'puntada-own-pattern', version: 1, text, note: '' },
  });
  await page.goto(`${server.address}/desk/${id}`);
  const chart = page.locator('[aria-roledescription="chart"]');
  await expect(chart).toBeVisible();
  await page.waitForTimeout(4000);
  const box = await chart.boundingBox();
  if (!box) throw new Error('no chart');
  const session = await page.context().newCDPSession(page);
  await session.send('Performance.enable');
  const scripting = async () => {
    const { metrics } = await session.send('Performance.getMetrics');
    return metrics.find((metric) => metric.name === 'ScriptDuration')?.value ?? 0;
  };
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  const frames: number[] = [];
  for (let frame = 0; frame < 200; frame++) {
    const started = await scripting();
    await page.mouse.move(x + 120 * Math.sin(frame / 9), y + 90 * Math.cos(frame / 13));
    await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => setTimeout(done))));
    frames.push(((await scripting()) - started) * 1000);
  }
  await page.mouse.up();
  frames.sort((a, b) => a - b);
  const at = (part: number) => (frames[Math.floor(frames.length * part)] as number).toFixed(1);
  console.log(`scripting a frame: median ${at(0.5)} ms, 95th percentile ${at(0.95)} ms, longest ${at(0.999)} ms`);
  await expect(page.getByText('✓ Saved')).toBeVisible();
  const [stored] = await server.get<{ pattern: { text: string } }[]>('/patterns');
  expect(stored?.pattern.text).not.toBe(text);
  expect(Number(at(0.95))).toBeLessThan(16);
});
