/** Brackets within brackets, at most: no document of ours has a tenth of it. */
const deepest = 60;

const [quote, backslash] = ['"', '\\'].map((each) => each.charCodeAt(0));
const opening = ['{', '['].map((each) => each.charCodeAt(0));
const closing = ['}', ']'].map((each) => each.charCodeAt(0));

/** How deep the brackets of a JSON text go. */
export function depthOf(text: Uint8Array): number {
  let [depth, most, quoted] = [0, 0, false];
  for (let i = 0; i < text.length; i++) {
    const letter = text[i] as number;
    if (quoted) {
      if (letter === backslash) i++;
      else if (letter === quote) quoted = false;
    } else if (letter === quote) quoted = true;
    else if (opening.includes(letter)) most = Math.max(most, ++depth);
    else if (closing.includes(letter)) depth--;
  }
  return most;
}

/** Refuses a body that is nested deeper than anything that reads it goes, before it is parsed. @throws with status 400 */
export function refuseDeep(_request: unknown, _response: unknown, body: Buffer): void {
  if (depthOf(body) > deepest) throw Object.assign(new Error('nested too deep'), { status: 400 });
}
