import { readFileSync } from 'node:fs';
import { join } from 'node:path';

/** That of the root's package.json: it stands nowhere else. */
export const VERSION = (JSON.parse(readFileSync(join(import.meta.dirname, '../../../../package.json'), 'utf8')) as { version: string }).version;
