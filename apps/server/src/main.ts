import 'reflect-metadata';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { createApp } from './createApp.js';
import { DemoHouse } from './demo/demoHouse.js';
import { readSettings } from './settings.js';

/** ms */
const KEPT_OPEN_MS = 65_000;

const webRoot = join(import.meta.dirname, '../../web/dist');

try {
  const settings = readSettings(process.env, existsSync(join(webRoot, 'index.html')) ? webRoot : null);
  const app = await createApp(settings);
  // The start that opened this server was killed: do not go on unseen.
  process.on('disconnect', () => void app.close().finally(() => process.exit(0)));
  await app.init();
  if (settings.demo) await app.get(DemoHouse).openIfEmpty();
  await app.listen(settings.port, settings.host);
  // Longer than a page or a proxy keeps a line that it means to use again: one that is closed under an entry on its way looks like a house that is away.
  app.getHttpServer().keepAliveTimeout = KEPT_OPEN_MS;
  console.log(`Bunkhouse is ready at http://${settings.host}:${settings.port}`);
} catch (error) {
  const { code, message } = error as { code?: string; message?: string };
  if (code === 'EADDRINUSE') console.error('The port is busy. Stop the other program, or set BUNKHOUSE_PORT to another one.');
  else console.error(`Bunkhouse could not start: ${message ?? String(error)}`);
  process.exit(1);
}
