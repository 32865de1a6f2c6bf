import { createHash } from 'node:crypto';

/** The seal of contents: their JSON without spaces, hashed with SHA-256, in hexadecimal. */
export function sealOf(of: unknown): string {
  return createHash('sha256').update(JSON.stringify(of)).digest('hex');
}
