import { Module } from '@nestjs/common';
import { MachineModule } from '../machine/machine.module.js';
import { ScheduleModule } from '../schedule/schedule.module.js';
import { EvidenceController } from './evidence.controller.js';
import { Evidence } from './evidence.js';

/** What past checks say of intervals. */
@Module({
  imports: [MachineModule, ScheduleModule],
  controllers: [EvidenceController],
  providers: [Evidence],
})
export class EvidenceModule {}
