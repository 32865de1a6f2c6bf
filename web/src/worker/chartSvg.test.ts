import { must, seenGrid } from '@puntada/core/craft';
import { planWish } from '@puntada/core/plan';
import { sampleWish } from '../../../core/test/sampleWish.ts';
import { chartSvg } from './chartSvg.ts';

describe('the chart of a plan as a drawing', () => {
  const plan = must(planWish(sampleWish()));

  it.each(['right', 'left'] as const)('of a %s hand is the chart: read back from its rectangles', (hand) => {
    const svg = chartSvg(plan, hand);
    const { wide, high, colour } = seenGrid(plan.piece.fabric);
    const shades = plan.prepared.yarns.map(({ shade }) => shade);
    const rectangles = [
      ...svg.matchAll(/<rect x="([\d.]+)" y="([\d.]+)" width="(\d+)" height="([\d.]+)" fill="(#\w+)"/g),
    ];
    const tops = [...new Set(rectangles.map(([, , y]) => Number(y)))].sort((a, b) => b - a);
    expect(tops).toHaveLength(high);
    let cells = 0;
    for (const [, x, y, across, , shade = ''] of rectangles) {
      const row = tops.indexOf(Number(y));
      for (let i = 0; i < Number(across) / 20; i++) {
        const fromLeft = (Number(x) - 44) / 20 + i;
        const column = hand === 'right' ? wide - 1 - fromLeft : fromLeft;
        expect(shade).toBe(shades[colour(column, row) as number]);
        cells++;
      }
    }
    expect(cells).toBe(wide * high);
  });

  it('holds no sign of a title that would end it', () => {
    const svg = chartSvg(must(planWish(sampleWish({ title: '<b> & "c"' }))), 'right');
    expect(svg).toContain('<title>&#60;b&#62; &#38; &#34;c&#34;</title>');
  });
});
