/**
 * The door of the application: an HTTP server around the build, with security headers, compression, body limits, an
 * origin check on everything that changes something, a check of the name it is asked under, no trust in forwarded
 * headers, one JSON log line a request, and a stop that lets running requests end. Settings: HOST (127.0.0.1), PORT
 * (4321; 0 takes a free one), DATABASE_URL, CALM_ORIGIN (the address it is known under beside loopback, such as
 * https://classes.example).
 */
import { createServer } from 'node:http';
import { fileURLToPath } from 'node:url';
import compression from 'compression';
import helmet from 'helmet';
import sirv from 'sirv';
import { log } from './src/server/log.mjs';

process.env.ASTRO_NODE_AUTOSTART = 'disabled';
process.env.CALM_JUDGING_WORKER ??= fileURLToPath(new URL('./dist/worker/judging.mjs', import.meta.url));
const { handler } = await import('./dist/server/entry.mjs');

const MEGABYTE = 1024 * 1024;
const BODY_LIMIT = 16 * MEGABYTE;
const CHANGING = new Set(['POST', 'PUT', 'PATCH', 'DELETE']);
/** What there is here at all; TRACE and the like are refused. */
const METHODS = new Set(['GET', 'HEAD', 'OPTIONS', ...CHANGING]);
/** Names of this very machine: whoever asks under another was led here by a name that somebody else owns. */
const LOOPBACK = new Set(['localhost', '127.0.0.1', '[::1]']);
const KNOWN_ORIGIN = process.env.CALM_ORIGIN ? new URL(process.env.CALM_ORIGIN) : null;
const STOP_WITHIN_MILLISECONDS = 10_000;

const secure = helmet({
  // Pages carry their own policy, made with the build; see astro.config.mjs.
  contentSecurityPolicy: false,
  strictTransportSecurity: false,
  crossOriginEmbedderPolicy: false,
  xFrameOptions: { action: 'deny' },
  referrerPolicy: { policy: 'same-origin' },
});
const compress = compression();
/** Files of the build, packed when it was made; what is not there goes on to the application, which says so. */
const files = sirv(fileURLToPath(new URL('./dist/client', import.meta.url)), {
  gzip: true,
  etag: true,
  immutable: true,
  maxAge: 365 * 24 * 3600,
});

function refuse(response, status, title, detail) {
  response.writeHead(status, { 'content-type': 'application/problem+json', connection: 'close' });
  response.end(JSON.stringify({ type: 'about:blank', title, status, detail }));
}

/** Whether the application is known under a name: loopback at any port, or the one it was told. */
function isKnownHost(host) {
  if (host === undefined) return false;
  return LOOPBACK.has(host.replace(/:\d{1,5}$/, '').toLowerCase()) || host.toLowerCase() === KNOWN_ORIGIN?.host;
}

function isOwnOrigin(origin, host) {
  return origin === `http://${host}` || origin === `https://${host}`;
}

/** Whether an address can be read at all. */
function isReadable(url) {
  try {
    const path = decodeURIComponent(url.split('?')[0]);
    return path.startsWith('/') && !path.includes('\0');
  } catch {
    return false;
  }
}

/** Why a request may not pass, or null. */
function objection(request) {
  const { origin, host } = request.headers;
  if (!isKnownHost(host)) {
    return [421, 'Another name', 'This application is not known under the name it was asked for. See CALM_ORIGIN.'];
  }
  if (!METHODS.has(request.method)) return [405, 'No such method', 'There is nothing here to be asked that way.'];
  if (!isReadable(request.url)) return [400, 'No such address', 'The address cannot be read.'];
  // Pictures are served as they are; nothing here is made smaller on demand.
  if (request.url.startsWith('/_image')) return [404, 'No such address', 'There is nothing here.'];
  if (!CHANGING.has(request.method)) return null;
  if (!isOwnOrigin(origin, host)) {
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

/** What no page here needs; the microphone is for measuring a voice. */
const PERMISSIONS =
  'accelerometer=(), browsing-topics=(), camera=(), display-capture=(), geolocation=(), gyroscope=(), hid=(), magnetometer=(), microphone=(self), midi=(), payment=(), serial=(), usb=(), screen-wake-lock=(self), fullscreen=(self)';

/** The stand-in for a streaming program records its own tab, the prompter the camera. */
const STREAM_PERMISSIONS = PERMISSIONS.replace('display-capture=()', 'display-capture=(self)');
const PROMPTER_PERMISSIONS = PERMISSIONS.replace('camera=()', 'camera=(self)');

function permissionsOf(path) {
  if (path === '/stand-in/stream') return STREAM_PERMISSIONS;
  // The desk opens the prompter over itself, under its own address.
  return /^\/classes\/[^/]+(\/perform)?$/.test(path) ? PROMPTER_PERMISSIONS : PERMISSIONS;
}

/** Pages and answers hold what is the studio's own, so nothing on the way keeps them; files of the build never change. */
function setHeaders(request, response) {
  response.setHeader('permissions-policy', permissionsOf(request.url.split('?')[0]));
  if (request.url.startsWith('/_astro/')) return;
  response.setHeader('cache-control', 'no-store');
  if (request.url.startsWith('/api/') || request.url === '/healthz' || request.url === '/readyz') {
    response.setHeader('content-security-policy', "default-src 'none'; frame-ancestors 'none'");
  }
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
    setHeaders(request, response);
    const onward = () => compress(request, response, () => handler(request, response));
    const isFile = request.url.startsWith('/_astro/') && (request.method === 'GET' || request.method === 'HEAD');
    if (isFile) files(request, response, onward);
    else onward();
  });
}

const server = createServer({ requestTimeout: 60_000, headersTimeout: 20_000, maxHeaderSize: 16_384 }, handle);
server.on('error', (error) => {
  log.error({ message: error.message, code: error.code });
  process.exitCode = error.code === 'EADDRINUSE' ? 98 : 1;
});
server.listen(Number(process.env.PORT ?? 4321), process.env.HOST ?? '127.0.0.1', () => {
  const { address, port } = server.address();
  // What the first people would wait for is read in before it is said that we listen.
  const first = [`/`, '/api/classes', '/api/classes/none', '/classes/none'];
  const host = address.includes(':') ? `[${address}]` : address;
  const headers = { host: 'localhost' };
  const asked = first.map((path) =>
    fetch(`http://${host}:${port}${path}`, { headers }).then((answer) => answer.text()),
  );
  void Promise.allSettled(asked).then(() => log.info({ message: 'listening', address, port }));
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
