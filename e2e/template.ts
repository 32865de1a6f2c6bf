import { rmSync } from 'node:fs';
import { TestServer } from './server.ts';

/** Makes one empty data folder for all tests to copy, and removes it afterwards. */
export default async function template(): Promise<() => void> {
  const server = await TestServer.create();
  const folder = await server.stop();
  process.env.PUNTADA_E2E_TEMPLATE = folder;
  return () => rmSync(folder, { recursive: true, force: true });
}
