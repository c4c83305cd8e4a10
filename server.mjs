/**
 * The door of the application: an HTTP server around the build, with security headers, compression, body limits, an
 * origin check on everything that changes something, no trust in forwarded headers, one JSON log line a request, and
 * a stop that lets running requests end. Settings: HOST (127.0.0.1), PORT (4321; 0 takes a free one), DATABASE_URL.
 */
import { createServer } from 'node:http';
import compression from 'compression';
import helmet from 'helmet';
import pino from 'pino';

process.env.ASTRO_NODE_AUTOSTART = 'disabled';
const { handler } = await import('./dist/server/entry.mjs');

const MEGABYTE = 1024 * 1024;
const BODY_LIMIT = 16 * MEGABYTE;
const CHANGING = new Set(['POST', 'PUT', 'PATCH', 'DELETE']);
const STOP_WITHIN_MILLISECONDS = 10_000;

const log = pino({ base: null, timestamp: pino.stdTimeFunctions.isoTime });
const secure = helmet({
  // Pages carry their own policy, made with the build; see astro.config.mjs.
  contentSecurityPolicy: false,
  strictTransportSecurity: false,
  crossOriginEmbedderPolicy: false,
  xFrameOptions: { action: 'deny' },
  referrerPolicy: { policy: 'same-origin' },
});
const compress = compression();

function refuse(response, status, title, detail) {
  response.writeHead(status, { 'content-type': 'application/problem+json', connection: 'close' });
  response.end(JSON.stringify({ type: 'about:blank', title, status, detail }));
}

/** Why a request may not pass, or null. */
function objection(request) {
  if (!CHANGING.has(request.method)) return null;
  const { origin, host } = request.headers;
  if (origin !== `http://${host}` && origin !== `https://${host}`) {
    return [403, 'Another origin', 'The request did not come from a page of this application. Nothing was changed.'];
  }
  const length = request.headers['content-length'];
  if (request.headers['transfer-encoding'] !== undefined) {
    return [411, 'Length needed', 'The request did not say how long it is. Nothing was changed.'];
  }
  if (length !== undefined && Number(length) > BODY_LIMIT) {
    return [413, 'Too large', `The request is larger than ${BODY_LIMIT / MEGABYTE} MB. Nothing was changed.`];
  }
  return null;
}

function handle(request, response) {
  const began = process.hrtime.bigint();
  response.on('close', () => {
    log.info({
      method: request.method,
      path: request.url?.split('?')[0],
      status: response.statusCode,
      ms: Math.round(Number(process.hrtime.bigint() - began) / 1e5) / 10,
    });
  });
  for (const name of Object.keys(request.headers)) {
    if (name === 'forwarded' || name.startsWith('x-forwarded-')) delete request.headers[name];
  }
  secure(request, response, () => {
    const refused = objection(request);
    if (refused) {
      refuse(response, ...refused);
      return;
    }
    if (request.url?.startsWith('/api/') || request.url === '/healthz') {
      response.setHeader('content-security-policy', "default-src 'none'; frame-ancestors 'none'");
      response.setHeader('cache-control', 'no-store');
    }
    compress(request, response, () => handler(request, response));
  });
}

const server = createServer({ requestTimeout: 60_000, headersTimeout: 20_000, maxHeaderSize: 16_384 }, handle);
server.on('error', (error) => {
  log.error({ message: error.message, code: error.code });
  process.exitCode = error.code === 'EADDRINUSE' ? 98 : 1;
});
server.listen(Number(process.env.PORT ?? 4321), process.env.HOST ?? '127.0.0.1', () => {
  const { address, port } = server.address();
  log.info({ message: 'listening', address, port });
});

let stopping = false;
function stop(signal) {
  if (stopping) return;
  stopping = true;
  log.info({ message: 'stopping', signal });
  server.close(() => process.exit(0));
  server.closeIdleConnections();
  setTimeout(() => {
    server.closeAllConnections();
    process.exit(0);
  }, STOP_WITHIN_MILLISECONDS).unref();
}
process.on('SIGTERM', () => stop('SIGTERM'));
process.on('SIGINT', () => stop('SIGINT'));
