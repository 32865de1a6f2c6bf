const { options } = require('./.dependency-cruiser.cjs');

/** Each folder of core is a room, with arrows between rooms in one direction. Tests stand outside: they see everything. */
module.exports = {
  forbidden: [
    {
      name: 'no-circles-of-rooms',
      severity: 'error',
      scope: 'folder',
      from: { path: '^core/src' },
      to: { circular: true },
    },
  ],
  options: { ...options, exclude: { path: '(\\.test\\.ts$|^core/test/|^core/src/[^/]+/index\\.ts$)' } },
};
