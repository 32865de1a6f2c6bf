/** What is saved under a title, without its ending: a name that every system and every header can have. */
export function fileName(title: string): string {
  const plain = title
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 60);
  return plain || 'project';
}
