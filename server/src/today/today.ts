import { Injectable } from '@nestjs/common';
import type { StaleMeterDto, TodayDto, TodayMachineDto } from '@yugator/contracts';
import { civilDate, civilDateAt, compareMachines, staleDays, strongestState } from '@yugator/core';
import type { CivilDate } from '@yugator/core';
import { Job } from '../job/job.model.js';
import { FleetSchedule } from '../schedule/fleetSchedule.js';
import type { ScheduledMachine } from '../schedule/fleetSchedule.js';
import { toDueLines } from '../schedule/toDueLine.js';
import { Shelf } from '../shelf/shelf.js';
import { SiteCalendar } from '../site/siteCalendar.js';

/** What bites now. */
@Injectable()
export class Today {
  constructor(
    private readonly calendar: SiteCalendar,
    private readonly fleet: FleetSchedule,
    private readonly shelf: Shelf,
  ) {}

  async read(): Promise<TodayDto> {
    const { site, today } = await this.calendar.read();
    const [machines, openJobs, short] = await Promise.all([
      this.fleet.read(),
      Job.findAll({ where: { state: 'open' }, order: ['openedAt'], raw: true }),
      this.shelf.short(),
    ]);
    const jobOf = new Map(openJobs.map((job) => [job.machineId, job.id]));
    return {
      today,
      machines: machines
        .toSorted((a, b) =>
          compareMachines(
            { tag: a.machine.tag, answers: a.schedule.answers },
            { tag: b.machine.tag, answers: b.schedule.answers },
          ),
        )
        .map((scheduled) => this.machine(scheduled, jobOf.get(scheduled.machine.id) ?? null)),
      stale: machines
        .flatMap((scheduled) => this.stale(scheduled, today, site.timeZone))
        .sort((a, b) => b.days - a.days),
      short,
    };
  }

  private machine(scheduled: ScheduledMachine, openJobId: string | null): TodayMachineDto {
    const { machine, schedule } = scheduled;
    return {
      id: machine.id,
      tag: machine.tag,
      name: machine.name,
      state: strongestState(schedule.answers),
      hoursPerWeek: schedule.usage.hoursPerWeek,
      life: schedule.life,
      lines: toDueLines(scheduled),
      openJobId,
    };
  }

  private stale(
    { machine, schedule }: ScheduledMachine,
    today: CivilDate,
    timeZone: string,
  ): StaleMeterDto[] {
    const lastRead = schedule.lastReading
      ? civilDateAt(schedule.lastReading.at, timeZone)
      : civilDate(machine.inServiceOn);
    const days = staleDays(lastRead, today);
    return days === null
      ? []
      : [{ id: machine.id, tag: machine.tag, name: machine.name, days, life: schedule.life }];
  }
}
