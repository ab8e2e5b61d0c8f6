import { createServer, type RequestListener, type Server } from 'node:http';

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

/** A server that closes what is slow to ask and what is idle. */
export function serve(app: RequestListener, patience = PATIENCE): Server {
  const server = createServer(patience, app);
  server.timeout = patience.idleTimeout;
  server.maxConnections = MOST_CONNECTIONS;
  return server;
}
