/*
 * A machine whose power fails: loaded before the server with `--import`. What a file was given since it was last asked to
 * be on the disk may be there or not, write by write, and the last write in half. Names of files are kept as they are.
 * PUNTADA_CUT_AT: at which write to the database, counted from the start; PUNTADA_CUT_SEED: which writes are lost.
 */
import fs from 'node:fs';
import { syncBuiltinESMExports } from 'node:module';

const cutAt = Number(process.env.PUNTADA_CUT_AT);
let seed = Number(process.env.PUNTADA_CUT_SEED);
const chance = () => {
  seed = (seed * 1664525 + 1013904223) % 4294967296;
  return seed / 4294967296;
};

const real = { ...fs };
/** Paths of open descriptors. */
const paths = new Map();
/** What was written to each path since it was last put on the disk. */
const loose = new Map();
let writes = 0;

const watched = (path) => typeof path === 'string' && path.includes('/database/');

function remember(path, descriptor, position, bytes, size) {
  const kept = Buffer.alloc(Math.max(0, Math.min(bytes?.length ?? Number.MAX_SAFE_INTEGER, size - position)));
  if (kept.length) real.readSync(descriptor, kept, 0, kept.length, position);
  if (!loose.has(path)) loose.set(path, []);
  loose.get(path).push({ position, kept, size, bytes: bytes && Buffer.from(bytes) });
}

function cut() {
  for (const [path, changes] of loose) {
    if (!real.existsSync(path)) continue;
    const file = real.openSync(path, 'r+');
    for (const { position, kept, size } of [...changes].reverse()) {
      if (kept.length) real.writeSync(file, kept, 0, kept.length, position);
      real.ftruncateSync(file, size);
    }
    // All lost, all kept, or some of each.
    const share = [0, 1, chance()][Math.floor(chance() * 3)];
    for (const { position, bytes } of changes) {
      if (chance() >= share) continue;
      if (bytes) real.writeSync(file, bytes, 0, bytes.length, position);
      else real.ftruncateSync(file, position);
    }
    real.closeSync(file);
  }
  process.kill(process.pid, 'SIGKILL');
}

fs.openSync = (path, ...rest) => {
  const descriptor = real.openSync(path, ...rest);
  if (watched(path)) paths.set(descriptor, path);
  return descriptor;
};
fs.closeSync = (descriptor) => {
  paths.delete(descriptor);
  real.closeSync(descriptor);
};
fs.writeSync = (descriptor, buffer, offset, length, position) => {
  const path = paths.get(descriptor);
  if (path === undefined) return real.writeSync(descriptor, buffer, offset, length, position);
  const { size } = real.fstatSync(descriptor);
  const at = position ?? size;
  const bytes = Buffer.from(buffer.buffer, buffer.byteOffset + (offset ?? 0), length ?? buffer.byteLength);
  writes += 1;
  const torn = writes === cutAt ? bytes.subarray(0, Math.floor(bytes.length * chance())) : bytes;
  remember(path, descriptor, at, torn, size);
  real.writeSync(descriptor, torn, 0, torn.length, at);
  if (writes === cutAt) cut();
  return bytes.length;
};
fs.ftruncateSync = (descriptor, length = 0) => {
  const path = paths.get(descriptor);
  if (path) remember(path, descriptor, length, undefined, real.fstatSync(descriptor).size);
  real.ftruncateSync(descriptor, length);
};
fs.truncateSync = (path, length) => {
  const descriptor = fs.openSync(path, 'r+');
  fs.ftruncateSync(descriptor, length);
  fs.closeSync(descriptor);
};
fs.fsyncSync = (descriptor) => {
  real.fsyncSync(descriptor);
  loose.delete(paths.get(descriptor));
};
fs.renameSync = (from, to) => {
  real.renameSync(from, to);
  if (loose.has(from)) loose.set(to, loose.get(from));
  else loose.delete(to);
  loose.delete(from);
};
syncBuiltinESMExports();
