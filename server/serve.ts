import http, { type RequestListener } from 'node:http';
import https from 'node:https';

/** How long a caller may take, ms: a page asks at once and then seldom. */
export const PATIENCE = {
  /** For the head of a request, and for all of it. */
  headersTimeout: 10_000,
  requestTimeout: 20_000,
  /** Between two requests over one connection. */
  keepAliveTimeout: 5_000,
  /** Without a byte either way. */
  idleTimeout: 60_000,
  connectionsCheckingInterval: 2_000,
};
const MOST_CONNECTIONS = 500;

/** A server that closes what is slow to ask and what is idle; over https where it is given a certificate. */
export function serve(
  app: RequestListener,
  patience = PATIENCE,
  tls: { readonly key: string; readonly cert: string } | null = null,
): http.Server | https.Server {
  const server = tls
    ? https.createServer({ ...patience, key: tls.key, cert: tls.cert }, app)
    : http.createServer(patience, app);
  server.timeout = patience.idleTimeout;
  server.maxConnections = MOST_CONNECTIONS;
  return server;
}
