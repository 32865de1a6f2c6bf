import { expect, test, wishedCloth } from '../e2e/server.ts';

/** A scripted drag of 200 frames over a 200 × 200 cloth: scripting of each frame, told by the browser itself. */
test('dragging an edge', async ({ page, server }) => {
  const id = await wishedCloth(server, {
    item: 'blanket',
    width: { by: 'length', length: '125 cm' },
    height: { by: 'length', length: '111 cm' },
    edges: 'whole',
    ending: 'whole',
  });
  await page.goto(`${server.address}/works/${id}/size`);
  const edge = page.getByRole('slider', { name: 'Width' });
  await expect(edge).toHaveAttribute('aria-valuetext', /^200 stitches/);
  const box = await edge.boundingBox();
  if (!box) throw new Error('no edge');
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
  let notches = 0;
  let before = await edge.getAttribute('aria-valuetext');
  for (let frame = 0; frame < 200; frame++) {
    const started = await scripting();
    await page.mouse.move(x + 60 * Math.sin(frame / 9), y);
    await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => setTimeout(done))));
    frames.push(((await scripting()) - started) * 1000);
    const now = await edge.getAttribute('aria-valuetext');
    if (now !== before) notches++;
    before = now;
  }
  await page.mouse.up();
  frames.sort((a, b) => a - b);
  const at = (part: number) => (frames[Math.floor(frames.length * part)] as number).toFixed(1);
  console.log(
    `scripting a frame: median ${at(0.5)} ms, 95th percentile ${at(0.95)} ms, longest ${at(0.999)} ms; ${notches} notches`,
  );
  expect(notches).toBeGreaterThan(50);
  expect(Number(at(0.95))).toBeLessThan(16);
});
