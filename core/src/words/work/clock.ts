/** Minutes as a clock tells them: `0:41`. */
export function clockWords(minutes: number): string {
  return `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`;
}
