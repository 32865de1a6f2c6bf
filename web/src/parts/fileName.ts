/** A name as a file may have it on any system. */
export function fileName(name: string): string {
  const plain = name
    .normalize('NFC')
    .replace(/[\\/:*?"<>|\p{Cc}]+/gu, ' ')
    .trim()
    .replace(/\s+/g, '-');
  return plain.slice(0, 80) || 'pattern';
}
