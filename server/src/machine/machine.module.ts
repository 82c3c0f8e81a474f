import { Module } from '@nestjs/common';
import { MeterModule } from '../meter/meter.module.js';
import { ScheduleModule } from '../schedule/schedule.module.js';
import { AccessPhotosController } from './accessPhotos.controller.js';
import { AccessPhotos } from './accessPhotos.js';
import { FleetController } from './fleet.controller.js';
import { Fleet } from './fleet.js';
import { MachinePartsController } from './machineParts.controller.js';
import { MachineParts } from './machineParts.js';

/** Machines with all that stands on their cards. */
@Module({
  imports: [MeterModule, ScheduleModule],
  controllers: [FleetController, MachinePartsController, AccessPhotosController],
  providers: [Fleet, MachineParts, AccessPhotos],
  exports: [MachineParts],
})
export class MachineModule {}
