import { Module } from '@nestjs/common';
import { MeterModule } from '../meter/meter.module.js';
import { ScheduleModule } from '../schedule/schedule.module.js';
import { ShelfModule } from '../shelf/shelf.module.js';
import { AccessPhotosController } from './accessPhotos.controller.js';
import { AccessPhotos } from './accessPhotos.js';
import { FitsController } from './fits.controller.js';
import { Fits } from './fits.js';
import { FleetController } from './fleet.controller.js';
import { Fleet } from './fleet.js';
import { MachinePartsController } from './machineParts.controller.js';
import { MachineParts } from './machineParts.js';

/** Machines with all that stands on their cards. */
@Module({
  imports: [MeterModule, ScheduleModule, ShelfModule],
  controllers: [FleetController, MachinePartsController, AccessPhotosController, FitsController],
  providers: [Fleet, MachineParts, AccessPhotos, Fits],
  exports: [MachineParts],
})
export class MachineModule {}
