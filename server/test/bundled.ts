import { mkdtempSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { build } from 'esbuild';

const root = fileURLToPath(new URL('../../', import.meta.url));

/** Builds a thread or a process as the program is built. @param source from `server/src` on */
export async function bundled(source: string): Promise<{ readonly file: URL; remove(): void }> {
  // Within the project, where it finds the packages too.
  const folder = mkdtempSync(join(root, '.cache/bundled-'));
  const outfile = join(folder, 'built.mjs');
  await build({
    entryPoints: [join(root, 'server/src', source)],
    outfile,
    bundle: true,
    packages: 'external',
    alias: { '@puntada/core': join(root, 'core/src') },
    format: 'esm',
    platform: 'node',
  });
  return { file: pathToFileURL(outfile), remove: () => rmSync(folder, { recursive: true, force: true }) };
}
