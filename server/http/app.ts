import { randomUUID } from 'node:crypto';
import { join } from 'node:path';
import { CONTRACT_HEADER, CONTRACT_VERSION } from '@pedastance/contract/wire';
import compression from 'compression';
import express, { type Express, type RequestHandler } from 'express';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { challengesBy } from '../accounts/challenges';
import { knownDevices } from '../accounts/knownDevices';
import { networkHash } from '../accounts/networks';
import { sessions } from '../accounts/sessions';
import { boundedBody } from './bounds';
import { confirmedSession } from './elsewhere';
import { begunInApp, httpsOnly, instructorOnly, ownerNamed, sameOrigin, thisMachineOnly } from './guards';
import { problems, Refusal } from './problems';
import { routes, type Route } from './routes';
import type { Services } from './services';

export interface AppSettings {
  webRoot: string;
  sessionSecret: string;
  publicOrigin: string | undefined;
  trustedProxies: string[];
}

const BODY_LIMIT = '64kb';
/** An entry of the log: two dozen swings on a mat are the largest. */
const ENTRY_LIMIT = '256kb';
/** A photo in base64, with what it was measured by. */
const PHOTO_LIMIT = '640kb';
/** Two pictures of a card. */
const CARD_LINK_LIMIT = '180kb';

/** Of an empty style element: react-native-web adds one and fills it through the DOM. */
const EMPTY_STYLE = "'sha256-47DEQpj8HBSa+/TImW+5JCeuQeRkm5NMpJWZG3hSuFU='";

/** Everything comes from this origin, and nothing inline. */
const securityHeaders = (production: boolean): RequestHandler =>
  helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'self'"],
        // The reader of QR codes is WebAssembly; no text is run as script by it.
        scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
        styleSrc: ["'self'", EMPTY_STYLE],
        imgSrc: ["'self'", 'data:', 'blob:'],
        // A video that a coach picks is shown from the device and goes nowhere.
        mediaSrc: ["'self'", 'blob:'],
        fontSrc: ["'self'"],
        connectSrc: ["'self'"],
        workerSrc: ["'self'"],
        manifestSrc: ["'self'"],
        objectSrc: ["'none'"],
        baseUri: ["'none'"],
        formAction: ["'self'"],
        frameAncestors: ["'none'"],
      },
    },
    strictTransportSecurity: production,
  });

/** One line a request, by which what went wrong is found again: the route's pattern, never its identifiers or body. */
function logged(log: Logger): RequestHandler {
  return (request, response, next) => {
    const startedAt = performance.now();
    const requestId = randomUUID();
    response.locals.requestId = requestId;
    response.setHeader('x-request-id', requestId);
    response.on('finish', () => {
      const route = request.route?.path ?? 'app';
      const ms = Math.round(performance.now() - startedAt);
      log.info({ requestId, method: request.method, route, status: response.statusCode, ms }, 'request');
    });
    next();
  };
}

const IMMUTABLE = /[\\/](_expo|assets|fonts)[\\/]/;

/** The page behind a card's link: for whoever has the link, and for no search engine. */
function cardPage(app: Express, webRoot: string): void {
  app.use('/card', (_request, response, next) => {
    response.setHeader('x-robots-tag', 'noindex, nofollow');
    response.setHeader('referrer-policy', 'no-referrer');
    next();
  });
  app.get('/card', (request, response, next) => {
    // Without the slash its service worker would not have the page in its scope.
    if (!request.originalUrl.startsWith('/card/')) return response.redirect(308, '/card/');
    response.setHeader('cache-control', 'no-cache');
    response.sendFile(join(webRoot, 'card', 'index.html'), (error) => error && next(error));
  });
}

/** The built web app; any path that is no file and no API opens the app, which routes it itself. */
function webApp(app: Express, webRoot: string): void {
  cardPage(app, webRoot);
  app.use(
    express.static(webRoot, {
      index: false,
      redirect: false,
      setHeaders: (response, path) =>
        void response.setHeader(
          'cache-control',
          IMMUTABLE.test(path) ? 'public, max-age=31536000, immutable' : 'no-cache',
        ),
    }),
  );
  app.use((request, response, next) => {
    if (request.method !== 'GET' || !request.accepts('html') || /\.\w+$/.test(request.path)) return next();
    response.setHeader('cache-control', 'no-cache');
    response.sendFile(join(webRoot, 'index.html'));
  });
}

const guards = (services: Services): Record<Route['access'], RequestHandler[]> => ({
  anyone: [],
  instructor: [instructorOnly(services), ownerNamed],
  stream: [instructorOnly(services)],
  download: [instructorOnly(services), begunInApp],
});

/** The Express app: guards first, then every route with its own access, then the web app. */
export function createApp(
  settings: AppSettings,
  given: Omit<Services, 'knownDevices' | 'challenges' | 'networkHash'>,
  log: Logger,
): Express {
  const { publicOrigin } = settings;
  const secure = publicOrigin !== undefined;
  const { sessionSecret } = settings;
  const services: Services = {
    ...given,
    knownDevices: knownDevices(sessionSecret, secure),
    challenges: challengesBy(sessionSecret),
    networkHash: networkHash(sessionSecret),
  };
  const app = express();
  app.disable('x-powered-by');
  app.set('trust proxy', settings.trustedProxies);
  app.use(logged(log), securityHeaders(secure), compression());
  app.use(publicOrigin ? httpsOnly(publicOrigin) : thisMachineOnly);
  app.use('/api', (_request, response, next) => {
    response.setHeader('cache-control', 'no-store');
    response.setHeader(CONTRACT_HEADER, CONTRACT_VERSION);
    next();
  });
  app.use('/api', sameOrigin(publicOrigin));
  // A body that was read is not read again.
  app.use('/api/photos', express.json({ limit: PHOTO_LIMIT }));
  app.use('/api/card-links', express.json({ limit: CARD_LINK_LIMIT }));
  app.use('/api/entries', express.json({ limit: ENTRY_LIMIT }));
  app.use('/api', express.json({ limit: BODY_LIMIT }), boundedBody);
  app.use('/api', sessions(services.pool, sessionSecret, secure));
  const before = guards(services);
  const confirmed = confirmedSession(services);
  for (const { method, path, access, handler, confirms } of routes(services, publicOrigin === undefined)) {
    app[method](path, ...before[access], ...(confirms ? [confirmed] : []), handler);
  }
  app.use('/api', () => {
    throw new Refusal(404, 'not-found', 'No such address in the API');
  });
  webApp(app, settings.webRoot);
  app.use(() => {
    throw new Refusal(404, 'not-found', 'Nothing is here');
  });
  app.use(problems(log));
  return app;
}
