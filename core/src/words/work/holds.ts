function many(count: number, one: string, more: string): string {
  return `${count} ${count === 1 ? one : more}`;
}

/** What a backup holds: `1 project, 4 yarns and 2 swatches`. */
export function holdsWords({ works, yarns, swatches }: { works: number; yarns: number; swatches: number }): string {
  const parts = [many(works, 'project', 'projects'), many(yarns, 'yarn', 'yarns')];
  return `${parts.join(', ')} and ${many(swatches, 'swatch', 'swatches')}`;
}
