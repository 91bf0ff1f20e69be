import { join } from 'node:path';
import { makeServer } from './server.js';

const { DATABASE_URL, PORT = '4820', HOST = '127.0.0.1', SESSION_SECRET } = process.env;

if (DATABASE_URL === undefined || SESSION_SECRET === undefined) {
  console.error('DATABASE_URL and SESSION_SECRET must be set. `npm start` sets both.');
  process.exit(1);
}

const app = await makeServer({
  databaseUrl: DATABASE_URL,
  sessionSecret: SESSION_SECRET,
  webFolder: join(import.meta.dirname, '../../web/dist'),
});
await app.listen(Number(PORT), HOST);
console.log(`Nuvar listens on http://${HOST}:${PORT}`);
