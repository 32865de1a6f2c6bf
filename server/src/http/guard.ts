import { randomBytes } from 'node:crypto';
import type { ServerResponse } from 'node:http';
import type { RequestHandler, Response } from 'express';
import helmet from 'helmet';

/** The word of an answer by which its own script may put in styles: those of what opens over a page. */
export function nonceOf(response: ServerResponse): string {
  const { locals } = response as Response;
  locals.nonce ??= randomBytes(16).toString('base64');
  return String(locals.nonce);
}

/** Scripts, styles, fonts and pictures are the app's own. */
const policy = {
  directives: {
    'upgrade-insecure-requests': null,
    'font-src': ["'self'"],
    'style-src': ["'self'", (_request: unknown, response: ServerResponse) => `'nonce-${nonceOf(response)}'`],
    'img-src': ["'self'", 'data:'],
  },
};

const ofPages = helmet({ strictTransportSecurity: false, contentSecurityPolicy: policy });

/**
 * A picture or a document that is opened by itself is shown in a page that the browser makes, with styles of its own; there is
 * no script of anybody's in it.
 */
const ofAnswers = helmet({
  strictTransportSecurity: false,
  contentSecurityPolicy: {
    useDefaults: false,
    directives: { 'default-src': ["'none'"], 'img-src': ["'self'"], 'style-src': ["'unsafe-inline'"] },
  },
});

/** A file of a page is bound by the policy of the page: to say it all with each of eighty files is a fifth of a first visit. */
const ofFiles = helmet({
  strictTransportSecurity: false,
  contentSecurityPolicy: false,
  crossOriginOpenerPolicy: false,
  originAgentCluster: false,
  referrerPolicy: false,
  xDnsPrefetchControl: false,
  xDownloadOptions: false,
  xFrameOptions: false,
  xPermittedCrossDomainPolicies: false,
  xXssProtection: false,
});

/** What browsers may do with an answer. A worker is bound by its own. */
export const guard: RequestHandler = (request, response, next) => {
  const file = request.path.startsWith('/assets/') && !request.path.includes('worker');
  const answer = request.path.startsWith('/api/');
  (file ? ofFiles : answer ? ofAnswers : ofPages)(request, response, next);
};
