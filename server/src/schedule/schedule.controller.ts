import { Controller, Get, Param } from '@nestjs/common';
import { ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { FleetLineDto, MilestoneDto, WeekOfUseDto } from '@yugator/contracts';
import { meterNamed, milestoneAt, milestoneHours, weeksOfUse } from '@yugator/core';
import type { MeterName } from '@yugator/core';
import { notFound } from '../problem/problem.js';
import { ForEveryRole } from '../session/allow.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { mapGently } from '../queue/breather.js';
import { FleetSchedule } from './fleetSchedule.js';
import type { ScheduledMachine } from './fleetSchedule.js';
import { toFleetLines } from './toDueLine.js';
import { IdOf } from '../gate/idParam.js';

const LAST_MILESTONE_HOURS = 500;
const WEEKS_SHOWN = 52;

@ApiTags('schedule')
@Controller('api')
export class ScheduleController {
  constructor(
    private readonly fleet: FleetSchedule,
    private readonly calendar: SiteCalendar,
  ) {}

  @ApiOperation({ summary: 'Every item of every machine, with its next due point' })
  @ApiOkResponse({ type: [FleetLineDto] })
  @ForEveryRole()
  @Get('schedule')
  async lines(): Promise<FleetLineDto[]> {
    return (await mapGently(await this.fleet.read(), toFleetLines)).flat();
  }

  @ApiOperation({ summary: 'What a machine gets at each column of its books, up to 500 h' })
  @ApiOkResponse({ type: [MilestoneDto] })
  @ForEveryRole()
  @Get('machines/:id/milestones')
  async milestones(@Param('id', IdOf('machine')) id: string): Promise<MilestoneDto[]> {
    const scheduled = await this.require(id);
    const { items } = scheduled.facts;
    const { meters } = scheduled.schedule;
    const per = (meter: MeterName) => meterNamed(meter, meters)?.engineHoursPerHour ?? null;
    return milestoneHours(items, LAST_MILESTONE_HOURS, per).map((hours) => ({
      hours,
      lines: milestoneAt(hours, items, per).lines.map(({ item, reason }) => ({
        itemId: item.id,
        itemName: item.name,
        reason: reason.kind,
        trigger: reason.trigger,
        bookName: scheduled.info.get(item.id)?.bookName ?? null,
        minutes: scheduled.info.get(item.id)?.minutes ?? 0,
      })),
    }));
  }

  @ApiOperation({ summary: 'Observed against planned hours of a machine, week by week' })
  @ApiOkResponse({ type: [WeekOfUseDto] })
  @ForEveryRole()
  @Get('machines/:id/use')
  async use(@Param('id', IdOf('machine')) id: string): Promise<WeekOfUseDto[]> {
    const { today } = await this.calendar.read();
    const { schedule } = await this.require(id);
    return weeksOfUse(schedule.points, schedule.plan, today, WEEKS_SHOWN);
  }

  private async require(id: string): Promise<ScheduledMachine> {
    const scheduled = await this.fleet.readOne(id);
    if (!scheduled) throw notFound('machine');
    return scheduled;
  }
}
