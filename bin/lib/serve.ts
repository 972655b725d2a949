import { readFileSync } from 'node:fs';
import { createServer } from 'node:https';
import path from 'node:path';
import next from 'next';

// The production server over TLS, for other devices of the network: node --import tsx bin/lib/serve.ts PORT
const port = Number(process.argv[2]);
const data = process.env.COOL_DRAM_DATA ?? '.data';
const file = (given: string | undefined, own: string): string =>
  readFileSync(given ?? path.join(data, 'tls', own), 'utf8');

const app = next({ dev: false, hostname: '0.0.0.0', port });
await app.prepare();
const handle = app.getRequestHandler();
const server = createServer(
  { cert: file(process.env.TLS_CERT, 'server.crt'), key: file(process.env.TLS_KEY, 'server.key') },
  (request, response) => {
    // Where somebody calls from, to count wrong passwords by: no proxy stands before us that could know better.
    request.headers['x-forwarded-for'] = request.socket.remoteAddress ?? '';
    void handle(request, response);
  },
);
server.keepAliveTimeout = 75_000; // as bin/lib/machine.sh has it
server.listen(port, '0.0.0.0');
for (const signal of ['SIGTERM', 'SIGINT'] as const)
  process.on(signal, () => {
    server.close(() => process.exit(0));
    server.closeIdleConnections();
    setTimeout(() => process.exit(0), 5000).unref();
  });
