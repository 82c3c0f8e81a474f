import { Injectable } from '@nestjs/common';
import type { VisitDto } from '@yugator/contracts';
import { expectedFrom, proposeItems, yearlyVisitOn } from '@yugator/core';
import type { Component } from '@yugator/core';
import { Defects } from '../defect/defects.js';
import { notFound } from '../problem/problem.js';
import { UsedOil } from '../oil/usedOil.js';
import { FleetSchedule } from '../schedule/fleetSchedule.js';
import { toDueLines } from '../schedule/toDueLine.js';
import { Shelf } from '../shelf/shelf.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { climateOf } from '../site/workshop.js';
import { needsOfVisit } from './itemNeeds.js';
import { Job } from '../models/job.model.js';
import { setUpOf } from './setUpOf.js';

const NOTHING_POURED: ReadonlyMap<Component, string> = new Map();

/** What a visit of a machine could be composed of. */
@Injectable()
export class Visits {
  constructor(
    private readonly calendar: SiteCalendar,
    private readonly schedule: FleetSchedule,
    private readonly shelf: Shelf,
    private readonly defects: Defects,
    private readonly usedOil: UsedOil,
  ) {}

  async of(machineId: string): Promise<VisitDto> {
    const { site, today } = await this.calendar.read();
    const scheduled = await this.schedule.readOne(machineId);
    if (!scheduled) throw notFound('machine');
    const { machine, schedule } = scheduled;
    const setUp = setUpOf(scheduled, site, null);
    const expected = expectedFrom(climateOf(site), today);
    const [taken, open, defects, vessels] = await Promise.all([
      this.shelf
        .onHandById()
        .then((onHand) => needsOfVisit({ machine, setUp, onHand, expected, poured: NOTHING_POURED })),
      Job.findOne({ where: { machineId, state: 'open' }, attributes: ['id'] }),
      this.defects.open(machineId),
      this.usedOil.vessels(site),
    ]);
    return {
      machine: { id: machine.id, tag: machine.tag, name: machine.name },
      setUp,
      lines: toDueLines(scheduled),
      defects,
      proposals: proposeItems(schedule.answers, setUp, yearlyVisitOn(today, schedule.working)),
      needs: taken.needs,
      kits: taken.kits,
      shed: taken.shed,
      vessels,
      openJobId: open?.id ?? null,
    };
  }
}
