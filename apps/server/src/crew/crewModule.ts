import { Module } from '@nestjs/common';
import { APP_GUARD } from '@nestjs/core';
import { CrewController } from './crewController.js';
import { SessionController } from './sessionController.js';
import { SessionsService } from './sessionsService.js';
import { StandIns } from './standIns.js';
import { CrewService } from './crewService.js';
import { DoorGuard } from './doorGuard.js';

/** Who works here, who is signed in where; the guard of every door. */
@Module({
  controllers: [CrewController, SessionController],
  providers: [SessionsService, StandIns, CrewService, { provide: APP_GUARD, useClass: DoorGuard }],
  exports: [SessionsService, StandIns, CrewService],
})
export class CrewModule {}
