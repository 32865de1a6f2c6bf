import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import express from 'express';
import { guard } from './guard.ts';

describe('what a browser is told of an answer', () => {
  let server: Server;
  const headersOf = async (path: string) =>
    (await fetch(`http://127.0.0.1:${(server.address() as AddressInfo).port}${path}`)).headers;

  beforeAll(async () => {
    const app = express();
    app.use(guard);
    app.use((_request, response) => void response.end('it'));
    server = await new Promise((done) => {
      const listening = app.listen(0, '127.0.0.1', () => done(listening));
    });
  });
  afterAll(() => void server.close());

  it.each(['/works', '/assets/planner.worker-1.js'])(
    '%s takes scripts, styles and fonts from the app alone',
    async (path) => {
      const headers = await headersOf(path);
      const rules = new Map(
        (headers.get('content-security-policy') ?? '').split(';').map((rule) => {
          const [name = '', ...from] = rule.trim().split(' ');
          return [name, from];
        }),
      );
      expect(rules.get('script-src')).toEqual(["'self'"]);
      expect(rules.get('font-src')).toEqual(["'self'"]);
      const [own, word, ...others] = rules.get('style-src') ?? [];
      expect([own, others]).toEqual(["'self'", []]);
      // Another word with each answer.
      expect(word).toMatch(/^'nonce-[A-Za-z0-9+/]{22}=='$/);
      expect((await headersOf(path)).get('content-security-policy')).not.toContain(word as string);
      expect(headers.get('x-frame-options')).toBe('SAMEORIGIN');
    },
  );

  it('an answer that is opened by itself runs no script of anybody’s', async () => {
    const policy = (await headersOf('/api/works/1/photos/2')).get('content-security-policy') ?? '';
    expect(policy).toContain("default-src 'none'");
    expect(policy).not.toContain('script-src');
  });

  it('a file of a page says no more than it must', async () => {
    const headers = await headersOf('/assets/Bench-1.js');
    expect(headers.get('x-content-type-options')).toBe('nosniff');
    expect(headers.get('cross-origin-resource-policy')).toBe('same-origin');
    expect(headers.get('content-security-policy')).toBe(null);
    expect([...headers].reduce((sum, [name, value]) => sum + name.length + value.length + 4, 0)).toBeLessThan(300);
  });
});
