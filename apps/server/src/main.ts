import { join } from 'node:path';
import { DEMO_EMAIL, DEMO_PASSWORD, DemoService } from './demo/demo.service.js';
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
try {
  await app.listen(Number(PORT), HOST);
} catch (error) {
  if ((error as NodeJS.ErrnoException).code !== 'EADDRINUSE') throw error;
  console.error(
    `Port ${PORT} is taken. Is Nuvar running already? Stop it, or choose another port: PORT=4821 npm start`,
  );
  process.exit(1);
}
console.log(`Nuvar listens on http://${HOST}:${PORT}`);
if (await app.get(DemoService).isOffered()) {
  console.log(
    `The demo book: "Open the demo book" there, or sign in as ${DEMO_EMAIL} with the password ${DEMO_PASSWORD}`,
  );
}
