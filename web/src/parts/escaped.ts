/** A text in which no sign means anything to SVG but itself. */
export function escaped(text: string): string {
  return text.replace(/[&<>"]/g, (each) => `&#${each.charCodeAt(0)};`);
}
