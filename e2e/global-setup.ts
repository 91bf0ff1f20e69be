import { startServer } from './server.js';

export default async function setup() {
  const server = await startServer();
  process.env.NUVAR_URL = server.url;
  return () => server.stop();
}
