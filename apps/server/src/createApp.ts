import { join } from 'node:path';
import { constants } from 'node:zlib';
import { ValidationPipe } from '@nestjs/common';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { SwaggerModule } from '@nestjs/swagger';
import compression from 'compression';
import expressStaticGzip from 'express-static-gzip';
import { raw, type NextFunction, type Request, type Response } from 'express';
import { BOOK_LIMIT_MB, fieldFaults, PICTURE_LIMIT_MB } from '@bunkhouse/api';
import helmet from 'helmet';
import { AppModule } from './appModule.js';
import { Clock } from './clock.js';
import { earlyDoor } from './crew/earlyDoor.js';
import { PlainErrorFilter } from './errors/plainErrorFilter.js';
import { refused } from './errors/refusals.js';
import { storableText } from './errors/storableText.js';
import { describeApi } from './describe/describeApi.js';
import type { Settings } from './settings.js';

/** What takes a whole book. */
const BOOK_PATHS = ['/api/exchange/preview', '/api/exchange/import'];
const PICTURE_PATH = '/api/batches/:id/pictures';

/** A screen asks for its batches again and again: packed quickly rather than small. */
const QUICKLY = { level: 2, brotli: { params: { [constants.BROTLI_PARAM_QUALITY]: 2 } } };

/** Files named by their content, packed when the app was built, are kept for ever. */
const BUILT = { enableBrotli: true, orderPreference: ['br', 'gz'], index: false, serveStatic: { immutable: true, maxAge: '365d' } };

const isStream = (url: string): boolean => /\/stream(\?|$)/.test(url);

/** The server, ready to listen. */
export async function createApp(settings: Settings): Promise<NestExpressApplication> {
  const app = await NestFactory.create<NestExpressApplication>(AppModule.with(settings), {
    logger: ['error', 'warn'],
    forceCloseConnections: true,
    abortOnError: false,
  });
  if (settings.proxy !== null) app.set('trust proxy', settings.proxy);
  app.use(securityHeaders(settings.proxy !== null));
  // What is answered to one is nobody else's, and asked for again.
  const clock = app.get(Clock);
  app.use('/api', (_request: Request, response: Response, next: NextFunction) => {
    // Devices set their time by it.
    response.setHeader('Date', new Date(clock.now()).toUTCString());
    response.setHeader('Cache-Control', 'private, no-cache');
    response.vary('Cookie');
    next();
  });
  if (settings.webRoot !== null) app.use('/assets', expressStaticGzip(join(settings.webRoot, 'assets'), BUILT));
  // A stream of events goes out word by word: packed it would wait for the next.
  app.use(compression({ ...QUICKLY, filter: (request, response) => !isStream(request.originalUrl) && compression.filter(request, response) }));
  // A book is as large as a season, a picture large; everything else is short. Who sends them is known before they are read, and they are
  // taken as they come, unpacked by nobody here.
  app.use(BOOK_PATHS, earlyDoor(app, 'run'), raw({ type: () => true, limit: `${BOOK_LIMIT_MB}mb`, inflate: false }));
  app.use(PICTURE_PATH, earlyDoor(app, 'record'), raw({ inflate: false, type: ['image/*', 'application/octet-stream'], limit: `${PICTURE_LIMIT_MB}mb` }));
  app.useBodyParser('json', { limit: '256kb' });
  app.use(storableText);
  app.useGlobalFilters(new PlainErrorFilter());
  app.useGlobalPipes(
    new ValidationPipe({
      whitelist: true,
      forbidNonWhitelisted: true,
      forbidUnknownValues: true,
      transform: true,
      stopAtFirstError: true,
      exceptionFactory: (errors) => refused(fieldFaults(errors)),
    }),
  );
  app.enableShutdownHooks();
  SwaggerModule.setup('api/openapi', app, describeApi(app), { ui: false, raw: ['json'], jsonDocumentUrl: 'api/openapi.json' });
  return app;
}

/** Nothing from elsewhere. MUI writes its styles into the page, so styles may be inline; scripts may not. */
function securityHeaders(behindTls: boolean) {
  return helmet({
    contentSecurityPolicy: {
      directives: {
        'default-src': ["'self'"],
        'script-src': ["'self'"],
        'style-src': ["'self'", "'unsafe-inline'"],
        'img-src': ["'self'", 'data:'],
        'font-src': ["'self'"],
        'connect-src': ["'self'"],
        'worker-src': ["'self'"],
        'manifest-src': ["'self'"],
        'frame-src': ["'none'"],
        'frame-ancestors': ["'none'"],
        'upgrade-insecure-requests': null,
      },
    },
    strictTransportSecurity: behindTls ? { maxAge: 15_552_000 } : false,
  });
}
