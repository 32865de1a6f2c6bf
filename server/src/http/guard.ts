import type { RequestHandler } from 'express';
import helmet from 'helmet';

/** Scripts, styles, fonts and pictures are the app's own; the styles of what opens over a page are put in by its script. */
const policy = {
  directives: {
    'upgrade-insecure-requests': null,
    'font-src': ["'self'"],
    'style-src': ["'self'", "'unsafe-inline'"],
    'img-src': ["'self'", 'data:'],
  },
};

const ofPages = helmet({ strictTransportSecurity: false, contentSecurityPolicy: policy });

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
  (file ? ofFiles : ofPages)(request, response, next);
};
