import { isDatabaseAway } from './database/database-error.js';
import { log } from './http/logger.js';
import { join } from 'node:path';
import { DemoService } from './demo/demo.service.js';
import { makeServer } from './server.js';
import { Workers } from './threads/workers.service.js';

const {
  DATABASE_URL,
  PORT = '4820',
  HOST = '127.0.0.1',
  SESSION_SECRET,
  TRUSTED_PROXIES,
  SIGN_UPS_PER_HOUR,
  GUESTS_PER_HOUR,
  NUVAR_DAY,
} = process.env;

if (DATABASE_URL === undefined || SESSION_SECRET === undefined) {
  console.error('DATABASE_URL and SESSION_SECRET must be set. `npm start` sets both.');
  process.exit(1);
}

/** A setting that is a number, or nothing where it is not set. */
const numberOf = (text: string | undefined) =>
  text !== undefined && /^\d{1,9}$/.test(text) ? Number(text) : undefined;
const [signUp, guest] = [numberOf(SIGN_UPS_PER_HOUR), numberOf(GUESTS_PER_HOUR)];

const app = await makeServer({
  databaseUrl: DATABASE_URL,
  sessionSecret: SESSION_SECRET,
  webFolder: join(import.meta.dirname, '../../web/dist'),
  trustedProxies: TRUSTED_PROXIES,
  ...(NUVAR_DAY !== undefined && { today: () => NUVAR_DAY }),
  limits: { ...(signUp !== undefined && { signUp }), ...(guest !== undefined && { guest }) },
});
// What a driver says where nobody waits for it any more ends nothing; whatever else nobody expected ends the process, which is
// started again.
process.on('uncaughtException', (error) => {
  log.error({ error: error.stack ?? String(error) }, 'nobody expected this');
  if (!isDatabaseAway(error)) process.exit(1);
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
await app.get(Workers).warmUp();
console.log(`Nuvar listens on http://${HOST}:${PORT}`);
if (app.get(DemoService).isOn)
  console.log('The demo book: press "Open the demo book" there; it is a copy of your own.');
