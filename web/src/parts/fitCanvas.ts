/** Makes a canvas as large as the px it fills, in dots of the screen. @returns dots of a px */
export function fitCanvas(canvas: HTMLCanvasElement, wide: number, high: number): number {
  const dots = window.devicePixelRatio || 1;
  const [width, height] = [Math.round(wide * dots), Math.round(high * dots)];
  if (canvas.width !== width) canvas.width = width;
  if (canvas.height !== height) canvas.height = height;
  return dots;
}
