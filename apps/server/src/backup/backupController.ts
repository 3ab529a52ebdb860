import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { Controller, Get, Inject, Logger, ServiceUnavailableException, StreamableFile } from '@nestjs/common';
import { ApiOkResponse, ApiOperation, ApiServiceUnavailableResponse, ApiTags } from '@nestjs/swagger';
import { For } from '../crew/rights.js';
import { Clock } from '../clock.js';
import { REFUSED } from '../errors/refusals.js';
import { SETTINGS, type Settings } from '../settings.js';
import { serverSays } from '@bunkhouse/api';

@ApiTags('backup')
@Controller('api/backup')
export class BackupController {
  private readonly logger = new Logger('Backup');

  constructor(
    @Inject(SETTINGS) private readonly settings: Settings,
    private readonly clock: Clock,
  ) {}

  /** Everything at one instant, as PostgreSQL's own file; the house stays in use meanwhile. */
  @Get()
  @For('run')
  @ApiOperation({ summary: 'A backup of the whole house, to be brought into an empty one with npm run restore' })
  @ApiOkResponse({ description: 'a file of pg_dump' })
  @ApiServiceUnavailableResponse(REFUSED)
  async backup(): Promise<StreamableFile> {
    const { pgBin, databaseUrl } = this.settings;
    if (pgBin === null) throw new ServiceUnavailableException(serverSays('no-backup-programs'));
    const url = new URL(databaseUrl);
    const child = spawn(join(pgBin, 'pg_dump'), ['--format=custom', '--no-owner', '--no-privileges', '--schema=public'], {
      env: {
        PATH: process.env.PATH ?? '',
        PGHOST: url.hostname,
        PGPORT: url.port || '5432',
        PGUSER: decodeURIComponent(url.username),
        PGPASSWORD: decodeURIComponent(url.password),
        PGDATABASE: url.pathname.slice(1),
      },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    let said = '';
    child.stderr.on('data', (data: Buffer) => (said = (said + data.toString()).slice(-2000)));
    // What breaks off half-way is no whole file for whoever downloads it: the line is cut, not ended.
    child.once('close', (code) => {
      if (code === 0) return;
      this.logger.error(`pg_dump ended with ${code}: ${said.trim()}`);
      child.stdout.destroy(new Error('the backup broke off'));
    });
    await begun(child);
    const day = new Date(this.clock.now()).toISOString().slice(0, 16).replace(/[-:]/g, '').replace('T', '-');
    return new StreamableFile(child.stdout, { type: 'application/octet-stream', disposition: `attachment; filename="bunkhouse-${day}.dump"` });
  }
}

/** Waits until it writes, or has failed before it wrote anything. */
function begun(child: ReturnType<typeof spawn>): Promise<void> {
  return new Promise((resolve, reject) => {
    const failed = () => reject(new ServiceUnavailableException(serverSays('backup-not-begun')));
    child.once('error', failed);
    child.once('exit', (code) => (code === 0 ? resolve() : failed()));
    child.stdout?.once('readable', resolve);
  });
}
