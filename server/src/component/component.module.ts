import { Module } from '@nestjs/common';
import { UnsettledController } from './unsettled.controller.js';
import { Unsettled } from './unsettled.js';

/** Lines of older versions that wait to be settled. */
@Module({
  controllers: [UnsettledController],
  providers: [Unsettled],
})
export class ComponentModule {}
