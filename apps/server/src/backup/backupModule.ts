import { Module } from '@nestjs/common';
import { BackupController } from './backupController.js';

/** A copy of the database. */
@Module({
  controllers: [BackupController],
})
export class BackupModule {}
