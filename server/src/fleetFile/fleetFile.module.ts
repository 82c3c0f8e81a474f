import { Module } from '@nestjs/common';
import { FleetFileController } from './fleetFile.controller.js';
import { FleetThread } from './fleetThread.js';

/** The fleet as a file. */
@Module({
  controllers: [FleetFileController],
  providers: [FleetThread],
})
export class FleetFileModule {}
